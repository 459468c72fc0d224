<script setup lang="ts">
import { doerWords } from '#core/ground/envelope'
import type { EditionPlan } from '#core/plan/plan'
import { planChanges } from '#core/plan/changes'
import { pieceSize } from '#core/paper/piece'
import { date } from '~/drawings/words'

const edition = useEdition()
const { busy, fault, field, giving } = useGiving()
const form = useFollowing(() => ({ title: edition.state!.title, plan: edition.state!.plan!, reason: '' }))
const draft = useDraft(`plan ${edition.id}`, form)
const layerName = ref('')
const session = useSession()
const supplies = useSupplies()
const { planAll } = useTearPlans()
onMounted(() => void supplies.load().catch(() => undefined))

const layers = computed(() => Math.max(edition.state!.layers.length, form.value.plan.layersPlanned))
const saved = ref(false)

const changed = computed(
  () => !sameContent([form.value.title, form.value.plan], [edition.state!.title, edition.state!.plan]),
)
const schoolChanged = computed(
  () => edition.state!.made > 0 && form.value.plan.sizeSchool !== edition.state!.plan!.sizeSchool,
)

const printer = computed(() => edition.state!.pulls.findLast((pull) => !pull.voided)?.by ?? session.person?.id ?? null)
/** Pieces a large sheet gives, from the tear that is planned. */
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
    if (plans) perSheet.value = plans[0]!.perSheet || null
  },
  { immediate: true },
)
const piece = computed(() => {
  const torn = edition.state!.torn
  const pieces = torn.reduce((sum, t) => sum + t.count, 0)
  if (pieces > 0) return torn.reduce((sum, t) => sum + t.lotSheets * t.pricePerLotSheet, 0) / pieces
  const lot = supplies.lots.find((known) => known.id === edition.state!.piece?.lotId)
  return lot && perSheet.value ? lot.price / perSheet.value : null
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

async function addLayer() {
  if (await giving(() => edition.give('add-layer', { name: layerName.value, blocks: [] }))) layerName.value = ''
}
</script>

<template>
  <div>
    <section class="part">
      <div class="part-head"><h2>The plan</h2></div>
      <OpenForm @submit.prevent="save">
        <PlanFields v-model:title="form.title" v-model:plan="form.plan" :fault="fault" :fault-field="field" />
        <VTextField
          v-if="schoolChanged || form.reason"
          v-model="form.reason"
          class="apart"
          label="Why the plan changes"
          :error-messages="field === 'reason' ? fault : undefined"
        />
        <p v-if="fault" class="trouble" role="alert">{{ fault }}</p>
        <div class="buttons">
          <VBtn type="submit" :loading="busy" :disabled="!changed">Change the plan</VBtn>
          <span v-if="saved && !changed" class="soft" role="status">The plan is changed.</span>
        </div>
      </OpenForm>
    </section>
    <section class="part">
      <div class="part-head">
        <h2>Sheets to start</h2>
        <p>{{ layers === 1 ? 'one layer' : `${layers} layers` }}, then finishing</p>
      </div>
      <OpenForm @submit.prevent="save">
        <SheetsToStart
          v-model="form.plan"
          :layers="edition.state!.layers.length"
          :piece="piece"
          :per-sheet="perSheet"
          :printer="printer"
        />
        <InkEnough :layer-ids="edition.state!.layers.map((layer) => layer.id)" />
        <p v-if="fault" class="trouble" role="alert">{{ fault }}</p>
        <div class="buttons"><VBtn type="submit" :loading="busy" :disabled="!changed">Keep in the plan</VBtn></div>
      </OpenForm>
    </section>
    <section class="part">
      <div class="part-head">
        <h2>Layers</h2>
        <p>in the order they are pulled</p>
      </div>
      <ol class="lines">
        <LayerLine v-for="(layer, i) in edition.state!.layers" :key="layer.id" :layer="layer" :number="i + 1" />
      </ol>
      <OpenForm @submit.prevent="addLayer">
        <div class="adding">
          <VTextField
            v-model="layerName"
            label="One more layer"
            placeholder="its colour, for instance"
            maxlength="80"
          />
          <VBtn class="quiet" type="submit" :loading="busy">Add the layer</VBtn>
        </div>
      </OpenForm>
    </section>
    <section class="part">
      <div class="part-head">
        <h2>Whose edition it is</h2>
        <p>they and staff act on it</p>
      </div>
      <WhoPrints />
    </section>
    <section v-if="edition.state!.earlierPlans.length > 0" class="part">
      <div class="part-head">
        <h2>How the plan changed</h2>
        <p>every version is kept</p>
      </div>
      <ul class="lines">
        <li v-for="(earlier, i) in versions" :key="i">
          {{ date(earlier.at) }}, {{ doerWords(earlier, session.nameOf) }},
          {{ earlier.sheetsTorn > 0 ? `with ${earlier.sheetsTorn} sheets torn` : 'before any sheet was torn' }}.
          {{ earlier.changes }}<span v-if="earlier.reason" class="soft"> · {{ earlier.reason }}</span>
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.adding {
  display: flex;
  gap: 20px;
  align-items: end;
  max-width: 520px;
  margin-top: 16px;
}
</style>
