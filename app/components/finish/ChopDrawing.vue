<script setup lang="ts">
import type { Chop, SheetLaidOut } from '#core/finish/plan'

/** The finished sheet with its image, the window of the mat, and where the chop goes. */
const props = defineProps<{ chop: Chop; laid: SheetLaidOut }>()
const units = useUnits()
const thin = computed(() => Math.max(props.laid.sheet.width, props.laid.sheet.height) / 300)
const label = computed(() => {
  const { left, top, width, height } = props.chop
  return `The chop, ${units.size(width, height)}, ${units.length(left)} from the left and ${units.length(top)} from the top of the sheet.`
})
</script>

<template>
  <svg
    class="chop"
    :viewBox="`${-thin} ${-thin} ${laid.sheet.width + 2 * thin} ${laid.sheet.height + 2 * thin}`"
    role="img"
    :aria-label="label"
  >
    <rect class="sheet" :width="laid.sheet.width" :height="laid.sheet.height" :stroke-width="thin" />
    <rect
      v-for="(image, i) in laid.images"
      :key="i"
      class="image"
      :x="image.left"
      :y="image.top"
      :width="image.width"
      :height="image.height"
      :stroke-width="thin"
    />
    <rect
      v-if="laid.window"
      class="window"
      :x="laid.window.left"
      :y="laid.window.top"
      :width="laid.window.width"
      :height="laid.window.height"
      :stroke-width="thin"
      :stroke-dasharray="`${thin * 6} ${thin * 3}`"
    />
    <rect
      class="stamp"
      :x="chop.left"
      :y="chop.top"
      :width="chop.width"
      :height="chop.height"
      :stroke-width="thin * 1.5"
    />
  </svg>
</template>

<style scoped>
.chop {
  display: block;
  width: min(100%, 240px);
  margin-top: 10px;
}
.sheet {
  fill: var(--sheet);
  stroke: var(--ink);
}
.image {
  fill: #d9d2c2;
  stroke: var(--rule);
}
.window {
  fill: none;
  stroke: var(--soft);
}
.stamp {
  fill: none;
  stroke: var(--green);
}
</style>
