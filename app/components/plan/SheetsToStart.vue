<script setup lang="ts">
import { costOf, lostAtLayer, type CostTerms } from '#core/cost/cost'
import { expected } from '#core/plan/expected-pulls'
import { finishingRate, layerRate, proofsOfLayer, restsOn } from '#core/plan/pass-rate'
import { type EditionPlan, goal } from '#core/plan/plan'
import { chanceFrom, courseFrom, fewestSheets, startAnswers } from '#core/plan/start'
import { planInk } from '#core/run/plan-ink'
import { startCourse } from '#core/run/sheets-to-start'
import { chanceWords, percent } from '~/drawings/words'

/** How many sheets to start, what that rests on, and what it costs. */
const plan = defineModel<EditionPlan>({ required: true })
const props = defineProps<{
  layers: number
  /** Price of one piece, or null while unknown. */ piece: number | null
  perSheet: number | null
  printer: string | null
}>()
const edition = useEdition()
const layerCount = computed(() => Math.max(props.layers, plan.value.layersPlanned))
const wanted = computed(() => goal(plan.value))
const rate = computed(() => layerRate(plan.value, edition.record, props.printer))
const finishing = computed(() => finishingRate(plan.value, edition.record))
const proofsWords = (layer: number) => {
  const taken = proofsOfLayer(layer, edition.record)
  return taken === 0 ? '' : `; its proofs take ${taken} ${taken === 1 ? 'sheet' : 'sheets'}`
}
const course = computed(() => startCourse(plan.value, layerCount.value, edition.record, props.printer))
const found = computed(() => startAnswers(course.value))
const proofsTaken = computed(() => course.value.proofs.reduce((sum, sheets) => sum + sheets, 0))
const points = computed(() =>
  Array.from(found.value.chances, (chance, sheets) => ({ sheets, chance })).slice(wanted.value),
)
const marks = computed(() =>
  found.value.answers.flatMap(({ confidence, sheets }) => (sheets === null ? [] : [{ confidence, sheets }])),
)
const usual = computed(() => fewestSheets(found.value.chances, wanted.value, edition.studio.confidence))
const start = computed(() => plan.value.start ?? usual.value ?? wanted.value)
const startChance = computed(() => chanceFrom(course.value, start.value))

const known = useInkKnown()
/** What the plan takes from blank sheets on, on the mean. */
const mean = computed(() => expected(courseFrom(course.value, start.value)))
const pulls = computed(() => mean.value.pulls.reduce((sum, count) => sum + count, 0))
const ink = computed(() => planInk(edition.state!, mean.value.pulls, known))
const terms = computed<CostTerms>(() => ({
  piece: props.piece ?? 0,
  inkGrams: ink.value && pulls.value > 0 ? ink.value.grams / pulls.value : 0,
  inkGram: plan.value.rates.inkGram,
  minutesPerPull: plan.value.rates.minutesPerPull,
  pressHour: plan.value.rates.pressHour,
  labourHour: plan.value.rates.labourHour,
  layers: layerCount.value,
}))
const cost = computed(() => costOf(terms.value, start.value, pulls.value, mean.value.good))
const clean = computed(() => costOf(terms.value, wanted.value, wanted.value * layerCount.value, wanted.value))
/** What a good print costs is not known while a part of it rests on nothing. */
const unknown = computed(() =>
  [
    props.piece === null ? 'the paper, once it is chosen under Paper' : '',
    ink.value === null && plan.value.rates.inkGram > 0 ? 'the ink, once the image has a size under Paper' : '',
  ].filter(Boolean),
)
const lost = computed(() => lostAtLayer(terms.value))
const money = (amount: number) => `${edition.studio.currency} ${amount.toFixed(2)}`
const number = (text: unknown, otherwise = 0) => {
  const value = typedNumber(text)
  return Number.isFinite(value) ? value : otherwise
}
const stated = (key: 'expected' | 'finishing', text: unknown) => {
  const given = String(text ?? '').trim()
  plan.value[key] =
    given === '' ? null : { rate: number(given) / 100, pulls: plan.value[key]?.pulls ?? (key === 'expected' ? 25 : 30) }
}
const choose = (confidence: number, sheets: number) => {
  plan.value.confidence = confidence
  plan.value.start = sheets
}
</script>

<template>
  <div class="start">
    <ul class="answers" aria-label="Sheets to start">
      <li v-for="{ confidence, sheets } in found.answers" :key="confidence">
        <button
          type="button"
          :disabled="sheets === null"
          :aria-pressed="plan.start !== null && plan.start === sheets"
          @click="choose(confidence, sheets!)"
        >
          <b>{{ sheets ?? '> 600' }}</b><span>sheets for {{ confidence * 100 }} %</span>
        </button>
      </li>
      <li>
        <VTextField
          :model-value="plan.start ?? ''"
          label="Started"
          inputmode="numeric"
          suffix="sheets"
          placeholder="choose"
          @update:model-value="plan.start = $event === '' || $event === null ? null : Math.trunc(number($event))"
        />
      </li>
    </ul>
    <p v-if="marks.length === 0" class="trouble">
      More than 600 sheets would be needed. Want fewer prints, or find out why so many are lost.
    </p>
    <p v-if="plan.start !== null && plan.start < wanted" class="trouble" role="alert">
      {{ wanted }} good prints are wanted; they cannot come from {{ plan.start }} sheets.
    </p>
    <p v-else-if="plan.start !== null || usual !== null" class="said">
      From {{ start }} sheets the chance of {{ wanted }} good prints is
      <strong>{{ chanceWords(startChance.chance, startChance.isRough) }}</strong>.
      <template v-if="plan.start === null"
        >That is the room’s usual {{ percent(edition.studio.confidence) }}: Paper tears as many, until you
        choose.</template
      >
      <template v-if="proofsTaken > 0">{{ proofsTaken }} of them go to proofs of the later layers.</template>
      Warm-up pulls are proof paper on top.
    </p>
    <ChanceCurve
      v-if="points.length > 1"
      :points="points"
      :marks="marks"
      :chosen="plan.start ?? usual"
      :goal="wanted"
    />
    <table class="ruled rates">
      <thead>
        <tr>
          <th>Stage</th>
          <th class="number">Passes</th>
          <th>Rests on</th>
          <th class="number">A sheet lost here has cost</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(amount, i) in lost" :key="i">
          <td>layer {{ i + 1 }}</td>
          <td class="number">{{ percent(rate.rate) }}</td>
          <td class="soft">{{ restsOn(rate) }}{{ proofsWords(i + 1) }}</td>
          <td class="number">{{ unknown.length > 0 ? 'not known yet' : money(amount) }}</td>
        </tr>
        <tr>
          <td>finishing{{ plan.colouring ? ', coloured by hand' : '' }}</td>
          <td class="number">{{ percent(finishing.rate) }}</td>
          <td class="soft">{{ restsOn(finishing, 'sheets') }}</td>
          <td class="number">{{ unknown.length > 0 ? '' : money(lost.at(-1)!) }}</td>
        </tr>
      </tbody>
    </table>
    <div class="fields">
      <VTextField
        :model-value="plan.expected === null ? '' : String(Math.round(plan.expected.rate * 1000) / 10)"
        label="You expect to pass"
        inputmode="decimal"
        suffix="%"
        placeholder="no opinion"
        @update:model-value="stated('expected', $event)"
      />
      <VTextField
        v-if="plan.expected"
        :model-value="String(plan.expected.pulls)"
        label="As sure as after"
        inputmode="numeric"
        suffix="pulls"
        @update:model-value="plan.expected!.pulls = Math.max(1, number($event, 25))"
      />
      <VTextField
        :model-value="plan.finishing === null ? '' : String(Math.round(plan.finishing.rate * 1000) / 10)"
        label="Finishing passes"
        inputmode="decimal"
        suffix="%"
        placeholder="97, a guess"
        @update:model-value="stated('finishing', $event)"
      />
      <VTextField
        v-if="plan.finishing"
        :model-value="String(plan.finishing.pulls)"
        label="As sure as after"
        inputmode="numeric"
        suffix="sheets"
        @update:model-value="plan.finishing!.pulls = Math.max(1, number($event, 30))"
      />
    </div>
    <h3>In hand, and what it costs</h3>
    <div class="fields">
      <VTextField
        :model-value="String(plan.rates.minutesPerPull)"
        label="A pull takes"
        inputmode="decimal"
        suffix="min"
        @update:model-value="plan.rates.minutesPerPull = number($event)"
      />
      <VTextField
        :model-value="String(plan.rates.pressHour)"
        label="Press hour"
        inputmode="decimal"
        :prefix="edition.studio.currency"
        @update:model-value="plan.rates.pressHour = number($event)"
      />
      <VTextField
        :model-value="String(plan.rates.labourHour)"
        label="Labour hour"
        inputmode="decimal"
        :prefix="edition.studio.currency"
        @update:model-value="plan.rates.labourHour = number($event)"
      />
      <VTextField
        :model-value="String(plan.rates.inkGram)"
        label="Ink a gram"
        inputmode="decimal"
        :prefix="edition.studio.currency"
        @update:model-value="plan.rates.inkGram = number($event)"
      />
    </div>
    <dl class="terms">
      <div>
        <dt>paper</dt>
        <dd>
          {{ start }} pieces<template v-if="perSheet"
            >, {{ Math.ceil(start / perSheet) }} large sheets at {{ perSheet }} a sheet</template
          ><span v-else class="soft">; large sheets once the tear is planned</span>
        </dd>
      </div>
      <div>
        <dt>ink</dt>
        <dd>
          <template v-if="ink"
            >about {{ (ink.grams / layerCount).toFixed(0) }} g a layer
            <span v-if="ink.guessed.length > 0" class="soft">(guessed: {{ ink.guessed.join('; ') }})</span></template
          ><span v-else class="soft">not known yet: once the image’s size is given, under Paper</span>
        </dd>
      </div>
      <div>
        <dt>pulls</dt>
        <dd>
          about {{ Math.round(pulls) }}, {{ ((pulls * plan.rates.minutesPerPull) / 60).toFixed(1) }} hours at the press
        </dd>
      </div>
      <div>
        <dt>a good print</dt>
        <dd>
          <template v-if="unknown.length > 0">not known yet: it wants {{ unknown.join(', and ') }}</template>
          <template v-else>
            <strong>{{ money(cost.perGoodPrint) }}</strong>, beside {{ money(clean.perGoodPrint) }} if none were lost:
            spoilage costs {{ money(Math.max(0, cost.perGoodPrint - clean.perGoodPrint)) }} of each. About
            {{ Math.round(mean.good) }} good prints are to be expected.
          </template>
        </dd>
      </div>
    </dl>
  </div>
</template>

<style scoped>
.answers {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 30px;
  align-items: end;
  margin-bottom: 10px;
}
.answers button {
  text-align: left;
  padding: 4px 10px 6px 0;
  border-bottom: 3px solid transparent;
  min-height: 44px;
}
.answers button[aria-pressed='true'] {
  border-color: var(--green);
}
.answers b {
  display: block;
  font-family: var(--serif);
  font-size: 2.1rem;
  font-weight: 600;
  line-height: 1;
}
.answers span {
  font-size: 0.84rem;
  color: var(--soft);
}
.answers .v-text-field {
  width: 130px;
}
.said {
  margin-bottom: 10px;
}
.rates {
  margin: 10px 0 18px;
}
h3 {
  margin: 26px 0 10px;
}
.terms {
  margin-top: 16px;
}
.terms > div {
  display: grid;
  grid-template-columns: 110px minmax(0, 1fr);
  gap: 16px;
  padding: 7px 0;
  border-bottom: 1px solid var(--rule);
  font-size: 0.94rem;
}
.terms dt {
  color: var(--soft);
}
.terms dd {
  margin: 0;
}
</style>
