<script setup lang="ts">
import { byTheBell } from '#core/run/bell'
import type { InClass } from '#core/run/in-class'
import { faultWord } from '#core/print/faults'
import type { RationHeld } from '#shared/replies/replies'
import { bellWords } from '~/drawings/class-words'
import { smallTally } from '~/drawings/tally'
import { chanceWords, listed } from '~/drawings/words'
import { pluralise } from '#core/units/pluralise'

/** One table of the class: who is at it, how far, and what they have in hand. */
const props = defineProps<{
  bench: InClass
  rations: readonly RationHeld[]
  /** Minutes until the bell, or null when none rings today. */
  minutes: number | null
  now: number
}>()
const session = useSession()
const names = computed(() => listed(props.bench.personIds.map((id) => session.nameOf(id))))
const step = computed(() => {
  const { layer, state, handedIn } = props.bench
  if (handedIn) return 'handed in'
  if (!layer || state === 'planned') return state
  return layer.of > 1 ? `${state}, ${layer.name} (${layer.place} of ${layer.of})` : state
})
/** Without a pull for so long, in minutes; null when nothing is to be pulled. */
const idle = computed(() =>
  props.bench.lastPullAt && props.bench.layer
    ? Math.floor((props.now - Date.parse(props.bench.lastPullAt)) / 60_000)
    : null,
)
const since = computed(() => {
  if (idle.value === null) return props.bench.lastPullAt ? '' : 'no pull yet'
  if (idle.value < 1) return 'pulled just now'
  return idle.value < 120 ? `${idle.value} min without a pull` : 'not at the press today'
})
const bell = computed(() =>
  props.minutes === null || !props.bench.bell || idle.value === null || idle.value > 720
    ? null
    : byTheBell({ ...props.bench.bell, minutes: props.minutes }),
)
const paper = computed(() => {
  const own = props.rations.filter(({ personId }) => props.bench.personIds.includes(personId))
  const [aside, inHand] = [own.reduce((sum, one) => sum + one.aside, 0), own.reduce((sum, one) => sum + one.inHand, 0)]
  if (!props.bench.hasPaper && aside > 0) return `${pluralise(aside, 'sheet')} wait for the sign-off`
  return inHand > 0 ? `${pluralise(inHand, 'sheet')} not torn yet` : ''
})
const wasted = computed(() => (props.bench.rejects > 0 ? `${props.bench.rejects} of ${props.bench.made} rejected` : ''))
const practice = computed(() => {
  const { practised, practice } = props.bench
  return practice !== null && practised > practice ? `${practised} practice pulls, ${practice} are meant to do` : ''
})
const good = computed(() => props.bench.layer?.good ?? props.bench.good)
</script>

<template>
  <li class="table" :class="{ asks: bench.asks.length > 0 }">
    <h3>
      <NuxtLink :to="`/editions/${bench.editionId}/class`">{{ names }}</NuxtLink>
    </h3>
    <p class="figures">
      <span
        ><b>{{ good }}</b> of {{ bench.goal }} good</span
      >
      <span v-if="bench.made > 0">{{ chanceWords(bench.chance, bench.chanceIsRough) }}</span>
    </p>
    <TallyDrawing class="strokes" :strokes="smallTally(bench.strokes)" :cell="9" :tall="2" still :label="names" />
    <p class="more">
      <span>{{ step }}</span>
      <span :class="{ bad: idle !== null && idle >= 15 && idle < 120 }">{{ since }}</span>
      <span v-if="bench.disputed > 0" class="bad"
        >{{ pluralise(bench.disputed, 'pull') }} to settle
        <NuxtLink :to="`/editions/${bench.editionId}/pull#disputed`">look</NuxtLink></span
      >
      <span v-if="bell" :class="{ bad: bell.chance < 0.5 }">{{ bellWords(bell) }}</span>
      <span v-if="bench.lastFault">last fault: {{ faultWord(bench.lastFault.fault) }}</span>
      <span v-if="wasted">{{ wasted }}</span>
      <span v-if="paper">{{ paper }}</span>
      <span v-if="practice">{{ practice }}</span>
    </p>
  </li>
</template>

<style scoped>
.table {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 262px;
  gap: 0 10px;
  border-top: 1px solid var(--rule);
  padding: 8px 0 9px;
  align-content: start;
  min-width: 0;
}
.table.asks {
  border-top: 3px solid var(--green);
  padding-top: 6px;
}
h3 a:not(.v-btn) {
  color: var(--ink);
}
.strokes {
  grid-area: 1 / 2 / span 2;
}
.figures,
.more {
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
}
.more {
  grid-column: 1 / -1;
  font-size: 0.84rem;
  color: var(--soft);
}
.figures b {
  font-family: var(--serif);
  font-size: 1.1rem;
}
.bad {
  color: var(--doubtful);
  font-weight: 600;
}
@media (max-width: 500px) {
  .table {
    grid-template-columns: minmax(0, 1fr);
  }
  .strokes {
    grid-area: auto;
  }
}
</style>
