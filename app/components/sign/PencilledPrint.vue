<script setup lang="ts">
import type { SheetLaidOut } from '#core/finish/plan'
import { letterHeight } from '#core/print/hand-width'
import type { PencilLine } from '#core/print/pencil-line'

/** The print at its true proportions, with the line as it is to be pencilled below the image. */
const props = defineProps<{ laid: SheetLaidOut; line: PencilLine }>()
const image = computed(() => props.laid.images[0]!)
const thin = computed(() => Math.max(props.laid.sheet.width, props.laid.sheet.height) / 280)
/** A letter of this height is drawn from a face whose letters are about seven tenths of its size. */
const size = letterHeight / 0.7
const below = computed(() => image.value.top + image.value.height + size + 1.5)
</script>

<template>
  <svg
    class="print"
    :viewBox="`${-thin} ${-thin} ${laid.sheet.width + 2 * thin} ${laid.sheet.height + 2 * thin}`"
    aria-hidden="true"
  >
    <rect class="paper" :width="laid.sheet.width" :height="laid.sheet.height" :stroke-width="thin" />
    <rect class="image" :x="image.left" :y="image.top" :width="image.width" :height="image.height" />
    <g class="pencil" :font-size="size">
      <text :x="image.left" :y="below">{{ line.left }}</text>
      <text :x="image.left + image.width / 2" :y="below" text-anchor="middle">{{ line.middle }}</text>
      <text :x="image.left + image.width" :y="below" text-anchor="end">{{ line.right }}</text>
    </g>
  </svg>
</template>

<style scoped>
.print {
  display: block;
  width: 100%;
  max-height: 340px;
}
.paper {
  fill: #fffdf8;
  stroke: var(--rule);
}
.image {
  fill: #d9d2c2;
}
.pencil {
  font-family: var(--pencil);
  fill: #55524b;
}
</style>
