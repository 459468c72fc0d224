<script setup lang="ts">
import type { Stroke } from '~/drawings/tally'

/** The tally of a whole run, the newest stroke always in view; a hundred stay drawn. */
const props = defineProps<{ strokes: Stroke[]; label?: string }>()
const frame = useTemplateRef<HTMLElement>('frame')
const width = useWidth(frame, 'run')
const cell = computed(() => ((width.value ?? 1200) < 560 ? 24 : props.strokes.length > 50 ? 28 : 38))

/** Down to the newest, once it is drawn. */
const toNewest = () =>
  requestAnimationFrame(() => frame.value?.scrollTo({ top: frame.value.scrollHeight, behavior: 'instant' }))
watch(() => props.strokes.length, toNewest, { flush: 'post' })
/** A panel that opens takes room from the run; whoever reads among the older strokes is left there. */
const sized = new ResizeObserver(() => frame.value?.contains(document.activeElement) || toNewest())
onMounted(() => sized.observe(frame.value!))
onUnmounted(() => sized.disconnect())
</script>

<template>
  <section ref="frame" class="run">
    <LongTally
      :strokes="strokes"
      :label="label"
      :cell="cell"
      :tall="1.9"
      :older-cell="24"
      :older-tall="1.7"
      :left-open="100"
      :bundle-of="25"
    />
  </section>
</template>

<style scoped>
.run {
  /* The bar of a reject reaches beyond its cell. */
  padding: 12px 4px 4px;
  margin: 0 -4px;
  overflow: hidden auto;
  min-height: 0;
  scrollbar-width: thin;
  scrollbar-color: var(--rule) transparent;
}
</style>
