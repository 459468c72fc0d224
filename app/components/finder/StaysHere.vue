<script setup lang="ts">
import { imageOf, type Staying } from '#core/edition/fault-places'
import type { EditionState } from '#core/edition/state'
import { pages } from '#core/drawing/tiles'
import { patchGuide } from '#core/press/patch'
import { faultWord } from '#core/print/faults'
import { pdfFile } from '~/drawings/pdf-file'

/** A fault that stays in one place: said, and its places printed in full size as a guide for a patch underlay. */
const props = defineProps<{ state: EditionState; staying: Staying }>()
const units = useUnits()
const image = computed(() => imageOf(props.state))
function print() {
  const { fault, x, y } = props.staying
  const drawing = patchGuide(image.value!, [{ x, y, words: faultWord(fault) }], props.state.title)
  const page = pages[units.unit === 'in' ? 'Letter' : 'A4']
  download(pdfFile(drawing, page, props.state.title), 'application/pdf', fileName(props.state.title, 'patch.pdf'))
}
</script>

<template>
  <div class="stays">
    <svg
      v-if="image"
      :viewBox="`0 0 ${image.width} ${image.height}`"
      width="150"
      role="img"
      :aria-label="`${faultWord(staying.fault)} stays ${units.length(staying.x)} from the left and ${units.length(staying.y)} from the top of the image`"
    >
      <rect class="image" :width="image.width" :height="image.height" />
      <circle :cx="staying.x" :cy="staying.y" r="15" />
    </svg>
    <div>
      <p class="warn">
        It stays in one place, on {{ staying.pulls }} of the last {{ staying.of }} pulls: look at block, packing and bed
        first.
      </p>
      <VBtn v-if="image" class="quiet" @click="print">Print the place 1:1, for a patch</VBtn>
    </div>
  </div>
</template>

<style scoped>
.stays {
  display: flex;
  flex-wrap: wrap;
  gap: 14px 24px;
  align-items: center;
}
.image {
  fill: var(--sheet);
  stroke: var(--ink);
}
circle {
  fill: none;
  stroke: var(--reject);
  stroke-width: 2;
}
.warn {
  color: var(--doubtful);
  margin-bottom: 8px;
}
</style>
