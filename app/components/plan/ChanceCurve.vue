<script setup lang="ts">
import { type ChancePoint, drawChance } from '~/drawings/chance'
import { percent } from '~/drawings/words'
import { pluralise } from '#core/units/pluralise'

const props = defineProps<{
  points: ChancePoint[]
  marks: { sheets: number; confidence: number }[]
  chosen: number | null
  goal: number
}>()
const svg = useTemplateRef<SVGSVGElement>('svg')
const frame = useTemplateRef<HTMLElement>('frame')
const read = ref<ChancePoint | null>(null)
useDrawn(
  frame,
  'chance',
  () => [props.points, props.marks, props.chosen],
  (width) =>
    drawChance(
      svg.value!,
      props.points,
      props.marks,
      props.chosen,
      { width: Math.max(300, width), height: 170 },
      (point) => {
        read.value = point
      },
    ),
)
const label = computed(
  () =>
    `Chance of ${pluralise(props.goal, 'good print')} against sheets started. ${props.marks.map((mark) => `${pluralise(mark.sheets, 'sheet')} for ${percent(mark.confidence)}`).join(', ')}. Arrow keys read the curve.`,
)
</script>

<template>
  <div ref="frame" class="chance-curve">
    <svg ref="svg" role="img" tabindex="0" :aria-label="label" />
    <p class="said" role="status">
      <template v-if="read"
        >{{ pluralise(read.sheets, 'sheet') }} started: {{ percent(read.chance) }} chance of {{ goal }}</template
      >
    </p>
  </div>
</template>

<style>
.chance-curve svg {
  display: block;
  font-family: var(--sans);
  font-size: 12px;
  max-width: 100%;
}
.chance-curve .level {
  stroke: var(--rule);
}
.chance-curve .base {
  stroke: var(--ink);
}
.chance-curve .scale {
  fill: var(--soft);
}
.chance-curve .curve {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
.chance-curve line.answer {
  stroke: var(--soft);
  stroke-dasharray: 2 3;
}
.chance-curve circle.answer {
  fill: var(--ground);
  stroke: var(--ink);
  stroke-width: 1.5;
}
.chance-curve line.chosen {
  stroke: var(--green);
  stroke-width: 1.5;
}
.chance-curve rect.chosen {
  fill: var(--green);
}
.chance-curve .chosen-said {
  fill: var(--green);
  font-weight: 600;
}
.chance-curve .reader {
  pointer-events: none;
}
.chance-curve .reader line {
  stroke: var(--proof);
}
.chance-curve .reader circle {
  fill: var(--proof);
}
.chance-curve .said {
  min-height: 1.5em;
  font-size: 0.86rem;
  color: var(--proof);
}
</style>
