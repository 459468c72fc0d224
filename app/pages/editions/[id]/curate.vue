<script setup lang="ts">
import { inOrder } from '#core/edition/allocate'
import { layersOn } from '#core/edition/layers-on'
import { standingVerdict } from '#core/edition/places'
import { printsToSee, questionsOf } from '#core/edition/questions'
import { type PassMark, passMarks } from '#core/print/pass-mark'
import type { Bound } from '#core/print/series'
import type { Verdict } from '#core/print/verdicts'
import { edgeOf } from '~/drawings/print-stack'

/** The stack beside the BAT: one print in front, a key for each verdict, alike verdicts kept as one act. */
const edition = useEdition()
const session = useSession()
const state = computed(() => edition.state!)
const mayCurate = computed(() => edition.isTheirs && !state.value.closedAt)
const looking = ref<'at once' | 'alone'>('at once')
const isAlone = computed(() => looking.value === 'alone')
const { see, said, takeBack, handIn } = useCuratingRun(isAlone)

const prints = computed(() => printsToSee(state.value))
const questions = computed(() => questionsOf(state.value, session.nameOf))
/** The question asked, with its answer as it was then: a print does not leave the table because it was just looked at. */
const asked = ref<{ key: string; sheetIds: ReadonlySet<number> } | null>(null)
const ask = (key: string) => {
  const question = questions.value.find((one) => one.key === key)
  asked.value = question && asked.value?.key !== key ? { key, sheetIds: new Set(question.sheetIds) } : null
  front.value = shown.value[0]?.id ?? null
}
const shown = computed(() => prints.value.filter(({ id }) => !asked.value || asked.value.sheetIds.has(id)))
const front = ref<number | null>(null)
const place = computed(() =>
  Math.max(
    0,
    shown.value.findIndex(({ id }) => id === front.value),
  ),
)
const sheet = computed(() => shown.value[place.value])
const edges = computed(() => shown.value.map((one) => edgeOf(one, said(one.id))))
const open = computed(() =>
  prints.value.filter((one) => one.curated === null && standingVerdict(state.value, one) === 'good'),
)
const complete = computed(
  () => sheet.value !== undefined && layersOn(state.value, sheet.value).length === state.value.layers.length,
)
const waiting = computed(() => inOrder(state.value, state.value.plan!.orderSchool).length)

/** A verdict that is another than stands asks why. */
const asksWhy = ref<Verdict | null>(null)
const reason = ref('')
const why = useTemplateRef<{ focus: () => void }>('why')
const step = (by: number) => {
  asksWhy.value = null
  front.value = shown.value[Math.min(shown.value.length - 1, Math.max(0, place.value + by))]?.id ?? null
}

function judge(verdict: Verdict) {
  if (!sheet.value || !mayCurate.value) return
  const stands = said(sheet.value.id) ?? standingVerdict(state.value, sheet.value)
  if (!isAlone.value && stands !== verdict) {
    void handIn()
    asksWhy.value = verdict
    reason.value = ''
    // After the touch has given the keys back to the table.
    setTimeout(() => why.value?.focus(), 0)
    return
  }
  see(sheet.value.id, verdict)
  step(1)
}
async function judgeWithReason() {
  if (!sheet.value || asksWhy.value === null) return
  const id = await edition.tap('curate', { sheetId: sheet.value.id, verdict: asksWhy.value, reason: reason.value })
  if (id) step(1)
}
async function setAside(bound: Bound) {
  if (!sheet.value || !mayCurate.value) return
  await handIn()
  if (await edition.tap('set-aside', { sheetIds: [sheet.value.id], bound })) step(1)
}
function back() {
  const last = takeBack()
  if (last === null) return step(-1)
  front.value = last
}
async function keepAll() {
  await handIn()
  await edition.tap('curate-run', { sheetIds: open.value.map(({ id }) => id), verdict: 'good', reason: '' })
}

/** After a touch the keys are the table's again, not the button's that was touched. */
const table = useTemplateRef<HTMLElement>('table')
function toTable(event: MouseEvent) {
  if (event.detail > 0) table.value?.focus({ preventScroll: true })
}

useTableKeys({
  ' ': () => judge('good'),
  g: () => judge('good'),
  d: () => judge('doubtful'),
  r: () => judge('reject'),
  a: () => setAside('AP'),
  p: () => setAside('PP'),
  h: () => setAside('HC'),
  x: () => setAside('archive'),
  e: () => setAside('edition'),
  u: back,
  ArrowDown: () => step(1),
  ArrowRight: () => step(1),
  ArrowUp: () => step(-1),
  ArrowLeft: () => step(-1),
  Home: () => step(-shown.value.length),
  End: () => step(shown.value.length),
})

const marks = passMarks.map((value) => ({ value, title: value === 'for sale' ? 'for sale, strictly' : 'for class' }))
const passMark = computed({
  get: () => state.value.passMark,
  set: (value: PassMark) => void edition.tap('set-pass-mark', { passMark: value }),
})
const ways = [
  { value: 'at once', title: 'settled at once' },
  { value: 'alone', title: 'each for themselves first' },
]
const titleOf = (options: { value: string; title: string }[], value: string) =>
  options.find((one) => one.value === value)!.title
const bounds: { bound: Bound; key: string; words: string }[] = [
  { bound: 'AP', key: 'A', words: 'AP' },
  { bound: 'PP', key: 'P', words: 'PP' },
  { bound: 'HC', key: 'H', words: 'HC' },
  { bound: 'archive', key: 'X', words: 'archive' },
  { bound: 'edition', key: 'E', words: 'edition' },
]
</script>

<template>
  <div>
    <section class="part">
      <div class="part-head">
        <h2>Beside the BAT</h2>
        <p v-if="prints.length > 0">
          {{
            waiting === 0
              ? 'none curated good waits for its number'
              : `${waiting} curated good ${waiting === 1 ? 'waits for its number' : 'wait for numbers'}`
          }}
        </p>
      </div>
      <TeachStep v-if="prints.length === 0"
        ><span class="soft">It begins when sheets have come through the press.</span></TeachStep
      >
      <template v-else>
        <div class="customs">
          <p>
            The prints are looked at
            <EditableValue
              v-model="passMark"
              label="What the prints are for"
              kind="choice"
              :options="marks"
              :words="titleOf(marks, passMark)"
              :disabled="!mayCurate"
            />, and what is seen is
            <EditableValue
              v-model="looking"
              label="How it is decided"
              kind="choice"
              :options="ways"
              :words="titleOf(ways, looking)"
              :disabled="!mayCurate"
            />.
          </p>
        </div>
        <div class="buttons first">
          <VBtn v-if="open.length > 0 && mayCurate" @click="keepAll">Keep the {{ open.length }} judged good</VBtn>
          <VBtn v-if="waiting > 0" class="quiet" :to="`/editions/${edition.id}/sign`">Give numbers</VBtn>
        </div>
        <div
          v-if="questions.length > 0"
          class="questions"
          role="group"
          aria-label="Only the prints that are"
          @click="toTable"
        >
          <button
            v-for="question in questions"
            :key="question.key"
            type="button"
            :aria-pressed="asked?.key === question.key"
            @click="ask(question.key)"
          >
            {{ question.words }} <b>{{ question.sheetIds.length }}</b>
          </button>
        </div>
        <div v-if="sheet" ref="table" class="table" tabindex="-1">
          <PrintStack :edges="edges" :front="place" @take="front = shown[$event]?.id ?? null" />
          <div>
            <PrintInFront :sheet="sheet" :views="!isAlone" />
            <div v-if="mayCurate" class="verdicts" @click="toTable">
              <button type="button" class="good" @click="judge('good')">Good <kbd>space</kbd></button>
              <button type="button" class="doubtful" @click="judge('doubtful')">Doubtful <kbd>D</kbd></button>
              <button type="button" class="reject" @click="judge('reject')">Reject <kbd>R</kbd></button>
              <button type="button" @click="back">Back <kbd>U</kbd></button>
            </div>
            <form v-if="asksWhy" class="why" @submit.prevent="judgeWithReason">
              <VTextField
                ref="why"
                v-model="reason"
                :label="`Sheet ${sheet.id} was judged ${standingVerdict(state, sheet)}: why is it ${asksWhy} now?`"
                maxlength="500"
              />
              <VBtn type="submit">It is {{ asksWhy }}</VBtn>
              <VBtn class="quiet" @click="asksWhy = null">Leave it</VBtn>
            </form>
            <div v-if="mayCurate && complete && !isAlone" class="aside" @click="toTable">
              <span class="soft">Goes to</span>
              <button
                v-for="one in bounds"
                :key="one.bound"
                type="button"
                :aria-pressed="sheet.bound === one.bound"
                :disabled="sheet.mark !== null || sheet.bound === one.bound"
                @click="setAside(one.bound)"
              >
                {{ one.words }} <kbd>{{ one.key }}</kbd>
              </button>
            </div>
          </div>
        </div>
        <p class="unseen" aria-live="polite">
          {{ sheet ? `Sheet ${sheet.id}, ${place + 1} of ${shown.length}` : '' }}
        </p>
      </template>
    </section>
    <SeenByTwo v-if="!isAlone && mayCurate" @look="front = $event" />
    <section v-if="state.plan!.orderSchool === 'hand' && waiting > 0 && mayCurate" class="part">
      <div class="part-head">
        <h2>In which order they are numbered</h2>
        <p>dragged, or moved with the arrow keys; numbers are given under Sign</p>
      </div>
      <RankedPrints />
    </section>
  </div>
</template>

<style scoped>
.first {
  margin: 12px 0;
}
.questions {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  margin-bottom: 16px;
}
.questions button {
  min-height: 28px;
  border-bottom: 1px solid var(--rule);
  font-size: 0.92rem;
}
.questions button[aria-pressed='true'] {
  border-bottom: 2px solid var(--ink);
  font-weight: 600;
}
.table {
  display: grid;
  grid-template-columns: 200px minmax(0, 1fr);
  gap: 26px;
  align-items: start;
}
.table:focus {
  outline: none;
}
.verdicts {
  display: grid;
  grid-template-columns: 2fr 1.3fr 1.3fr 1fr;
  border: 1px solid var(--ink);
}
.verdicts button {
  min-height: 56px;
  font-family: var(--serif);
  font-size: 1.1rem;
}
.verdicts button + button {
  border-left: 1px solid var(--rule);
}
.verdicts .good {
  background: var(--ink);
  color: var(--sheet);
}
.verdicts .doubtful {
  color: var(--doubtful);
}
.verdicts .reject {
  color: var(--reject);
}
kbd {
  font: 0.72rem var(--sans);
  border: 1px solid currentcolor;
  padding: 1px 5px;
  margin-left: 6px;
}
.why {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto;
  gap: 14px;
  align-items: end;
  margin-top: 12px;
}
.aside {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 18px;
  align-items: center;
  margin-top: 12px;
}
.aside button {
  min-height: 32px;
  color: var(--green);
}
.aside button[aria-pressed='true'] {
  color: var(--ink);
  font-weight: 600;
}
@media (max-width: 760px) {
  .table,
  .why {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
