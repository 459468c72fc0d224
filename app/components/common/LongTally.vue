<script setup lang="ts">
import type { Stroke } from '~/drawings/tally'

/** A tally of any length: the newest strokes drawn, older ones closed up into counted bundles, which open on touch. */
const props = withDefaults(
  defineProps<{
    strokes: Stroke[]
    label?: string
    /** Width of a stroke's cell, px, among the newest and in an opened bundle. */
    cell: number
    olderCell: number
    /** Height of a full stroke, in cells. */
    tall: number
    olderTall: number
    /** Strokes that stay drawn at least, and how many make a bundle. */
    leftOpen: number
    bundleOf: number
  }>(),
  { label: '' },
)
const chosen = defineModel<string | null>('chosen', { default: null })
const opened = ref<number | null>(null)
const closed = computed(
  () => Math.max(0, Math.ceil((props.strokes.length - props.leftOpen) / props.bundleOf)) * props.bundleOf,
)
const bundles = computed(() =>
  Array.from({ length: closed.value / props.bundleOf }, (_, i) => {
    const strokes = props.strokes.slice(i * props.bundleOf, (i + 1) * props.bundleOf)
    const count = (verdict: string) =>
      strokes.filter((stroke) => stroke.kind === 'pull' && stroke.verdict === verdict).length
    return {
      i,
      strokes,
      span: `${i * props.bundleOf + 1}–${(i + 1) * props.bundleOf}`,
      good: count('good'),
      doubtful: count('doubtful'),
      rejects: count('reject'),
    }
  }),
)
const shown = computed(() => props.strokes.slice(closed.value))
const newest = computed(() =>
  [props.label, closed.value > 0 && `strokes ${closed.value + 1}–${props.strokes.length}`].filter(Boolean).join(', '),
)
</script>

<template>
  <div>
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
      v-model:chosen="chosen"
      class="older"
      :strokes="bundles[opened]!.strokes"
      :cell="olderCell"
      :tall="olderTall"
      :label="bundles[opened]!.span"
    />
    <TallyDrawing v-model:chosen="chosen" :strokes="shown" :cell="cell" :tall="tall" :label="newest" />
  </div>
</template>

<style scoped>
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
