<script setup lang="ts">
import { station as stationStream } from '#core/station/stream'
import { cleanUps, type CleanUp } from '#core/care/cleaning'
import { careWithInk } from '#core/care/cards'
import { checklist, type Finding, type Place } from '#core/care/findings'
import { type InkFamily, inkFamilies } from '#core/ink/family'
import { taskKinds } from '#core/station/state'
import type { Problem } from '#core/station/tasks'
import type { StationSummary } from '#shared/replies/replies'

/** A place is left: cleaned up after the inks really used, looked over, and what is still wrong said. */
const props = defineProps<{
  station: StationSummary
  place: Place
  /** Families of the inks used, by their batches. */
  families: InkFamily[]
  /** What its person drew from the stores meanwhile, by the ledger. */
  drawn: string[]
}>()
const emit = defineEmits<{ kept: [] }>()
const session = useSession()
const supplies = useSupplies()
const { busy, fault, giving } = useGiving()
const isOwn = computed(() => props.station.open?.by === session.person?.id)
const blank = () => ({
  items: [] as Finding[],
  done: [] as string[],
  more: [] as InkFamily[],
  stock: '',
  note: '',
  pictureId: null as string | null,
  problems: [] as Problem[],
})
const form = ref(blank())
const draft = useDraft(`close ${props.station.open?.id}`, form)

const washed = computed(() =>
  inkFamilies.filter((one) => props.families.includes(one) || form.value.more.includes(one)),
)
const listed = computed(() => checklist(props.place, washed.value))
const steps = computed(() => cleanUps(washed.value, supplies.cleaners, listed.value))
const isDone = (step: CleanUp) => form.value.done.includes(step.key)

/** A step that is done settles what it is for; what was said of that otherwise stands. */
function toggle(step: CleanUp) {
  const wasDone = isDone(step)
  form.value.done = wasDone ? form.value.done.filter((key) => key !== step.key) : [...form.value.done, step.key]
  const own = step.settles.filter((key) => listed.value.includes(key))
  const others = form.value.items.filter(({ key }) => !own.includes(key))
  const settled = own.filter((key) => steps.value.every((one) => !one.settles.includes(key) || isDone(one)))
  form.value.items = [...others, ...settled.map((key) => ({ key, isRight: true }))]
}
function toggleFamily(family: InkFamily) {
  const { more } = form.value
  form.value.more = more.includes(family) ? more.filter((one) => one !== family) : [...more, family]
}
const kinds = taskKinds.map((kind) => ({ value: kind, title: kind }))
const addProblem = () => form.value.problems.push({ kind: 'broken', what: '', pictureId: null })

async function close() {
  const { open, id } = props.station
  const { items, stock, note, pictureId, problems } = form.value
  const data = {
    sessionId: open!.id,
    items: items.filter(({ key }) => listed.value.includes(key)),
    washed: steps.value.flatMap((step) =>
      step.washes && isDone(step) ? [{ ...step.washes, seconds: step.seconds }] : [],
    ),
    stock: [...props.drawn, stock].filter(Boolean).join('; '),
    note,
    pictureId,
    problems,
  }
  const closed = await giving(async () => {
    // What was used, by the pulls up to this moment.
    await session.give('close-session', stationStream.of(id), { ...data, editionIds: await printedAt(id) })
  })
  if (!closed) return
  draft.done()
  form.value = blank()
  emit('kept')
}
</script>

<template>
  <ActForm :button="isOwn ? 'Close my session' : 'Close it as it seems'" :busy="busy" :fault="fault" @give="close">
    <div class="two">
      <section>
        <h3>Clean up</h3>
        <div v-if="families.length === 0" class="customs">
          <p>
            Used were:
            <span class="chips"
              ><button
                v-for="family in inkFamilies"
                :key="family"
                type="button"
                :aria-pressed="form.more.includes(family)"
                @click="toggleFamily(family)"
              >
                {{ family }}
              </button></span
            >
          </p>
        </div>
        <ul class="steps">
          <li v-for="step in steps" :key="step.key">
            <VCheckbox :label="step.words" :model-value="isDone(step)" @update:model-value="toggle(step)" />
            <RunningTimer v-if="step.seconds !== null" :label="`By its label`" :seconds="step.seconds" />
          </li>
        </ul>
        <CareNotes :cards="careWithInk(washed)" />
      </section>
      <LookedOver v-model="form.items" :listed="listed" :title="isOwn ? 'As you leave it' : 'As it seems'" />
    </div>
    <div class="customs">
      <p>
        <template v-if="drawn.length > 0">Drawn, by the ledger: {{ drawn.join('; ') }}. Besides:</template
        ><template v-else>Stock drawn:</template>{{ ' ' }}
        <EditableValue
          v-model="form.stock"
          label="Stock drawn"
          kind="text"
          :longest="300"
          :words="form.stock || 'nothing to say'"
        />. For the next one:
        <EditableValue
          v-model="form.note"
          label="Note for the next one"
          kind="text"
          :longest="500"
          :words="form.note || 'nothing'"
        />.
      </p>
    </div>
    <div v-for="(problem, i) in form.problems" :key="i" class="problem">
      <div class="customs">
        <p>
          Something is
          <EditableValue
            v-model="problem.kind"
            label="Kind of problem"
            kind="choice"
            :options="kinds"
            :words="problem.kind"
          />:
          <EditableValue
            v-model="problem.what"
            label="What is the problem"
            kind="text"
            :longest="300"
            :words="problem.what || 'say what'"
          />.
        </p>
      </div>
      <PictureChoice v-model="problem.pictureId" what="it" />
      <button type="button" class="link" @click="form.problems.splice(i, 1)">Not that</button>
    </div>
    <p><button type="button" class="link" @click="addProblem">A problem stays open</button></p>
    <PictureChoice v-model="form.pictureId" what="how it is left" />
  </ActForm>
</template>

<style scoped>
form {
  display: grid;
  gap: 12px;
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 1.2fr) minmax(0, 1fr);
  gap: 18px 40px;
}
.steps li {
  border-bottom: 1px solid var(--rule);
}
.steps :deep(.v-selection-control) {
  min-height: 44px;
  padding: 4px 0;
}
.steps :deep(.v-label) {
  color: var(--ink);
  opacity: 1;
  line-height: 1.35;
}
.chips {
  display: inline-flex;
  flex-wrap: wrap;
  gap: 6px;
}
.chips button {
  border: 1px solid var(--rule);
  min-height: 32px;
  padding: 0 10px;
}
.chips button[aria-pressed='true'] {
  background: var(--ink);
  color: var(--sheet);
}
.problem {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
}
@media (max-width: 900px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
