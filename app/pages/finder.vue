<script setup lang="ts">
import type { Situation } from '#core/finder/factors'
import { findCause } from '#core/finder/finder'
import { outcomeOf, trialsOf } from '#core/edition/trials'
import { faults } from '#core/print/faults'
import { together } from '#core/print/remedies'
import { likelyFaults } from '#core/run/likely-faults'
import { stayingFaults } from '#core/edition/fault-places'
import { lineInForce } from '#core/print/fault-table'
import type { TrialsReply } from '#shared/replies/replies'
import { ago } from '~/drawings/words'
import { pluralise } from '#core/units/pluralise'

/** From what is seen on a print to its likely cause and one thing to try; at an edition, or by itself to teach with. */
useHead({ title: 'Fault finder · Ample Tally' })
const route = useRoute()
const edition = useEdition()
const session = useSession()
const { busy, fault: refused, giving } = useGiving()
const editionId = String(route.query.edition ?? '')
const layerId = String(route.query.layer ?? '')
const seen = ref(String(route.query.fault ?? ''))
const trouble = ref('')
const situation = ref<Situation>({
  family: null,
  byHand: false,
  damp: null,
  block: null,
  pulls: 10,
  sinceWash: null,
  layer: 1,
  isStaying: false,
})

const state = computed(() => (editionId && edition.id === editionId ? edition.state : null))
const layer = computed(() => state.value?.layers.find(({ id }) => id === layerId))

const table = ref<TrialsReply>({ trials: {}, faultLines: [], seq: 0 })
async function loadTable() {
  table.value = await api<TrialsReply>('/api/trials')
}
onMounted(async () => {
  try {
    await loadTable()
    if (editionId) await edition.open(editionId)
  } catch (error) {
    trouble.value = wordsOf(error)
  }
})
const known = useSituation(state, ref(layerId))

const record = computed(() =>
  state.value ? together(edition.record.trials, trialsOf(state.value)) : table.value.trials,
)
const ordered = computed(() =>
  (state.value ? likelyFaults(state.value, layerId, edition.record) : faults.map(({ key }) => key)).flatMap(
    (key) => faults.find((one) => one.key === key) ?? [],
  ),
)
const fault = computed(() => faults.find(({ key }) => key === seen.value))
const finding = computed(() =>
  findCause(seen.value, situation.value, record.value, lineInForce(table.value.faultLines, seen.value)),
)
/** Places say whether a fault stays; by itself the page is told. */
const staying = computed(() =>
  state.value ? stayingFaults(state.value, layerId).find((one) => one.fault === seen.value) : undefined,
)
watch([seen, staying], () => {
  if (state.value) situation.value.isStaying = staying.value !== undefined
})
const mayTry = computed(() => !!state.value && !!layer.value && edition.isTheirs && !state.value.closedAt)
const trials = computed(() =>
  (state.value?.trials ?? [])
    .filter((trial) => trial.layerId === layerId)
    .map((trial) => ({ ...trial, outcome: outcomeOf(state.value!, trial) }))
    .reverse(),
)
const tableWords = computed(() => {
  const own = table.value.faultLines.filter(({ fault: key }) => key === seen.value)
  return own.length === 0
    ? 'as it is usually told'
    : `said here ${pluralise(own.length, 'time')}, last ${ago(own.at(-1)!.at)}`
})
const outcomeWords = { worked: 'worked', 'did not': 'did not help', open: 'the next pulls tell' }
watch(
  known,
  (now) => {
    if (now) situation.value = { ...now, isStaying: staying.value !== undefined }
  },
  { immediate: true },
)

const tried = (remedy: string) => giving(() => edition.give('try-remedy', { layerId, fault: seen.value, remedy }))
</script>

<template>
  <div>
    <div class="page-head">
      <h1>Fault finder</h1>
      <p v-if="state" class="told">{{ state.title }}, {{ layer?.name }}</p>
      <VBtn v-if="state" class="right" :to="`/bench/${editionId}?layer=${layerId}`">To the bench</VBtn>
    </div>
    <TroubleLine :words="trouble || edition.problem" />
    <section class="part">
      <div class="part-head"><h2>What is seen?</h2></div>
      <div class="seen" role="group" aria-label="What is seen">
        <button
          v-for="one in ordered"
          :key="one.key"
          type="button"
          :aria-pressed="seen === one.key"
          :title="one.seen"
          @click="seen = one.key"
        >
          <FaultSketch :fault="one.key" />{{ one.word }}
        </button>
      </div>
    </section>
    <section v-if="fault" class="part">
      <div class="part-head">
        <h2>{{ fault.word }}</h2>
        <p>{{ fault.seen }}</p>
      </div>
      <StaysHere v-if="staying && state" :state="state" :staying="staying" class="stays" />
      <div class="halves">
        <FinderAnswer :finding="finding" :may-try="mayTry" :busy="busy" @tried="tried" />
        <div>
          <FinderSituation v-model="situation" />
          <p class="soft told-of">
            Causes are weighed by guesses of our own until this room’s trials say otherwise. Data sheets, the studio’s
            own rules and trained staff come first.
          </p>
        </div>
      </div>
      <TroubleLine :words="refused" />
    </section>
    <CollapsibleSection v-if="fault" title="What this room says of it" :words="tableWords">
      <FaultTable :fault="seen" :own="table.faultLines" :seq="table.seq" @kept="loadTable" />
    </CollapsibleSection>
    <section v-if="trials.length > 0" class="part">
      <div class="part-head"><h2>Tried on this layer</h2></div>
      <ul class="lines">
        <li v-for="trial in trials" :key="trial.id">
          {{ faults.find(({ key }) => key === trial.fault)?.word }}: {{ trial.remedy }},
          <strong>{{ outcomeWords[trial.outcome] }}</strong>
          <span class="soft">{{ session.nameOf(trial.by) }}, {{ ago(trial.at) }}</span>
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.seen {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(136px, 1fr));
  gap: 8px;
}
.seen button {
  display: flex;
  align-items: center;
  gap: 10px;
  border: 1px solid var(--rule);
  min-height: 52px;
  padding: 4px 10px;
  font-family: var(--serif);
  text-align: left;
}
.seen button[aria-pressed='true'] {
  border: 2px solid var(--green);
  background: var(--sheet);
}
.stays {
  margin-bottom: 16px;
}
.halves {
  display: grid;
  grid-template-columns: minmax(0, 1.3fr) minmax(0, 1fr);
  gap: 20px 40px;
}
.told-of {
  margin-top: 14px;
  font-size: 0.88rem;
}
@media (max-width: 900px) {
  .halves {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
