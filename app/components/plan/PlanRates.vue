<script setup lang="ts">
import { restsOn } from '#core/plan/pass-rate'
import type { EditionPlan } from '#core/plan/plan'
import type { PlanAnswers } from '~/composables/plan-answers'
import { percent } from '~/drawings/words'
import { pluralise } from '#core/units/pluralise'

/** What the answers rest on, and what they are reckoned at: in sentences, and stage by stage when one asks. */
const plan = defineModel<EditionPlan>({ required: true })
const props = defineProps<{ answers: PlanAnswers; perSheet: number | null; disabled?: boolean }>()
const edition = useEdition()
const { rate, finishing, lost, unknown, ink, pulls, start, layers, mean, proofsOf } = props.answers
const money = (amount: number) => `${edition.studio.currency} ${amount.toFixed(2)}`
const tenth = (share: number) => Math.round(share * 1000) / 10
/** A rate the printer states, as a share of a hundred; none when there is no opinion. */
const stated = (key: 'expected' | 'finishing', usual: number) =>
  computed({
    get: () => (plan.value[key] === null ? null : tenth(plan.value[key].rate)),
    set: (value: string | number | null) => {
      plan.value[key] = value === null ? null : { rate: Number(value) / 100, pulls: plan.value[key]?.pulls ?? usual }
    },
  })
const expectedRate = stated('expected', 25)
const finishingRate = stated('finishing', 30)
const proofsWords = (layer: number) => {
  const taken = proofsOf(layer)
  return taken === 0 ? '' : `; its proofs take ${pluralise(taken, 'sheet')}`
}
</script>

<template>
  <div class="customs">
    <p>
      A layer passes {{ percent(rate.rate) }}, {{ restsOn(rate) }}; you expect
      <EditableValue
        v-model="expectedRate"
        label="You expect to pass"
        kind="decimal"
        may-be-none
        :max="100"
        unit="%"
        :words="plan.expected === null ? 'no opinion' : `${tenth(plan.expected.rate)} %`"
        :disabled="disabled"
      /><template v-if="plan.expected"
        >, as sure as after
        <EditableValue
          v-model="plan.expected.pulls"
          label="As sure as after"
          unit="pulls"
          :min="1"
          :max="10000"
          :words="pluralise(plan.expected.pulls, 'pull')"
          :disabled="disabled" /></template
      >. Finishing passes {{ percent(finishing.rate) }}, {{ restsOn(finishing, 'sheets') }}; you expect
      <EditableValue
        v-model="finishingRate"
        label="Finishing passes"
        kind="decimal"
        may-be-none
        :max="100"
        unit="%"
        :words="plan.finishing === null ? 'no opinion' : `${tenth(plan.finishing.rate)} %`"
        :disabled="disabled"
      /><template v-if="plan.finishing"
        >, as sure as after
        <EditableValue
          v-model="plan.finishing.pulls"
          label="As sure of finishing as after"
          unit="sheets"
          :min="1"
          :max="10000"
          :words="pluralise(plan.finishing.pulls, 'sheet')"
          :disabled="disabled" /></template
      >.
    </p>
    <p>
      A pull takes
      <EditableValue
        v-model="plan.rates.minutesPerPull"
        label="A pull takes"
        kind="decimal"
        unit="min"
        :max="600"
        :words="`${plan.rates.minutesPerPull} min`"
        :disabled="disabled"
      />; an hour of the press is
      <EditableValue
        v-model="plan.rates.pressHour"
        label="Press hour"
        kind="decimal"
        :max="10000"
        :unit="edition.studio.currency"
        :words="money(plan.rates.pressHour)"
        :disabled="disabled"
      />, of labour
      <EditableValue
        v-model="plan.rates.labourHour"
        label="Labour hour"
        kind="decimal"
        :max="10000"
        :unit="edition.studio.currency"
        :words="money(plan.rates.labourHour)"
        :disabled="disabled"
      />, a gram of ink
      <EditableValue
        v-model="plan.rates.inkGram"
        label="Ink a gram"
        kind="decimal"
        :max="1000"
        :unit="edition.studio.currency"
        :words="money(plan.rates.inkGram)"
        :disabled="disabled"
      />.
    </p>
    <details>
      <summary>What that takes, stage by stage</summary>
      <table v-columns class="ruled rates">
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
            <td class="number">{{ unknown.length > 0 ? 'not known yet' : money(lost.at(-1)!) }}</td>
          </tr>
        </tbody>
      </table>
      <p>
        {{ pluralise(start, 'piece') }} of paper<template v-if="perSheet"
          >, {{ pluralise(Math.ceil(start / perSheet), 'large sheet') }} at {{ perSheet }} a sheet</template
        ><template v-else>; large sheets once the tear is planned</template>. Ink<template v-if="ink">
          about {{ (ink.grams / layers).toFixed(0) }} g a layer<template v-if="ink.guessed.length > 0">
            (guessed: {{ ink.guessed.join('; ') }})</template
          ></template
        ><template v-else> not known yet: once the image’s size is given, under Paper</template>. About
        {{ pluralise(Math.round(pulls), 'pull') }}, {{ ((pulls * plan.rates.minutesPerPull) / 60).toFixed(1) }} hours at
        the press; {{ pluralise(Math.round(mean.good), 'good print') }} are to be expected.
      </p>
    </details>
  </div>
</template>

<style scoped>
details {
  margin-top: 6px;
}
.rates {
  margin: 10px 0 12px;
}
</style>
