<script setup lang="ts">
import type { Drying } from '#core/drying/moments'
import { drawDrying, dryingSentence } from '~/drawings/drying'

const props = defineProps<{ drying: Drying; since: number; now: number }>()
const svg = useTemplateRef<SVGSVGElement>('svg')
const frame = useTemplateRef<HTMLElement>('frame')
useDrawn(
  frame,
  'drying',
  () => [props.drying, props.now],
  (width) => drawDrying(svg.value!, props.drying, props.since, props.now, Math.max(340, width)),
)
</script>

<template>
  <div ref="frame" class="drying"><svg ref="svg" role="img" :aria-label="dryingSentence(drying, since, now)" /></div>
</template>

<style>
.drying {
  overflow-x: auto;
}
.drying svg {
  display: block;
  font-family: var(--sans);
  font-size: 12.5px;
}
.drying .name {
  fill: var(--ink);
}
.drying .when {
  fill: var(--ink);
}
.drying .perhaps {
  fill: none;
  stroke: var(--ink);
  stroke-dasharray: 3 2;
}
.drying .surely {
  fill: var(--rule);
}
.drying .now {
  stroke: var(--green);
  stroke-width: 2;
}
.drying .now-word {
  fill: var(--green);
  font-weight: 600;
}
</style>
