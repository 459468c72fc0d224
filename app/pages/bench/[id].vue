<script setup lang="ts">
import { pullsFor } from '#core/edition/lock-up'
import { goal } from '#core/plan/plan'
import { isOpenWork } from '#core/print/series'
import { likelyFaults } from '#core/run/likely-faults'
import { goodAt, outlook } from '#core/run/outlook'
import { instantAt } from '#core/time/instant'
import { isTakenUpAgain } from '#core/watch/restart'
import { strokesOf } from '~/drawings/tally'
import { ago } from '~/drawings/words'

definePageMeta({ layout: 'bench' })
const route = useRoute()
const edition = useEdition()
const session = useSession()
const outbox = useOutbox()
const id = String(route.params.id)
const bench = useBench(String(route.query.layer ?? ''))
useHead({ title: () => `Bench: ${edition.state?.title ?? ''} · Ample Tally` })

const changing = ref(false)
const now = ref(Date.now())
const feedback = useFeedback()
const acts = useBenchActs(bench, feedback)
const { panel, why, isWet, shut, hindrance } = acts
const onward = useBenchNextStop(bench)
const clock = setInterval(() => {
  now.value = Date.now()
}, 10_000)
onUnmounted(() => clearInterval(clock))
onMounted(async () => {
  await edition.open(id)
  // The station stays at its layer, also when the last sheet of it has been pulled.
  bench.layerId.value = String(bench.layerId.value)
  await edition.askForSheet(bench.layerId.value)
})
watch(bench.layerId, (layerId) => void edition.askForSheet(layerId))
/** A server that was started anew knows nothing of what it handed out. */
const live = useLive()
watch(
  () => live.connected,
  (isConnected) => {
    if (isConnected && edition.handOut) void edition.askForSheet(bench.layerId.value, edition.handOut.sheetIds)
  },
)

const state = computed(() => edition.state)
const look = computed(() => (state.value ? outlook(state.value, edition.record, bench.layerId.value) : null))
const minutesLeft = computed(() => (look.value?.pace ? look.value.pace * pullsToGo.value : null))
const pullsToGo = computed(() =>
  state.value && bench.layer.value ? pullsFor(state.value, bench.layer.value, bench.stack.value.length) : 0,
)
const strokes = computed(() =>
  state.value ? strokesOf(state.value, bench.layerId.value, edition.isStored, session.nameOf) : [],
)
const lastStroke = computed(() => strokes.value.find((stroke) => stroke.key === bench.last.value?.pullId))
const goodHere = computed(() => (state.value ? goodAt(state.value, bench.layerId.value) : 0))
const ready = computed(() => hindrance.value === '')
const likely = computed(() => (state.value ? likelyFaults(state.value, bench.layerId.value, edition.record) : []))
const { watch: watched, warning, remedy, silence } = useRunWatch(bench.layerId, now)
const trying = useGiving()
const tried = (named: string, words: string) =>
  trying.giving(() => edition.give('try-remedy', { layerId: bench.layerId.value, fault: named, remedy: words }))
const mayAct = computed(() => edition.isTheirs && !state.value?.closedAt)
/** In open work the piece that was just printed can take one impression more. */
const again = computed(() => (isOpenWork(state.value?.plan ?? null) ? (bench.last.value?.sheetIds[0] ?? null) : null))
/** The run is taken up again, until somebody goes on with it. */
const goneOn = ref(false)
watch(bench.layerId, () => (goneOn.value = false))
/** When a pull last came in while the bench was open, by the tablet’s own clock: where that is wrong, the pull is stored by the room’s. */
const cameAt = ref<string | null>(null)
watch(
  [bench.layerId, () => (state.value ? (bench.last.value?.pullId ?? '') : null)],
  ([layer], [layerBefore, before]) => {
    cameAt.value = layer === layerBefore && before !== null ? instantAt(Date.now()) : null
  },
)
const takenUp = computed(
  () =>
    !goneOn.value && hindrance.value === '' && isTakenUpAgain(cameAt.value ?? bench.last.value?.at ?? null, now.value),
)
const { routine, chores, storing, asked, drying, next, isGraded } = useBenchMessages(bench, strokes, now)

const awake = useAwake()
const pedal = usePedal((does) => {
  if (does === 'warm-up') void acts.other('warm-up')
  else if (does === 'take back') void acts.takeBack()
  else void acts.verdict(does)
}, isAsking)
useBenchKeys(acts, likely, () => {
  changing.value = true
})
</script>

<template>
  <div class="bench" :class="{ asking: panel !== 'none' }">
    <p v-if="edition.problem" class="trouble" role="alert">
      {{ edition.problem }} <NuxtLink to="/editions">To the editions</NuxtLink>
    </p>
    <template v-if="state && look">
      <BenchHead
        v-model:layer-id="bench.layerId.value"
        :state="state"
        :person="session.person?.name ?? 'nobody'"
        :storing="storing"
        :unsent="edition.unsent"
        @change-person="changing = true"
      />
      <BenchFigures
        :good="goodHere"
        :wanted="goal(state.plan!)"
        :left="bench.stack.value.length"
        :minutes-left="minutesLeft"
        :chance="look"
        :routine="routine"
        :chores="chores"
        :run="watched"
        :layer-id="bench.layerId.value"
      />
      <TallyRun :strokes="strokes" :label="bench.layer.value?.name" />
      <section class="said" :class="feedback.flashing.value && `flash-${feedback.flashing.value}`" aria-live="polite">
        <p v-if="why" class="warn">{{ why }}</p>
        <LaidSheets
          v-if="panel === 'faults' && bench.last.value && bench.last.value.sheetIds.length > 1"
          :key="`sheets ${bench.last.value.pullId}`"
          :last="bench.last.value"
          @judge="acts.judgeSheet"
        />
        <FaultBar
          v-if="panel === 'faults'"
          :key="bench.last.value?.pullId"
          :chosen="bench.last.value?.faults ?? []"
          :likely="likely"
          :asked="asked"
          @name="acts.nameFault"
          @done="panel = 'none'"
          @where="panel = 'where'"
          @help="
            navigateTo(
              `/finder?edition=${id}&layer=${bench.layerId.value}&fault=${bench.last.value?.faults.at(-1) ?? ''}`,
            )
          "
        />
        <WherePanel
          v-else-if="panel === 'where' && bench.last.value?.faults.length"
          :state="state"
          :layer-id="bench.layerId.value"
          :fault="bench.last.value.faults.at(-1)!"
          @place="acts.placeFault"
          @done="panel = 'none'"
        />
        <SheetPanel
          v-else-if="panel === 'sheet'"
          :stack="bench.stack.value"
          :next="bench.sheet.value?.id"
          :again="again"
          @go="acts.goTo"
          @leave="panel = 'none'"
        />
        <PedalPanel
          v-else-if="panel === 'pedal'"
          v-model:switches="pedal.switches.value"
          :learning="pedal.learning.value"
          :why="pedal.why.value"
          :awake="awake"
          @learn="pedal.learn"
          @press="pedal.press"
          @done="panel = 'none'"
        />
        <AskPanel v-else-if="panel === 'ask'" :state="state" :layer-id="bench.layerId.value" @done="panel = 'none'" />
        <AdjustPanel v-else-if="panel === 'adjust'" @adjust="acts.adjust" />
        <MorePanel
          v-else-if="panel === 'more'"
          v-model:proof-kind="bench.proofKind.value"
          v-model:on-good-paper="bench.onGoodPaper.value"
          v-model:sound="feedback.sound.value"
          v-model:flash="feedback.flash.value"
          :state="state"
          :layer-id="bench.layerId.value"
          :last="bench.last.value"
          :may-bring-back="!!bench.lastVoided.value"
          @pull="acts.other"
          @approve="acts.approve"
          @rescue="acts.rescue"
          @bring-back="acts.bringBack"
          @sheet="panel = 'sheet'"
          @pedal="panel = 'pedal'"
        />
        <template v-else-if="!why">
          <p v-if="lastStroke" class="last">
            <strong>{{ lastStroke.sentence }}.</strong> <span class="soft">{{ ago(bench.last.value!.at, now) }}</span>
          </p>
          <p v-else class="last soft">
            Nothing pulled on this layer yet. Warm up with W, prove with P; a space bar’s stroke is a good pull.
          </p>
          <p v-if="outbox.notKept" class="warn" role="alert">
            {{ outbox.notKept }} <button type="button" @click="outbox.keepAgain()">Try again to keep them</button>
          </p>
          <p v-else-if="edition.message" class="warn" role="alert">{{ edition.message }}</p>
          <p v-else-if="hindrance" class="warn">
            {{ hindrance }} {{ isWet ? drying : '' }}
            <NuxtLink v-if="onward" :to="onward.to">{{ onward.words }}</NuxtLink>
            <template v-if="isWet && edition.isTheirs && !state.closedAt"
              ><button type="button" @click="acts.declareDry()">It is dry</button>
              <button type="button" @click="bench.wetOnWet.value = true">Print wet on wet</button></template
            >
          </p>
          <p v-else-if="trying.fault.value" class="warn" role="alert">{{ trying.fault.value }}</p>
          <RunWarning
            v-else-if="warning"
            :warning="warning"
            :remedy="remedy"
            :finder="`/finder?edition=${id}&layer=${bench.layerId.value}&fault=${warning.fault}`"
            :may-try="mayAct"
            @tried="tried"
            @silence="silence(warning.key)"
            @fresh="acts.adjust('fresh-ink')"
          />
          <TakenUp
            v-else-if="takenUp"
            :state="state"
            :layer-id="bench.layerId.value"
            :last-at="bench.last.value!.at"
            :routine="routine"
            :now="now"
            @warm-up="acts.other('warm-up')"
            @go-on="goneOn = true"
          />
          <p v-else class="soft">{{ next }}</p>
          <GradeRow v-if="isGraded && !warning && !takenUp" :last="bench.last.value!" @grade="acts.grade" />
        </template>
      </section>
      <footer :class="{ called: state.assignment }">
        <div class="lesser" :class="{ five: state.assignment }">
          <TouchBar class="small" name="Proof" keys="P" :idle="shut !== ''" @touch="acts.other('proof')" />
          <TouchBar class="small" name="Adjust" keys="A" @touch="acts.toggle('adjust')" />
          <TouchBar class="small" name="Take back" keys="U" @touch="acts.takeBack" />
          <TouchBar v-if="state.assignment" class="small" name="Call" keys="H" @touch="acts.call" />
          <TouchBar class="small" name="More" keys="M" @touch="acts.toggle('more')" />
        </div>
        <TouchBar class="at-good" name="Good" keys="space" stroke="good" :idle="!ready" @touch="acts.verdict('good')" />
        <TouchBar name="Doubtful" keys="D" stroke="doubtful" :idle="!ready" @touch="acts.verdict('doubtful')" />
        <TouchBar name="Reject" keys="R" stroke="reject" :idle="!ready" @touch="acts.verdict('reject')" />
      </footer>
    </template>
    <ChangePerson v-model="changing" />
  </div>
</template>

<style scoped>
.bench {
  display: grid;
  grid-template-rows: auto auto minmax(96px, 1fr) minmax(0, auto) auto;
  height: 100dvh;
  overflow: hidden;
  padding: 18px 36px 0;
  gap: 6px;
}
.said {
  min-height: 64px;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 40px;
  align-items: center;
  padding: 6px 0 10px;
  font-size: 1.1rem;
  overflow-y: auto;
}
.warn {
  color: var(--doubtful);
}
.warn button {
  border: 1px solid var(--doubtful);
  padding: 6px 18px;
  min-height: 64px;
  margin-left: 8px;
  color: var(--ink);
}
.flash-good {
  background: var(--green);
}
.flash-doubtful {
  background: var(--doubtful);
}
.flash-reject,
.flash-nothing {
  background: var(--reject);
}
.said :deep(.panel) {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
.said :deep(.panel button) {
  border: 1px solid var(--rule);
  min-height: 64px;
  padding: 0 18px;
  display: inline-flex;
  gap: 10px;
  align-items: center;
  color: var(--ink);
}
.said :deep(.panel button:disabled) {
  color: var(--faint);
}
.said :deep(.panel button[aria-pressed='true']) {
  background: var(--ink);
  color: var(--ground);
}
.said :deep(.panel kbd) {
  border: 1px solid var(--faint);
  padding: 0 6px;
  font-family: var(--sans);
  font-size: 0.72rem;
}
footer {
  display: grid;
  grid-template-columns: 2.6fr 1.3fr 1.2fr 2fr;
  margin: 0 -36px;
  border-top: 2px solid var(--ink);
  height: clamp(104px, 26vh, 230px);
  background: var(--ground);
}
footer.called {
  grid-template-columns: 2.3fr 1.3fr 1.2fr 2.6fr;
}
.lesser {
  order: 1;
  display: grid;
  grid-template-columns: 1fr 1fr;
  grid-template-rows: 1fr 1fr;
}
.lesser > :nth-child(-n + 2) {
  border-bottom: 1px solid var(--rule);
}
.lesser.five {
  grid-template-columns: repeat(3, 1fr);
}
.lesser.five > :nth-child(3) {
  border-bottom: 1px solid var(--rule);
}
.lesser.five > :last-child {
  grid-column: span 2;
}
/* Upright: the lesser acts in a row of their own above the verdicts. */
@media (max-width: 860px) and (min-height: 561px) {
  .bench {
    padding: 14px 18px 0;
  }
  footer,
  footer.called {
    margin: 0 -18px;
    height: auto;
    grid-template-columns: 2fr 1.1fr 1fr;
    grid-template-rows: 68px clamp(104px, 17vh, 210px);
  }
  .lesser {
    order: 0;
    grid-column: 1 / -1;
    grid-template-columns: repeat(4, 1fr);
    grid-template-rows: 1fr;
    border-bottom: 1px solid var(--rule);
  }
  .lesser.five {
    grid-template-columns: repeat(5, 1fr);
  }
  .lesser.five > :last-child {
    grid-column: auto;
  }
  .lesser > :nth-child(-n + 2) {
    border-bottom: 0;
  }
}
@media (max-height: 560px) {
  .bench {
    padding-top: 6px;
    gap: 0;
  }
  .said {
    min-height: 34px;
    padding: 2px 0 4px;
  }
}
/* While all the faults lie open, and on a low screen while anything is asked, the figures make room. */
.bench.asking:has(.choices.all) {
  grid-template-rows: auto minmax(96px, 1fr) minmax(0, auto) auto;
}
.bench.asking:has(.choices.all) > :deep(.big) {
  display: none;
}
@media (max-height: 560px) {
  .bench.asking {
    grid-template-rows: auto minmax(44px, 1fr) minmax(0, auto) auto;
  }
  .bench.asking:has(.choices.all) {
    grid-template-rows: auto minmax(44px, 1fr) minmax(0, auto) auto;
  }
  .bench.asking > :deep(.big) {
    display: none;
  }
}
</style>
