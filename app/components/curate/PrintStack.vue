<script setup lang="ts">
import { pluralise } from '#core/units/pluralise'
import { pileOf, type PrintEdge } from '~/drawings/print-stack'

/** The stack as it lies, seen from its edge, the print in front drawn out; a touch takes another. */
const props = defineProps<{ edges: PrintEdge[]; front: number }>()
const emit = defineEmits<{ take: [place: number] }>()
const tall = 420
const pile = computed(() => pileOf(props.edges.length, tall))
const height = computed(() => Math.max(40, pile.value.step * props.edges.length + 8))
const widths = { open: 150, good: 150, doubtful: 150, reject: 70 }
const label = computed(() => {
  const number = (stands: PrintEdge['stands']) => props.edges.filter((edge) => edge.stands === stands).length
  return `The stack: ${pluralise(props.edges.length, 'print')}, ${number('good')} good, ${number('doubtful')} doubtful, ${pluralise(number('reject'), 'reject')}, ${number('open')} not looked at.`
})
function touch(event: MouseEvent) {
  const box = (event.currentTarget as SVGElement).getBoundingClientRect()
  const place = Math.floor((((event.clientY - box.top) / box.height) * height.value - 4) / pile.value.step)
  emit('take', Math.min(props.edges.length - 1, Math.max(0, place)))
}
</script>

<template>
  <svg
    class="pile"
    :viewBox="`0 0 200 ${height}`"
    width="200"
    :height="height"
    role="img"
    :aria-label="label"
    @click="touch"
  >
    <g
      v-for="(edge, i) in edges"
      :key="edge.id"
      v-memo="[edge.stands, edge.mark, i, i === front, pile.step]"
      :class="[`is-${edge.stands}`, { front: i === front }]"
    >
      <rect
        :x="i === front ? 14 : 2"
        :y="4 + i * pile.step"
        :width="widths[edge.stands]"
        :height="i === front ? Math.max(3, pile.thick) : pile.thick"
      />
      <circle
        v-if="edge.stands === 'doubtful' && pile.step > 5"
        :cx="i === front ? 172 : 160"
        :cy="4 + i * pile.step + pile.thick / 2"
        r="3"
      />
      <text v-if="pile.step > 9 && edge.mark" x="196" :y="4 + i * pile.step + pile.thick">{{ edge.mark }}</text>
    </g>
  </svg>
</template>

<style scoped>
.pile {
  display: block;
  max-width: 100%;
  cursor: pointer;
}
rect {
  fill: var(--sheet);
  stroke: var(--faint);
  stroke-width: 0.7;
}
.is-good rect {
  fill: var(--ink);
  stroke: none;
}
.is-doubtful rect,
.is-doubtful circle {
  fill: var(--stroke-doubtful);
  stroke: none;
}
.is-reject rect {
  fill: var(--reject);
  stroke: none;
}
.front rect {
  stroke: var(--green);
  stroke-width: 2;
}
text {
  font: 10px var(--sans);
  fill: var(--soft);
  text-anchor: end;
}
</style>
