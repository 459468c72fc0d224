<script setup lang="ts">
import type { BlockDescription } from '#core/block/block'
import { greyOf } from '#core/ink/inked-share'
import { inkedCentre, type InkedCentre } from '#core/ink/inked-centre'
import { supportFor } from '#core/press/levelling'

/** The block on the platen, seen from above: the middle of what prints against the platen's, and the support that levels it. */
const props = defineProps<{
  block: BlockDescription
  pictureId: string | null
  bed: { width: number; height: number }
}>()
const units = useUnits()
const centre = ref<InkedCentre | null>(null)
/** A picture this wide tells a centroid as well as a larger one. */
const enough = 400
watch(
  () => props.pictureId,
  async (id) => {
    centre.value = null
    if (!id) return
    try {
      const image = await createImageBitmap(await (await fetch(`/api/pictures/${id}`)).blob())
      const scale = Math.min(1, enough / image.width)
      const [width, height] = [
        Math.max(1, Math.round(image.width * scale)),
        Math.max(1, Math.round(image.height * scale)),
      ]
      const pen = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true })!
      pen.drawImage(image, 0, 0, width, height)
      const found = inkedCentre(greyOf(pen.getImageData(0, 0, width, height).data, width, height))
      if (id === props.pictureId) centre.value = found
    } catch {
      // Without the picture the middle of the image stands for the centroid, and the words say so.
    }
  },
  { immediate: true },
)
/** Of the block laid in the middle of the platen, mm from the platen's middle. */
const at = computed(() => {
  const { width, height, image } = props.block
  return centre.value
    ? { x: (centre.value.across - 0.5) * width, y: (centre.value.down - 0.5) * height }
    : { x: image.left + image.width / 2 - width / 2, y: image.top + image.height / 2 - height / 2 }
})
const area = computed(() =>
  centre.value
    ? centre.value.share * props.block.width * props.block.height
    : props.block.image.width * props.block.image.height,
)
const support = computed(() => supportFor(area.value, at.value, props.bed))
const edge = computed(() => (support.value ? Math.sqrt(support.value.area) : 0))
const far = (value: number, one: string, other: string) =>
  Math.abs(value) < 1 ? '' : `${units.length(Math.abs(value))} ${value < 0 ? one : other}`
const off = computed(() => [far(at.value.x, 'left', 'right'), far(at.value.y, 'up', 'down')].filter(Boolean).join(', '))
</script>

<template>
  <figure class="platen">
    <svg
      :viewBox="`${-bed.width / 2 - 6} ${-bed.height / 2 - 6} ${bed.width + 12} ${bed.height + 12}`"
      width="240"
      role="img"
      :aria-label="`The block on the platen; what prints balances ${off || 'in its middle'}`"
    >
      <rect class="bed" :x="-bed.width / 2" :y="-bed.height / 2" :width="bed.width" :height="bed.height" />
      <rect class="block" :x="-block.width / 2" :y="-block.height / 2" :width="block.width" :height="block.height" />
      <path class="middle" d="M-12 0 h24 M0 -12 v24" />
      <circle class="centre" :cx="at.x" :cy="at.y" r="7" />
      <rect
        v-if="support"
        class="support"
        :x="support.x - edge / 2"
        :y="support.y - edge / 2"
        :width="edge"
        :height="edge"
      />
    </svg>
    <figcaption>
      <template v-if="support"
        >What prints balances {{ off }} of the platen’s middle. Move the block by as much the other way, or lay a
        support of printing height, about {{ units.length(edge) }} square, at
        {{ [far(support.x, 'left', 'right'), far(support.y, 'up', 'down')].filter(Boolean).join(', ') }} of
        it.</template
      ><template v-else>What prints balances under the middle of the platen.</template>
      <span class="soft">{{
        centre
          ? ' By the picture of the block, laid in the middle.'
          : ' By the image alone: a picture of the block tells it better.'
      }}</span>
    </figcaption>
  </figure>
</template>

<style scoped>
.platen {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 24px;
  align-items: center;
  margin: 14px 0;
}
figcaption {
  max-width: 46ch;
}
.bed {
  fill: none;
  stroke: var(--ink);
  stroke-width: 3;
}
.block {
  fill: #cbb185;
  stroke: var(--ink);
  stroke-width: 1;
}
.middle {
  stroke: var(--ink);
  stroke-width: 2;
}
.centre {
  fill: var(--reject);
}
.support {
  fill: none;
  stroke: var(--green);
  stroke-width: 3;
  stroke-dasharray: 6 4;
}
</style>
