<script setup lang="ts">
import { doerWords } from '#core/ground/envelope'
import type { EditionPlan } from '#core/plan/plan'
import { planChanges } from '#core/plan/changes'
import { paperAPrint } from '#core/run/step-cost'
import { imagesOn, pieceSize } from '#core/paper/piece'
import { pluralise } from '#core/units/pluralise'
import { date } from '~/format/days'

const edition = useEdition()
const { busy, fault, field, giving } = useGiving()
const standing = () => ({ title: edition.state!.title, plan: edition.state!.plan!, reason: '' })
const form = useFollowing(standing)
const draft = useDraft(`plan ${edition.id}`, form, standing)
const plan = computed({ get: () => form.value.plan, set: (value) => (form.value.plan = value) })
const layerName = ref('')
const session = useSession()
const supplies = useSupplies()
const { planAll } = useTearPlans()

const saved = ref(false)
const locked = computed(() => !!edition.state!.closedAt || !edition.isTheirs)

const changed = computed(
  () => !sameContent([form.value.title, form.value.plan], [edition.state!.title, edition.state!.plan]),
)
const schoolChanged = computed(
  () => edition.state!.made > 0 && form.value.plan.sizeSchool !== edition.state!.plan!.sizeSchool,
)

const printer = computed(() => edition.state!.pulls.findLast((pull) => !pull.voided)?.by ?? session.person?.id ?? null)
/** Prints a large sheet gives, from the tear that is planned and the images on a piece. */
const perSheet = ref<number | null>(null)
watch(
  () => edition.state!.piece,
  async (planned) => {
    if (!planned) return
    const plans = await planAll([
      {
        sheet: planned.sheet,
        piece: { ...pieceSize(planned), grain: planned.grain, deckles: planned.deckles },
        count: 1,
        strip: planned.strip,
        price: 0,
        block: null,
      },
    ])
    if (plans) perSheet.value = plans[0]!.perSheet * imagesOn(planned.images) || null
  },
  { immediate: true },
)
const piece = computed(() => {
  const paid = paperAPrint(edition.state!)
  if (paid !== null) return paid
  const lot = supplies.lots.find((known) => known.id === edition.state!.piece?.lotId)
  return lot && perSheet.value ? lot.price / perSheet.value : null
})
const answers = usePlanAnswers(
  plan,
  computed(() => ({ piece: piece.value, perSheet: perSheet.value, printer: printer.value })),
)
const { found, usual, wanted, start } = answers
const points = computed(() =>
  Array.from(found.value.chances, (chance, sheets) => ({ sheets, chance })).slice(wanted.value),
)
const marks = computed(() =>
  found.value.answers.flatMap(({ confidence, sheets }) => (sheets === null ? [] : [{ confidence, sheets }])),
)
/** Those named act on it, and staff. */
const whose = computed(() => {
  const { printerIds, artistId } = edition.state!
  const printers = printerIds.map((id) => session.nameOf(id)).join(' and ') || 'nobody yet'
  return `printed by ${printers}${artistId ? `, the art of ${session.nameOf(artistId)}` : ''}; they and staff act on it`
})
const versions = computed(() =>
  edition
    .state!.earlierPlans.map((earlier, i, all) => ({
      ...earlier,
      changes: changesIn(earlier.plan, all[i + 1]?.plan ?? edition.state!.plan!),
    }))
    .reverse(),
)
const changesIn = (before: EditionPlan, after: EditionPlan) =>
  planChanges(before, after)
    .map((change) => `${change.what}: ${change.before}, then ${change.after}`)
    .join('; ') || 'smaller matters'

async function save() {
  saved.value = await giving(() => edition.give('change-plan', form.value))
  if (saved.value) {
    form.value.reason = ''
    draft.done()
  }
}

function leave() {
  form.value = JSON.parse(JSON.stringify(standing()))
  draft.done()
}

async function addLayer() {
  if (await giving(() => edition.give('add-layer', { name: layerName.value, blocks: [] }))) layerName.value = ''
}
</script>

<template>
  <div>
    <form @submit.prevent="save">
      <PlanSentence
        v-model="form.plan"
        :usual="usual"
        :wanted="wanted"
        :fault="fault"
        :fault-field="field"
        :disabled="locked"
      />
      <div v-if="changed || saved || fault" class="keep">
        <VTextField
          v-if="schoolChanged || form.reason"
          v-model="form.reason"
          label="Why the plan changes"
          :error-messages="field === 'reason' ? fault : undefined"
        />
        <div class="buttons">
          <template v-if="changed"
            ><VBtn type="submit" :loading="busy">Change the plan</VBtn
            ><VBtn class="quiet" @click="leave">Leave it as it was</VBtn></template
          >
          <span v-else-if="saved" class="soft" role="status">The plan is changed.</span>
        </div>
        <TroubleLine :words="fault" />
      </div>
      <StartFigures v-if="wanted > 0" v-model="form.plan" class="figures-part" :answers="answers" :disabled="locked" />
      <ChanceCurve
        v-if="wanted > 0 && points.length > 1"
        :points="points"
        :marks="marks"
        :chosen="start"
        :goal="wanted"
      />
      <section class="part small" aria-label="Layers, in the order they are pulled">
        <ol class="lines">
          <PlanLayer
            v-for="(layer, i) in edition.state!.layers"
            :key="layer.id"
            :layer="layer"
            :number="i + 1"
            :disabled="locked"
          />
        </ol>
        <InkEnough :layer-ids="edition.state!.layers.map((layer) => layer.id)" />
      </section>
    </form>
    <form v-if="!locked" class="adding" @submit.prevent="addLayer">
      <VTextField v-model="layerName" label="One more layer" placeholder="its colour, for instance" maxlength="80" />
      <VBtn class="quiet" type="submit" :loading="busy">Add the layer</VBtn>
    </form>
    <section class="part small">
      <PlanCustoms v-model:title="form.title" v-model:plan="form.plan" :disabled="locked" />
      <PlanRates v-model="form.plan" :answers="answers" :per-sheet="perSheet" :disabled="locked" />
    </section>
    <CollapsibleSection title="What it has cost" words="so far, and a good print against the plan">
      <CostSoFar :planned="answers.unknown.value.length === 0 ? answers.cost.value : null" />
    </CollapsibleSection>
    <CollapsibleSection title="Whose edition it is" :words="whose">
      <WhoPrints />
    </CollapsibleSection>
    <section v-if="edition.state!.earlierPlans.length > 0" class="part">
      <div class="part-head">
        <h2>How the plan changed</h2>
        <p>every version is kept</p>
      </div>
      <ul class="lines">
        <li v-for="(earlier, i) in versions" :key="i">
          {{ date(earlier.at) }}, {{ doerWords(earlier, session.nameOf) }},
          {{
            earlier.sheetsTorn > 0
              ? `with ${pluralise(earlier.sheetsTorn, 'sheet')} torn`
              : 'before any sheet was torn'
          }}. {{ earlier.changes }}<span v-if="earlier.reason" class="soft"> · {{ earlier.reason }}</span>
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.keep {
  margin: 14px 0 4px;
}
.figures-part {
  margin-top: 18px;
  padding-top: 14px;
  border-top: 1px solid var(--rule);
}
.adding {
  display: flex;
  gap: 20px;
  align-items: end;
  max-width: 520px;
  margin-top: 16px;
}
</style>
