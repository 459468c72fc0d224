<script setup lang="ts">
import { standardWord } from '#core/edition/standards'
import { choresDue, routineWords } from '#core/ink/roll-up'
import { goal } from '#core/plan/plan'
import { adjustmentKinds, adjustmentWord } from '#core/print/verdicts'
import { outlook } from '#core/run/outlook'
import type FaultBar from '~/components/bench/FaultBar.vue'
import { strokesOf } from '~/drawings/tally'
import { ago, howLong, chanceWords } from '~/drawings/words'

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
const faultBar = useTemplateRef<InstanceType<typeof FaultBar>>('faultBar')
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
const ready = computed(
  () =>
    state.value !== null &&
    state.value.closedAt === null &&
    edition.isTheirs &&
    bench.sheet.value !== undefined &&
    !bench.layer.value?.cutFurther &&
    (bench.undried.value.length === 0 || bench.wetOnWet.value),
)
const usual = computed(() => {
  const counts = new Map<string, number>()
  for (const pull of state.value?.pulls ?? [])
    for (const key of pull.faults) counts.set(key, (counts.get(key) ?? 0) + 1)
  const common = ['salt', 'pale', 'fill', 'register', 'slur', 'hickey', 'handling', 'crease', 'corner']
  return [...new Set([...[...counts].sort((a, b) => b[1] - a[1]).map(([key]) => key), ...common])]
})
const storing = computed(() => {
  if (edition.unsent > 0)
    return `${edition.unsent} ${edition.unsent === 1 ? 'tap' : 'taps'} not stored yet${outbox.hindrance ? `: ${outbox.hindrance}` : ''}`
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
const cell = computed(() => (strokes.value.length > 75 ? 26 : 38))

async function verdict(given: 'good' | 'doubtful' | 'reject') {
  if (!ready.value) return
  panel.value = 'none'
  const done = await bench.pull('pull', given)
  if (done && given !== 'good') panel.value = 'faults'
}

async function other(kind: 'proof' | 'warm-up' | 'ghost') {
  panel.value = 'none'
  await bench.pull(kind)
}

const proofWords = { WP: 'working or trial', SP: 'state', CTP: 'colour trial', progressive: 'progressive' }
const toggle = (name: typeof panel.value) => {
  panel.value = panel.value === name ? 'none' : name
}

async function adjust(kind: (typeof adjustmentKinds)[number]) {
  panel.value = 'none'
  await bench.adjust(kind)
}

const keys: Record<string, () => unknown> = {
  ' ': () => verdict('good'),
  g: () => verdict('good'),
  d: () => verdict('doubtful'),
  r: () => verdict('reject'),
  p: () => other('proof'),
  w: () => other('warm-up'),
  u: () => bench.takeBack(),
  z: () => bench.bringBack(),
  a: () => toggle('adjust'),
  m: () => toggle('more'),
  '?': () => toggle('more'),
  b: () => bench.approve(),
  e: () => bench.rescue('re-inked'),
  n: () => bench.rescue('burnished'),
  c: () => {
    changing.value = true
  },
  Escape: () => {
    panel.value = 'none'
  },
}

function onKey(event: KeyboardEvent) {
  if (changing.value || event.ctrlKey || event.metaKey || event.altKey || event.repeat) return
  const target = event.target as HTMLElement
  if (['INPUT', 'SELECT', 'TEXTAREA'].includes(target.tagName)) return
  // Space on a focused button other than the Good bar is that button's own.
  if ((event.key === ' ' || event.key === 'Enter') && target.tagName === 'BUTTON') return
  const digit = Number(event.key)
  if (digit >= 1 && digit <= 9) {
    if (panel.value === 'faults') void bench.nameFault(faultBar.value!.ordered[digit - 1]!.key)
    if (panel.value === 'adjust' && adjustmentKinds[digit - 1]) void adjust(adjustmentKinds[digit - 1]!)
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
      <section class="big" aria-label="Where the run stands">
        <div class="good">
          <b>{{ goodHere }}</b>
          <p>of {{ goal(state.plan!) }}<br /><small>good at this layer</small></p>
        </div>
        <div>
          <b>{{ bench.stack.value.length }}</b>
          <p>
            sheets left<template v-if="minutesLeft">, {{ howLong(minutesLeft) }}</template>
          </p>
        </div>
        <div class="chance">
          <b>{{ chanceWords(look.chance, look.isRough) }}</b>
          <p>chance of {{ goal(state.plan!) }}</p>
        </div>
        <div class="routine">
          <p>The routine</p>
          <ol>
            <li v-for="(step, i) in routine" :key="i">{{ step }}</li>
          </ol>
          <p v-for="chore in chores" :key="chore" class="chore" role="status">Now: {{ chore }}</p>
          <InkEnough :layer-ids="[bench.layerId.value]" only-short />
        </div>
      </section>
      <section class="run">
        <TallyDrawing :strokes="strokes" :cell="cell" :tall="1.9" :label="bench.layer.value?.name" />
      </section>
      <section class="said" aria-live="polite">
        <FaultBar
          v-if="panel === 'faults'"
          ref="faultBar"
          :chosen="bench.last.value?.faults ?? []"
          :usual="usual"
          @name="bench.nameFault"
          @done="panel = 'none'"
        />
        <div v-else-if="panel === 'adjust'" class="panel" role="group" aria-label="What was changed">
          <button v-for="(kind, i) in adjustmentKinds" :key="kind" type="button" @click="adjust(kind)">
            <kbd>{{ i + 1 }}</kbd>{{ adjustmentWord(kind) }}
          </button>
        </div>
        <div v-else-if="panel === 'more'" class="panel" role="group" aria-label="More">
          <button type="button" @click="other('warm-up')"><kbd>W</kbd>Warm-up</button
          ><button type="button" @click="other('ghost')">Ghost</button>
          <button type="button" :disabled="bench.last.value?.kind !== 'proof'" @click="bench.approve()">
            <kbd>B</kbd>Last proof is the {{ standardWord(state, bench.layerId.value) }}
          </button>
          <button
            type="button"
            :aria-pressed="bench.last.value?.rescued === 're-inked'"
            @click="bench.rescue('re-inked')"
          >
            <kbd>E</kbd>Last was re-inked
          </button>
          <button
            type="button"
            :aria-pressed="bench.last.value?.rescued === 'burnished'"
            @click="bench.rescue('burnished')"
          >
            <kbd>N</kbd>Last was burnished
          </button>
          <label class="kind"
            >Proofs are
            <select v-model="bench.proofKind.value">
              <option v-for="(words, kind) in proofWords" :key="kind" :value="kind">{{ words }}</option>
            </select></label
          >
          <button
            type="button"
            :aria-pressed="bench.onGoodPaper.value"
            @click="bench.onGoodPaper.value = !bench.onGoodPaper.value"
          >
            Proofs on good paper
          </button>
          <button type="button" :disabled="!bench.lastVoided.value" @click="bench.bringBack()">
            <kbd>Z</kbd>Bring back
          </button>
        </div>
        <template v-else>
          <p v-if="lastStroke" class="last">
            <strong>{{ lastStroke.sentence }}.</strong> <span class="soft">{{ ago(bench.last.value!.at, now) }}</span>
          </p>
          <p v-else class="last soft">Nothing pulled on this layer yet. Warm up with W, prove with P.</p>
          <p v-if="outbox.notKept" class="warn" role="alert">
            {{ outbox.notKept }} <button type="button" @click="outbox.keepAgain()">Try again to keep them</button>
          </p>
          <p v-else-if="edition.message" class="warn" role="alert">{{ edition.message }}</p>
          <p v-else-if="state.closedAt" class="warn">This edition is closed.</p>
          <p v-else-if="!edition.isTheirs" class="warn">You look on: ask to be named on this edition to print it.</p>
          <p v-else-if="bench.layer.value?.cutFurther" class="warn">
            The block is cut further; this layer takes no more pulls.
          </p>
          <p v-else-if="state.made === 0" class="warn">No paper is torn yet. Proofs go on newsprint.</p>
          <p v-else-if="bench.stack.value.length === 0" class="warn">No sheet waits for this layer.</p>
          <p v-else-if="bench.undried.value.length > 0 && !bench.wetOnWet.value" class="warn">
            Nobody has said the layer beneath is dry.
            <button type="button" @click="bench.declareDry()">It is dry</button>
            <button type="button" @click="bench.wetOnWet.value = true">Print wet on wet</button>
          </p>
          <p v-else class="soft">Next: sheet {{ bench.sheet.value?.id }}</p>
        </template>
      </section>
      <footer>
        <TouchBar class="at-good" name="Good" keys="space" stroke="good" :disabled="!ready" @touch="verdict('good')" />
        <TouchBar name="Doubtful" keys="D" stroke="doubtful" :disabled="!ready" @touch="verdict('doubtful')" />
        <TouchBar name="Reject" keys="R" stroke="reject" :disabled="!ready" @touch="verdict('reject')" />
        <div class="pair">
          <TouchBar class="small" name="Proof" keys="P" :disabled="!!state.closedAt" @touch="other('proof')" /><TouchBar
            class="small"
            name="Adjust"
            keys="A"
            @touch="toggle('adjust')"
          />
        </div>
        <div class="pair">
          <TouchBar class="small" name="Take back" keys="U" @touch="bench.takeBack()" /><TouchBar
            class="small"
            name="More"
            keys="M"
            @touch="toggle('more')"
          />
        </div>
      </footer>
    </template>
    <ChangePerson v-model="changing" />
  </div>
</template>

<style scoped>
.bench {
  display: grid;
  grid-template-rows: auto auto minmax(0, 1fr) auto auto;
  min-height: 100vh;
  padding: 22px 36px 0;
  gap: 8px;
}
header {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 18px;
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
}
.storing {
  margin-left: auto;
}
.storing button {
  min-height: 28px;
  color: var(--ink);
}
.unsent {
  color: var(--doubtful);
  font-weight: 600;
}
kbd {
  border: 1px solid var(--faint);
  padding: 0 6px;
  font-family: var(--sans);
  font-size: 0.72rem;
  color: var(--soft);
}
.big {
  display: grid;
  grid-template-columns: 1.7fr 1fr 1fr 1.1fr;
  gap: 24px;
  padding: 4px 0 18px;
  border-bottom: 1px solid var(--rule);
  align-items: end;
}
.big b {
  font-family: var(--sans);
  font-weight: 600;
  font-size: 4.4rem;
  line-height: 1;
}
.big p {
  color: var(--soft);
  font-size: 0.95rem;
  margin-top: 6px;
}
.big .good {
  display: flex;
  align-items: end;
  gap: 20px;
}
.big .good b {
  font-size: 9rem;
  line-height: 0.86;
}
.big .good p {
  font-size: 2.1rem;
  line-height: 1.1;
}
.big small {
  font-size: 0.95rem;
}
.chance b {
  color: var(--green);
  white-space: nowrap;
  font-size: 3.9rem;
}
.routine {
  border-left: 1px solid var(--rule);
  padding-left: 24px;
  align-self: stretch;
}
.chore {
  color: var(--doubtful);
  font-weight: 600;
  padding-top: 6px;
}
.routine li {
  font-family: var(--serif);
  font-size: 1.2rem;
  font-weight: 600;
  line-height: 1.3;
}
.run {
  padding: 16px 0 4px;
  overflow-y: auto;
  min-height: 110px;
}
.said {
  min-height: 74px;
  display: flex;
  flex-wrap: wrap;
  gap: 6px 40px;
  align-items: center;
  padding: 8px 0 12px;
  font-size: 1.1rem;
}
.warn {
  color: var(--doubtful);
}
.warn button {
  border: 1px solid var(--doubtful);
  padding: 6px 14px;
  min-height: 40px;
  margin-left: 8px;
  color: var(--ink);
}
.kind {
  display: inline-flex;
  gap: 8px;
  align-items: center;
  border: 1px solid var(--rule);
  padding: 0 12px;
}
.kind select {
  background: var(--ground);
  color: var(--ink);
  min-height: 40px;
}
.panel {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
.panel button {
  border: 1px solid var(--rule);
  min-height: 48px;
  padding: 0 16px;
  display: inline-flex;
  gap: 10px;
  align-items: center;
}
.panel button:disabled {
  color: var(--faint);
}
.panel button[aria-pressed='true'] {
  background: var(--ink);
  color: var(--ground);
}
footer {
  display: grid;
  grid-template-columns: 2.6fr 1.3fr 1.2fr 1fr 1fr;
  margin: 0 -36px;
  border-top: 2px solid var(--ink);
  min-height: 210px;
  position: sticky;
  bottom: 0;
  background: var(--ground);
}
.pair {
  display: grid;
  grid-template-rows: 1fr 1fr;
}
.pair > :first-child {
  border-bottom: 1px solid var(--rule);
}
@media (max-width: 700px) {
  .bench {
    padding: 12px 14px 0;
  }
  .big {
    grid-template-columns: 1fr 1fr;
    gap: 10px;
  }
  .big .good b {
    font-size: 4rem;
  }
  .big .good p {
    font-size: 1.1rem;
  }
  .big b {
    font-size: 2.4rem;
  }
  .chance b {
    font-size: 2.2rem;
  }
  .routine {
    display: none;
  }
  footer {
    margin: 0 -14px;
    min-height: 150px;
    grid-template-columns: 1.6fr 1.1fr 1fr 1fr 1fr;
  }
}
@media (max-height: 640px) {
  .bench {
    padding-top: 10px;
    gap: 2px;
  }
  .big {
    grid-template-columns: 1.5fr 1fr 1fr;
    padding-bottom: 6px;
  }
  .big .good b {
    font-size: 3.4rem;
  }
  .big b,
  .chance b {
    font-size: 2.2rem;
  }
  .big .good p {
    font-size: 1.1rem;
  }
  .routine {
    display: none;
  }
  footer {
    min-height: 104px;
  }
  .run {
    min-height: 84px;
  }
}
</style>
