<script setup lang="ts">
import { pluralise } from '#core/units/pluralise'
import { percent } from '~/drawings/words'

/** The run of a layer in figures: yield, drift and ink, each with the number it rests on. */
const props = defineProps<{ layerId: string }>()
const now = ref(Date.now())
const { watch: run } = useRunWatch(toRef(props, 'layerId'), now)
const signed = (value: number) => `${value > 0 ? '+' : value < 0 ? '−' : ''}${Math.abs(value).toFixed(1)}`
</script>

<template>
  <div v-if="run?.yield" class="customs">
    <p>
      {{ run.yield.good }} of {{ run.yield.of }} pulls good, {{ percent(run.yield.share) }}: most likely between
      {{ percent(run.yield.low) }} and {{ percent(run.yield.high) }}.
    </p>
    <p>
      Drift stands at {{ run.drift.score.toFixed(1) }} of {{ run.design.limit.toFixed(1) }}. With
      {{ percent(run.design.planned) }} not good as planned it would speak by chance once in
      {{ pluralise(Math.round(run.design.falseAfter), 'pull') }}, and of a run with {{ percent(run.design.bad) }} after
      about {{ Math.round(run.design.foundAfter) }}.
    </p>
    <p v-if="run.trend.graded > 0">
      Ink against the standard: {{ signed(run.trend.average) }} on average over {{ run.trend.graded }} graded
      {{ run.trend.graded === 1 ? 'pull' : 'pulls' }}, of ±{{ run.trend.limit.toFixed(1) }}.
    </p>
    <p v-else class="soft">
      No pull is graded since the last change: 1 to 5 at the bench hold its ink against the standard.
    </p>
    <p v-for="warning in run.warnings" :key="warning.key" class="warning">{{ warning.words }}</p>
  </div>
</template>

<style scoped>
.warning {
  color: var(--doubtful);
}
</style>
