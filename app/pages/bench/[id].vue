<script setup lang="ts">
import { choresDue, routineWords } from '#core/ink/roll-up'
import { goal } from '#core/plan/plan'
import { type AdjustmentKind, adjustmentKinds } from '#core/print/verdicts'
import { likelyFaults } from '#core/run/likely-faults'
import { outlook } from '#core/run/outlook'
import { strokesOf } from '~/drawings/tally'
import { ago, figured } from '~/drawings/words'

definePageMeta({ layout: 'bench' })
const route = useRoute()
const edition = useEdition()
const session = useSession()
const outbox = useOutbox()
const live = useLive()
const id = String(route.params.id)
const bench = useBench(String(route.query.layer ?? ''))
useHead({ title: () => `Bench: ${edition.state?.title ?? ''} · Ample Tally` })

const panel = ref<'none' | 'faults' | 'adjust' | 'more'>('none')
const changing = ref(false)
const now = ref(Date.now())
const feedback = useFeedback()
/** Why the key that was pressed last did nothing. */
const why = ref('')
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

const state = computed(() => edition.state)
const layerNumber = computed(
  () => (state.value?.layers.findIndex((layer) => layer.id === bench.layerId.value) ?? 0) + 1,
)
const look = computed(() => (state.value ? outlook(state.value, edition.record, bench.layerId.value) : null))
const minutesLeft = computed(() => (look.value?.pace ? look.value.pace * bench.stack.value.length : null))
const strokes = computed(() =>
  state.value ? strokesOf(state.value, bench.layerId.value, edition.isStored, session.nameOf) : [],
)
const lastStroke = computed(() => strokes.value.find((stroke) => stroke.key === bench.last.value?.pullId))
const goodHere = computed(
  () =>
    strokes.value.filter((stroke) => stroke.kind === 'pull' && stroke.verdict === 'good' && !stroke.disputed).length,
)
/** What keeps a pull from being given now, in words; empty when nothing does. */
const hindrance = computed(() => {
  if (!state.value) return 'The edition is not here yet.'
  if (state.value.closedAt) return 'This edition is closed.'
  if (!edition.isTheirs) return 'You look on: ask to be named on this edition to print it.'
  if (bench.layer.value?.cutFurther) return 'The block is cut further; this layer takes no more pulls.'
  if (state.value.made === 0) return 'No paper is torn yet. Proofs go on newsprint.'
  if (bench.sheet.value === undefined) return 'No sheet waits for this layer.'
  if (isWet.value) return 'Nobody has said the layer beneath is dry.'
  return ''
})
const isWet = computed(() => bench.undried.value.length > 0 && !bench.wetOnWet.value)
const ready = computed(() => hindrance.value === '')
const likely = computed(() => (state.value ? likelyFaults(state.value, bench.layerId.value, edition.record) : []))
const storing = computed(() => {
  if (edition.unsent > 0)
    return `${figured(edition.unsent, 'tap')} not stored yet${outbox.hindrance ? `: ${outbox.hindrance}` : ''}`
  return outbox.refused.length > 0
    ? `${outbox.refused.length} refused, see Office`
    : live.connected
      ? 'every pull stored'
      : 'every pull stored, others not heard'
})
const routine = computed(() =>
  (bench.layer.value?.rollUp
    ? routineWords(bench.layer.value.rollUp)
    : bench.layer.value?.routine || 'charge, pass'
  ).split(', '),
)
/** What is to be done besides, by the number of pulls of this layer; a blended roll is laid afresh. */
const chores = computed(() => {
  const layer = bench.layer.value
  const pulled = strokes.value.filter((stroke) => stroke.kind === 'pull').length
  const fresh =
    layer?.blend && layer.blend.freshAfter > 0
      ? [
          {
            every: Math.max(1, Math.round(layer.blend.freshAfter / Math.max(1, layer.rollUp?.charges ?? 1))),
            what: 'lay the blend afresh',
          },
        ]
      : []
  return choresDue([...(layer?.rollUp?.chores ?? []), ...fresh], pulled).map((chore) => chore.what)
})
/** A key that can do nothing says why, where the eye is. */
function nothing(reason: string) {
  why.value = reason
  feedback.give('nothing')
}

/** Do it, unless something keeps it from being done. */
function unless(reason: string, act: () => unknown) {
  if (reason !== '') return nothing(reason)
  why.value = ''
  return act()
}

const verdict = (given: 'good' | 'doubtful' | 'reject') =>
  unless(hindrance.value, async () => {
    panel.value = 'none'
    const done = await bench.pull('pull', given)
    if (done) feedback.give(given)
    if (done && given !== 'good') panel.value = 'faults'
  })

/** What keeps proofs and warm-up from being pulled: they need neither paper nor a dry layer. */
const shut = computed(() => (state.value?.closedAt || !edition.isTheirs ? hindrance.value : ''))
const other = (kind: 'proof' | 'warm-up' | 'ghost') =>
  unless(shut.value, async () => {
    panel.value = 'none'
    if (await bench.pull(kind)) feedback.give('good')
  })
const nothingPulled = computed(() => (bench.last.value ? shut.value : 'Nothing is pulled on this layer yet.'))
const takeBack = () =>
  unless(
    bench.last.value || bench.lastAdjustment.value ? shut.value : 'There is nothing to take back on this layer.',
    () => bench.takeBack(),
  )
const bringBack = () =>
  unless(bench.lastVoided.value ? shut.value : 'Nothing was taken back here.', () => bench.bringBack())
const approve = () =>
  unless(bench.last.value?.kind === 'proof' ? shut.value : 'The last pull is no proof.', () => bench.approve())
const rescue = (how: 're-inked' | 'burnished') => unless(nothingPulled.value, () => bench.rescue(how))

function toggle(name: typeof panel.value) {
  panel.value = panel.value === name ? 'none' : name
  why.value = ''
}

const adjust = (kind: AdjustmentKind) =>
  unless(shut.value, async () => {
    panel.value = 'none'
    await bench.adjust(kind)
  })

const asked = computed(() => {
  const last = bench.last.value
  const sheets = last?.sheetIds.length ? `Sheet ${last.sheetIds.join(' and ')}, ${last.verdict}. ` : ''
  return `${sheets}What was it? One touch, or go on.`
})

const keys: Record<string, () => unknown> = {
  ' ': () => verdict('good'),
  g: () => verdict('good'),
  d: () => verdict('doubtful'),
  r: () => verdict('reject'),
  p: () => other('proof'),
  w: () => other('warm-up'),
  u: takeBack,
  z: bringBack,
  a: () => toggle('adjust'),
  m: () => toggle('more'),
  b: approve,
  e: () => rescue('re-inked'),
  n: () => rescue('burnished'),
  c: () => {
    changing.value = true
  },
  Escape: () => {
    panel.value = 'none'
    why.value = ''
  },
}

function onKey(event: KeyboardEvent) {
  if (isAsking() || event.ctrlKey || event.metaKey || event.altKey || event.repeat) return
  const target = event.target as HTMLElement
  if (['INPUT', 'SELECT', 'TEXTAREA'].includes(target.tagName)) return
  // Space on a focused button other than the Good bar is that button's own.
  if ((event.key === ' ' || event.key === 'Enter') && target.tagName === 'BUTTON') return
  const digit = Number(event.key)
  if (digit >= 1 && digit <= 9) {
    if (panel.value === 'faults') void bench.nameFault(likely.value[digit - 1]!)
    else if (panel.value === 'adjust' && adjustmentKinds[digit - 1]) void adjust(adjustmentKinds[digit - 1]!)
    else nothing('Figures name a fault or an adjustment, once one of them is asked for.')
    return
  }
  const act = keys[event.key] ?? keys[event.key.toLowerCase()]
  if (!act) return
  event.preventDefault()
  act()
}
onMounted(() => window.addEventListener('keydown', onKey))
onUnmounted(() => window.removeEventListener('keydown', onKey))
</script>

<template>
  <div class="bench">
    <p v-if="edition.problem" class="trouble" role="alert">
      {{ edition.problem }} <NuxtLink to="/editions">To the editions</NuxtLink>
    </p>
    <template v-if="state && look">
      <header>
        <h1>
          <NuxtLink :to="`/editions/${id}/pull`">{{ state.title }}</NuxtLink>
        </h1>
        <label v-if="state.layers.length > 1" class="layer"
          >layer {{ layerNumber }} of {{ state.layers.length }}
          <select v-model="bench.layerId.value" aria-label="Layer">
            <option v-for="layer in state.layers" :key="layer.id" :value="layer.id">{{ layer.name }}</option>
          </select>
        </label>
        <span v-else class="layer">{{ bench.layer.value?.name }}</span>
        <p class="storing" role="status">
          <button type="button" @click="changing = true">{{ session.person?.name ?? 'nobody' }} <kbd>C</kbd></button> ·
          <span :class="{ unsent: edition.unsent > 0 }">{{ storing }}</span>
        </p>
      </header>
      <BenchFigures
        :good="goodHere"
        :wanted="goal(state.plan!)"
        :left="bench.stack.value.length"
        :minutes-left="minutesLeft"
        :chance="look"
        :routine="routine"
        :chores="chores"
        :layer-id="bench.layerId.value"
      />
      <TallyRun :strokes="strokes" :label="bench.layer.value?.name" />
      <section class="said" :class="feedback.flashing.value && `flash-${feedback.flashing.value}`" aria-live="polite">
        <p v-if="why" class="warn">{{ why }}</p>
        <FaultBar
          v-if="panel === 'faults'"
          :key="bench.last.value?.pullId"
          :chosen="bench.last.value?.faults ?? []"
          :likely="likely"
          :asked="asked"
          @name="bench.nameFault"
          @done="panel = 'none'"
        />
        <AdjustPanel v-else-if="panel === 'adjust'" @adjust="adjust" />
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
          @pull="other"
          @approve="approve"
          @rescue="rescue"
          @bring-back="bringBack"
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
            {{ hindrance }}
            <template v-if="isWet && edition.isTheirs && !state.closedAt"
              ><button type="button" @click="bench.declareDry()">It is dry</button>
              <button type="button" @click="bench.wetOnWet.value = true">Print wet on wet</button></template
            >
          </p>
          <p v-else class="soft">Next: sheet {{ bench.sheet.value?.id }}</p>
        </template>
      </section>
      <footer>
        <div class="lesser">
          <TouchBar class="small" name="Proof" keys="P" :idle="shut !== ''" @touch="other('proof')" />
          <TouchBar class="small" name="Adjust" keys="A" @touch="toggle('adjust')" />
          <TouchBar class="small" name="Take back" keys="U" @touch="takeBack" />
          <TouchBar class="small" name="More" keys="M" @touch="toggle('more')" />
        </div>
        <TouchBar class="at-good" name="Good" keys="space" stroke="good" :idle="!ready" @touch="verdict('good')" />
        <TouchBar name="Doubtful" keys="D" stroke="doubtful" :idle="!ready" @touch="verdict('doubtful')" />
        <TouchBar name="Reject" keys="R" stroke="reject" :idle="!ready" @touch="verdict('reject')" />
      </footer>
    </template>
    <ChangePerson v-model="changing" />
  </div>
</template>

<style scoped>
.bench {
  display: grid;
  grid-template-rows: auto auto minmax(0, 1fr) auto auto;
  height: 100dvh;
  overflow: hidden;
  padding: 18px 36px 0;
  gap: 6px;
}
header {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 2px 18px;
}
h1 {
  font-size: 1.4rem;
  font-weight: 600;
}
h1 a:not(.v-btn) {
  color: inherit;
  text-decoration: none;
}
h1 a:hover {
  text-decoration: underline;
}
.layer,
.storing {
  color: var(--soft);
  font-size: 0.9rem;
}
.layer select {
  color: var(--ink);
  background: var(--ground);
  border-bottom: 1px solid var(--rule);
  padding: 4px;
  min-height: 32px;
}
.storing {
  margin-left: auto;
}
.storing button {
  min-height: 32px;
  color: var(--ink);
}
.unsent {
  color: var(--doubtful);
  font-weight: 600;
}
header kbd {
  border: 1px solid var(--faint);
  padding: 0 6px;
  font-family: var(--sans);
  font-size: 0.72rem;
  color: var(--soft);
}
.said {
  min-height: 64px;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 40px;
  align-items: center;
  padding: 6px 0 10px;
  font-size: 1.1rem;
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
.lesser {
  order: 1;
  display: grid;
  grid-template-columns: 1fr 1fr;
  grid-template-rows: 1fr 1fr;
}
.lesser > :nth-child(-n + 2) {
  border-bottom: 1px solid var(--rule);
}
/* Upright: the lesser acts in a row of their own above the verdicts. */
@media (max-width: 860px) and (min-height: 561px) {
  .bench {
    padding: 14px 18px 0;
  }
  footer {
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
  .warn button,
  .said :deep(.panel button) {
    min-height: 44px;
  }
}
</style>
