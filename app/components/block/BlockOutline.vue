<script setup lang="ts">
import type { BlockDescription } from '#core/block/block'

/** A block to scale, where no picture of it was handed in: its mount, and the image on it, as it prints. */
const props = defineProps<{ block: BlockDescription }>()
const units = useUnits()
/** Mirrored, as the print shows it. */
const left = computed(() => props.block.width - props.block.image.left - props.block.image.width)
const pen = computed(() => Math.max(props.block.width, props.block.height) / 300)
</script>

<template>
  <figure class="outline">
    <svg
      :viewBox="`${-pen} ${-pen} ${block.width + 2 * pen} ${block.height + 2 * pen}`"
      role="img"
      :aria-label="`${block.name}, as it prints: ${units.size(block.width, block.height)}, its image ${units.size(block.image.width, block.image.height)}`"
    >
      <rect class="mount" :width="block.width" :height="block.height" :stroke-width="pen" />
      <rect
        class="image"
        :x="left"
        :y="block.image.top"
        :width="block.image.width"
        :height="block.image.height"
        :transform="`rotate(${-block.rotation} ${block.width / 2} ${block.height / 2})`"
        :stroke-width="pen"
      />
    </svg>
    <figcaption class="soft">
      As it prints, to scale. A picture or rubbing shows it once a state is recorded.
    </figcaption>
  </figure>
</template>

<style scoped>
.outline {
  max-width: 420px;
  margin: 12px 0;
}
svg {
  display: block;
  width: 100%;
  max-height: 300px;
}
.mount {
  fill: #cbb48d;
  stroke: var(--ink);
}
.image {
  fill: var(--ink);
  fill-opacity: 0.8;
  stroke: none;
}
figcaption {
  font-size: 0.84rem;
  margin-top: 5px;
}
</style>
