<script setup lang="ts">
import type { RackedStack, RackSummary } from '#shared/replies/replies'
import { shelvesAColumn, slotWords } from '~/drawings/rack'

/** A rack from the front: a line a slot, a sheet where something lies, its name where its stack begins. */
const props = defineProps<{ rack: RackSummary; stacks: RackedStack[]; isReady: (stack: RackedStack) => boolean }>()
const step = 15
const column = 250
const columns = computed(() => Math.ceil(props.rack.slots / shelvesAColumn))
const rows = computed(() => Math.min(props.rack.slots, shelvesAColumn))
const size = computed(() => ({ width: columns.value * column, height: rows.value * step + 8 }))
const stackIn = computed(
  () => new Map(props.stacks.flatMap((stack) => stack.slots.map((slot) => [slot, stack] as const))),
)
const slots = computed(() =>
  Array.from({ length: props.rack.slots }, (_, i) => {
    const stack = stackIn.value.get(i + 1)
    return {
      slot: i + 1,
      x: Math.floor(i / shelvesAColumn) * column,
      y: (i % shelvesAColumn) * step + step,
      stack,
      isFirst: !!stack && stack.slots[0] === i + 1,
    }
  }),
)
const label = computed(() => {
  const said = props.stacks.map((stack) => `${slotWords(stack.slots)}: ${stack.title}, ${stack.layerName}`)
  return `${props.rack.name}, ${props.rack.slots} slots. ${said.join('; ') || 'Nothing lies in it'}.`
})
</script>

<template>
  <div class="frame">
    <svg
      :viewBox="`0 0 ${size.width} ${size.height}`"
      :style="{ width: `${size.width}px` }"
      role="img"
      :aria-label="label"
    >
      <g v-for="one in slots" :key="one.slot" :transform="`translate(${one.x} ${one.y})`">
        <text v-if="one.slot % 5 === 0 || one.slot === 1" class="number" x="20" y="3">{{ one.slot }}</text>
        <line class="shelf" x1="26" x2="232" y1="0" y2="0" />
        <rect
          v-if="one.stack"
          class="sheet"
          :class="isReady(one.stack) ? 'ready' : 'wet'"
          x="32"
          y="-5"
          width="72"
          height="4"
        />
        <text v-if="one.isFirst" class="name" x="110" y="-1">{{ one.stack!.title }}</text>
      </g>
    </svg>
    <p v-if="stacks.length > 0" class="soft key">Hollow: still drying. Filled: fit to print on.</p>
  </div>
</template>

<style scoped>
.frame {
  overflow-x: auto;
  margin: 8px 0;
}
svg {
  display: block;
  font-family: var(--sans);
}
.number {
  fill: var(--soft);
  font-size: 10px;
  text-anchor: end;
}
.name {
  fill: var(--ink);
  font-size: 11.5px;
}
.shelf {
  stroke: var(--rule);
}
.sheet {
  stroke: var(--ink);
  stroke-width: 1;
}
.wet {
  fill: none;
}
.ready {
  fill: var(--ink);
}
.key {
  font-size: 0.8rem;
  margin: 2px 0 0;
}
</style>
