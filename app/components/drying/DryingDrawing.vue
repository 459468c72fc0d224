<script setup lang="ts">
import type { Drying } from '#core/drying/moments'
import { useResizeObserver } from '~/composables/resize'
import { drawDrying, dryingSentence } from '~/drawings/drying'

const props = defineProps<{ drying: Drying; since: number; now: number }>()
const svg = useTemplateRef<SVGSVGElement>('svg')
const frame = useTemplateRef<HTMLElement>('frame')
const width = useResizeObserver(frame, 720)
const draw = () => svg.value && drawDrying(svg.value, props.drying, props.since, props.now, Math.max(340, width.value))
onMounted(draw)
watch([() => props.drying, () => props.now, width], draw, { flush: 'post' })
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
