<script setup lang="ts">
import type { FlowStage } from '#core/edition/flow'
import { drawStream, streamSentence } from '~/drawings/stream'

const props = defineProps<{ stages: FlowStage[] }>()
const svg = useTemplateRef<SVGSVGElement>('svg')
const frame = useTemplateRef<HTMLElement>('frame')
useDrawn(
  frame,
  'stream',
  () => [props.stages],
  (width) => drawStream(svg.value!, props.stages, Math.max(460, width)),
)
</script>

<template>
  <div ref="frame" class="stream"><svg ref="svg" role="img" :aria-label="streamSentence(stages)" /></div>
</template>

<style>
.stream {
  overflow-x: auto;
}
.stream svg {
  display: block;
  font-family: var(--sans);
  font-size: 12px;
}
.stream .post {
  fill: var(--ink);
}
.stream .flow {
  fill: #d9d2c2;
}
.stream .waiting-flow {
  fill: none;
  stroke: var(--faint);
  stroke-dasharray: 3 3;
}
.stream .doubtful-flow {
  fill: var(--stroke-doubtful);
}
.stream .loss {
  fill: none;
  stroke: var(--reject);
}
.stream .lost {
  fill: var(--reject);
}
.stream .label,
.stream .said {
  fill: var(--soft);
}
.stream .sheets {
  fill: var(--sheet);
  text-anchor: middle;
  font-weight: 600;
  font-size: 14px;
}
.stream .sheets.outside {
  fill: var(--ink);
}
</style>
