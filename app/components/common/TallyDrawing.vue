<script setup lang="ts">
import { pluralise } from '#core/units/pluralise'
import { drawTally, type Stroke, strokesPerRow } from '~/drawings/tally'

const props = withDefaults(
  defineProps<{ strokes: Stroke[]; cell?: number; tall?: number; label?: string; still?: boolean }>(),
  {
    cell: 18,
    tall: 3,
    label: '',
    still: false,
  },
)
const chosen = defineModel<string | null>('chosen', { default: null })
const svg = useTemplateRef<SVGSVGElement>('svg')
const frame = useTemplateRef<HTMLElement>('frame')
const width = useWidth(frame, 'tally')
const perRow = computed(() => (width.value ? strokesPerRow(width.value, props.cell) : null))

function draw() {
  if (!svg.value || perRow.value === null) return
  drawTally(svg.value, props.strokes, { cell: props.cell, tall: props.tall, perRow: perRow.value })
  const current = chosen.value ?? props.strokes.at(-1)?.key
  // One stop for Tab, arrows within: a run of hundreds must not be hundreds of stops.
  reachable = mark(reachable, props.still ? undefined : current, (group, on) =>
    group.setAttribute('tabindex', on ? '0' : '-1'),
  )
  shown = mark(shown, chosen.value ?? undefined, (group, on) => group.classList.toggle('is-chosen', on))
}

/** Groups marked before, so that only those are touched whose mark changes. */
let reachable: SVGGElement | null = null
let shown: SVGGElement | null = null

function mark(
  before: SVGGElement | null,
  key: string | undefined,
  set: (group: SVGGElement, on: boolean) => void,
): SVGGElement | null {
  const group =
    key === undefined ? null : svg.value!.querySelector<SVGGElement>(`g.stroke[data-key="${CSS.escape(key)}"]`)
  if (before && before !== group) set(before, false)
  if (group) set(group, true)
  return group
}

onMounted(draw)
watch(() => [props.strokes, props.cell, props.tall, perRow.value, chosen.value], draw, { flush: 'post' })

const counts = computed(() => {
  const number = (test: (stroke: Stroke) => boolean) => props.strokes.filter(test).length
  const pulls = (verdict: string) => number((s) => s.kind === 'pull' && s.verdict === verdict)
  return `${props.label ? `${props.label}: ` : ''}${pulls('good')} good, ${pulls('doubtful')} doubtful, ${pluralise(pulls('reject'), 'reject')}, ${pluralise(
    number((s) => s.kind === 'proof'),
    'proof',
  )}, ${number((s) => s.kind === 'warm-up')} warm-up.`
})

function choose(event: Event) {
  const key = (event.target as Element).closest<SVGGElement>('g.stroke')?.dataset.key
  if (key && !props.still) chosen.value = key
}

function step(event: KeyboardEvent) {
  if (perRow.value === null) return
  const by = { ArrowRight: 1, ArrowLeft: -1, ArrowDown: perRow.value, ArrowUp: -perRow.value }[event.key]
  if (by === undefined || props.still) return
  event.preventDefault()
  const at = props.strokes.findIndex((stroke) => stroke.key === chosen.value)
  const next = props.strokes[Math.min(props.strokes.length - 1, Math.max(0, at + by))]
  if (!next) return
  chosen.value = next.key
  void nextTick(() => svg.value?.querySelector<SVGGElement>('g.is-chosen')?.focus())
}
</script>

<template>
  <div ref="frame" class="tally" :class="{ still }">
    <svg
      ref="svg"
      :role="still ? 'img' : 'group'"
      :aria-label="counts"
      @click="choose"
      @focusin="choose"
      @keydown="step"
    />
  </div>
</template>
