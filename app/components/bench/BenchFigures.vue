<script setup lang="ts">
import type { RunWatch } from '#core/watch/run-watch'
import { chanceWords, formatDuration, percent } from '~/drawings/words'
import { pluralise } from '#core/units/pluralise'

/** Three figures to be read at two metres, and the routine to repeat. */
defineProps<{
  good: number
  wanted: number
  left: number
  minutesLeft: number | null
  chance: { chance: number; isRough: boolean }
  routine: string[]
  chores: string[]
  layerId: string
  run: RunWatch | null
}>()
</script>

<template>
  <section class="big" aria-label="Where the run stands">
    <div class="good">
      <b>{{ good }}</b>
      <p>
        {{ wanted > 0 ? `of ${wanted}` : 'pieces'
        }}<small
          >good at this layer<span v-if="run?.yield && run.yield.of > 4" class="yield"
            >; {{ percent(run.yield.share) }} of pulls, likely {{ Math.round(run.yield.low * 100) }} to
            {{ percent(run.yield.high) }}</span
          ></small
        >
      </p>
    </div>
    <div>
      <b>{{ left }}</b>
      <p>
        {{ pluralise(left, 'sheet').replace(/^\d+ /, '') }} left<template v-if="minutesLeft"
          >, {{ formatDuration(minutesLeft) }}</template
        >
      </p>
    </div>
    <div v-if="wanted > 0" class="chance">
      <b>{{ chanceWords(chance.chance, chance.isRough) }}</b>
      <p>chance of {{ wanted }}</p>
    </div>
    <div class="routine">
      <p>The routine</p>
      <ol>
        <li v-for="(step, i) in routine" :key="i">{{ step }}</li>
      </ol>
      <p v-for="chore in chores" :key="chore" class="chore" role="status">Now: {{ chore }}</p>
      <p v-if="run?.sinceInk" class="laid">
        ink laid {{ formatDuration(Math.max(1, run.sinceInk.minutes)).replace('about ', '') }} ago,
        {{ pluralise(run.sinceInk.pulls, 'pull') }}
      </p>
      <InkEnough :layer-ids="[layerId]" only-short />
    </div>
  </section>
</template>

<style scoped>
.big {
  display: grid;
  grid-template-columns: 1.7fr 1fr 1fr 1.1fr;
  gap: 24px;
  padding: 4px 0 14px;
  border-bottom: 1px solid var(--rule);
  align-items: end;
}
b {
  font-family: var(--sans);
  font-weight: 600;
  font-size: 4.4rem;
  line-height: 1;
}
p {
  color: var(--soft);
  font-size: 0.95rem;
  margin-top: 6px;
}
.good {
  display: flex;
  align-items: end;
  gap: 20px;
}
.good b {
  font-size: 9rem;
  line-height: 0.86;
}
.good p {
  font-size: 2.1rem;
  line-height: 1.1;
}
small {
  display: block;
  line-height: 1.3;
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
.routine p {
  margin-top: 0;
}
.routine .chore {
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
@media (max-width: 1000px) {
  .big {
    grid-template-columns: 1.5fr 1fr 1fr;
  }
  .good b {
    font-size: 8rem;
  }
  .routine {
    grid-column: 1 / -1;
    border-left: 0;
    padding-left: 0;
    display: flex;
    flex-wrap: wrap;
    gap: 2px 16px;
    align-items: baseline;
  }
  .routine ol {
    display: contents;
  }
}
@media (max-width: 560px), (max-height: 640px) {
  .big {
    grid-template-columns: 1.4fr 1fr 1fr;
    gap: 10px;
    padding-bottom: 6px;
  }
  .good {
    gap: 8px;
  }
  .good b {
    font-size: 3.4rem;
  }
  .good p {
    font-size: 1.1rem;
  }
  b,
  .chance b {
    font-size: 2.2rem;
  }
  small,
  p {
    font-size: 0.8rem;
  }
  .routine,
  .yield {
    display: none;
  }
}
</style>
