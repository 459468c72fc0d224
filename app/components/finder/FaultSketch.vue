<script setup lang="ts">
import { faultDrawings } from '~/drawings/fault-drawings'

/** A fault as it looks on a print, drawn small. */
const props = defineProps<{ fault: string }>()
const drawing = computed(() => faultDrawings[props.fault] ?? {})
</script>

<template>
  <svg viewBox="0 0 40 30" width="40" height="30" aria-hidden="true">
    <path v-if="drawing.wash" class="wash" :d="drawing.wash" />
    <path v-if="drawing.ink" class="ink" :d="drawing.ink" />
    <path v-if="drawing.bare" class="bare" :d="drawing.bare" />
    <path v-if="drawing.wash && drawing.ink" class="wash over" :d="drawing.wash" />
    <path v-if="drawing.line" class="line" :d="drawing.line" />
  </svg>
</template>

<style scoped>
.ink {
  fill: var(--ink);
}
.bare {
  fill: var(--ground);
}
.wash {
  fill: var(--faint);
}
.over {
  opacity: 0.55;
}
.line {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.2;
}
</style>
