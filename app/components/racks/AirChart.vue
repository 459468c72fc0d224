<script setup lang="ts">
import type { Reading } from '#core/stores/climate/state'
import { airSentence, drawAir } from '~/drawings/air'
import { rowsCsv } from '~/drawings/tables-csv'

/** The air of the room by the hour, with its data to take along. */
const props = defineProps<{ readings: Reading[] }>()
const svg = useTemplateRef<SVGSVGElement>('svg')
const frame = useTemplateRef<HTMLElement>('frame')
useDrawn(
  frame,
  'air',
  () => [props.readings],
  (width) => drawAir(svg.value!, props.readings, Math.max(300, Math.min(860, width))),
)

async function csv() {
  const lines = props.readings.map(({ at, temperature, humidity }) => ({
    time: at,
    'temperature °C': temperature,
    'humidity %': humidity,
  }))
  download(await rowsCsv(lines), 'text/csv', 'air-of-the-room.csv')
}
</script>

<template>
  <div ref="frame" class="air">
    <svg ref="svg" role="img" :aria-label="airSentence(readings)" />
    <p class="soft">{{ airSentence(readings) }} <button type="button" class="link" @click="csv">CSV</button></p>
  </div>
</template>

<style>
.air {
  margin-top: 12px;
  overflow-x: auto;
}
.air svg {
  display: block;
  font-family: var(--sans);
}
.air .tick {
  fill: var(--soft);
  font-size: 11px;
}
.air .rule {
  stroke: var(--rule);
}
.air .name {
  fill: var(--ink);
  font-size: 12px;
}
.air .curve {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.6;
}
.air .curve.humidity {
  stroke: var(--proof);
}
.air p {
  font-size: 0.84rem;
}
</style>
