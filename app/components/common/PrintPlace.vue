<script setup lang="ts">
import { printFields } from '#core/print/fields'

/** Where on the print something is seen: one touch on its picture, or on one of nine fields; the keys take a field. */
defineProps<{
  /** Width over height of the image. */
  shape: number
  pictureId: string | null
  what: string
}>()
const emit = defineEmits<{ place: [across: number, down: number] }>()
const print = useTemplateRef<HTMLElement>('print')

/** A finger on a picture means the very place; a key, or a finger without a picture, the middle of the field. */
function touch(event: MouseEvent, field: (typeof printFields)[number], hasPicture: boolean) {
  if (!hasPicture || event.detail === 0) return emit('place', field.across, field.down)
  const box = print.value!.getBoundingClientRect()
  emit('place', (event.clientX - box.left) / box.width, (event.clientY - box.top) / box.height)
}
</script>

<template>
  <div ref="print" class="print" :style="{ aspectRatio: String(shape) }" role="group" :aria-label="`Where is ${what}?`">
    <img v-if="pictureId" :src="`/api/pictures/${pictureId}`" alt="" />
    <button
      v-for="(field, i) in printFields"
      :key="field.words"
      type="button"
      :aria-label="`${i + 1} ${what}: ${field.words}`"
      @click="touch($event, field, pictureId !== null)"
    >
      <kbd>{{ i + 1 }}</kbd>
    </button>
  </div>
</template>

<style scoped>
.print {
  position: relative;
  display: grid;
  grid-template: repeat(3, 1fr) / repeat(3, 1fr);
  min-width: 192px;
  min-height: 192px;
  max-height: 300px;
  border: 2px solid var(--ink);
}
img {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  object-fit: fill;
  opacity: 0.75;
}
button {
  position: relative;
  min-height: 64px;
  min-width: 64px;
  border: 1px dashed var(--rule);
  color: var(--soft);
}
</style>
