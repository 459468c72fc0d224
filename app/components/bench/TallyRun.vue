<script setup lang="ts">
import type { Stroke } from '~/drawings/tally'

/**
 * The tally of a whole run, the newest stroke always in view. After a hundred strokes the older ones close up into counted
 * bundles, which open on touch.
 */
const props = defineProps<{ strokes: Stroke[]; label?: string }>()
const bundleOf = 25
const leftOpen = 100
const frame = useTemplateRef<HTMLElement>('frame')
const opened = ref<number | null>(null)
const closed = computed(() => Math.max(0, Math.ceil((props.strokes.length - leftOpen) / bundleOf)) * bundleOf)
const bundles = computed(() =>
  Array.from({ length: closed.value / bundleOf }, (_, i) => {
    const strokes = props.strokes.slice(i * bundleOf, (i + 1) * bundleOf)
    const count = (verdict: string) =>
      strokes.filter((stroke) => stroke.kind === 'pull' && stroke.verdict === verdict).length
    const [good, doubtful, rejects] = [count('good'), count('doubtful'), count('reject')]
    return {
      i,
      strokes,
      span: `${i * bundleOf + 1}–${(i + 1) * bundleOf}`,
      good,
      doubtful,
      rejects,
    }
  }),
)
const shown = computed(() => props.strokes.slice(closed.value))
const width = useResizeObserver(frame, 1200)
const cell = computed(() => (width.value < 560 ? 24 : props.strokes.length > 50 ? 28 : 38))

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
    <div v-if="bundles.length > 0" class="bundles">
      <button
        v-for="bundle in bundles"
        :key="bundle.i"
        type="button"
        :aria-expanded="opened === bundle.i"
        @click="opened = opened === bundle.i ? null : bundle.i"
      >
        <span class="span"><span class="unseen">strokes </span>{{ bundle.span }}</span>
        <span class="counts"
          ><b>{{ bundle.good }}<span class="unseen"> good</span></b
          ><b v-if="bundle.doubtful" class="d">{{ bundle.doubtful }}<span class="unseen"> doubtful</span></b
          ><b v-if="bundle.rejects" class="r">{{ bundle.rejects }}<span class="unseen"> rejected</span></b></span
        >
      </button>
    </div>
    <TallyDrawing
      v-if="opened !== null && bundles[opened]"
      class="older"
      :strokes="bundles[opened]!.strokes"
      :cell="24"
      :tall="1.7"
      :label="bundles[opened]!.span"
    />
    <TallyDrawing :strokes="shown" :cell="cell" :tall="1.9" :label="label" />
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
.bundles {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-bottom: 10px;
}
.bundles button {
  min-height: 64px;
  min-width: 92px;
  padding: 6px 12px;
  border: 1px solid var(--rule);
  text-align: left;
  display: grid;
  align-content: center;
}
.bundles button[aria-expanded='true'] {
  border-color: var(--ink);
}
.span {
  font-size: 0.82rem;
  color: var(--soft);
}
.counts {
  display: flex;
  gap: 10px;
}
.d {
  color: var(--doubtful);
}
.r {
  color: var(--reject);
}
.older {
  border-left: 2px solid var(--rule);
  padding-left: 10px;
  margin-bottom: 10px;
}
</style>
