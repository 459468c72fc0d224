<script setup lang="ts">
import { packingHeight } from '#core/press/stack'

/**
 * What lies between bed and roller or platen, in section, thickness to scale: packing, the sheet, the block. Where it may be
 * changed, a piece is dragged up or down, or moved with the arrows and taken out with Delete.
 */
const props = defineProps<{
  packing: { name: string; thickness: number; count: number }[]
  block: { name: string; thickness: number } | null
  press: string
  /** How pressure comes from above: a roller or a plate. */
  roller?: boolean
  editable?: boolean
}>()
const emit = defineEmits<{ move: [from: number, to: number]; take: [at: number] }>()
const units = useUnits()
const wide = 430
const body = 220
/** Sheet and thin cards would vanish at the scale of the block; they are drawn no thinner than a pen stroke. */
const thinnest = 7
const top = 66
const layers = computed(() => [
  ...props.packing
    .map((piece, at) => ({ ...piece, thickness: packingHeight([piece]), at, kind: 'packing' as const }))
    .reverse(),
  { name: 'the sheet', thickness: 0, count: 1, at: -1, kind: 'sheet' as const },
  ...(props.block ? [{ ...props.block, count: 1, at: -1, kind: 'block' as const }] : []),
])
function wordsOf({ name, thickness, count }: { name: string; thickness: number; count: number }): string {
  const many = count > 1 ? `${count} × ${name}` : name
  return thickness > 0 ? `${many}, ${units.thickness(thickness)}` : many
}
const scale = computed(() => 130 / Math.max(1, packingHeight(layers.value.map((one) => ({ ...one, count: 1 })))))
const drawn = computed(() => {
  let from = top
  return layers.value.map((layer) => {
    const height = Math.max(thinnest, layer.thickness * scale.value)
    const here = { ...layer, from, height, middle: from + height / 2 }
    from += height + 1
    return here
  })
})
/** Words keep clear of one another where the layers are thin. */
const said = computed(() => {
  let least = 0
  return drawn.value.map(({ middle }) => (least = Math.max(middle + 4, least + 18)))
})
const bed = computed(() => drawn.value.at(-1)!.from + drawn.value.at(-1)!.height + 1)
const foot = computed(() => Math.max(bed.value + 14, said.value.at(-1)! + 8))

/** Packing lies from the sheet outwards, so upwards in the drawing is later in the list. */
const dragged = ref<number | null>(null)
function over(event: PointerEvent) {
  if (dragged.value === null) return
  const svg = event.currentTarget as SVGSVGElement
  const y = ((event.clientY - svg.getBoundingClientRect().top) / svg.clientHeight) * foot.value
  const onto = drawn.value.find(({ from, height, kind }) => kind === 'packing' && y >= from && y <= from + height)
  if (!onto || onto.at === dragged.value) return
  emit('move', dragged.value, onto.at)
  dragged.value = onto.at
}
function onKey(event: KeyboardEvent, at: number) {
  if (event.key === 'ArrowUp') emit('move', at, at + 1)
  else if (event.key === 'ArrowDown') emit('move', at, at - 1)
  else if (event.key === 'Delete' || event.key === 'Backspace') emit('take', at)
  else return
  event.preventDefault()
}
</script>

<template>
  <svg
    class="sandwich"
    :viewBox="`0 0 ${wide} ${foot}`"
    :role="editable ? 'group' : 'img'"
    :aria-label="`The sandwich under ${press || 'no press yet'}: ${layers.map(wordsOf).join('; ')}, on the bed`"
    @pointermove="over"
    @pointerup="dragged = null"
    @pointerleave="dragged = null"
  >
    <template v-if="roller">
      <circle class="press" :cx="body / 2" :cy="top - 34" r="33" />
      <circle class="axle" :cx="body / 2" :cy="top - 34" r="5" />
      <text :x="body / 2 + 44" :y="top - 30" class="named">{{ press }}</text>
    </template>
    <template v-else>
      <rect class="press" x="20" :y="top - 25" :width="body - 40" height="24" />
      <text :x="body / 2" :y="top - 8" text-anchor="middle" class="on-press">{{ press }}</text>
    </template>
    <g
      v-for="(layer, i) in drawn"
      :key="layer.kind === 'packing' ? `p${layer.at}` : layer.kind"
      :class="[layer.kind, { editable: editable && layer.kind === 'packing' }]"
      :tabindex="editable && layer.kind === 'packing' ? 0 : undefined"
      :role="editable && layer.kind === 'packing' ? 'button' : undefined"
      :aria-label="
        editable && layer.kind === 'packing' ? `${wordsOf(layer)}: arrows move it, Delete takes it out` : undefined
      "
      @keydown="editable && layer.kind === 'packing' && onKey($event, layer.at)"
      @pointerdown="editable && layer.kind === 'packing' && (dragged = layer.at)"
    >
      <rect x="10" :y="layer.from" :width="body - 20" :height="layer.height" />
      <line :x1="body - 10" :y1="layer.middle" :x2="body + 12" :y2="said[i]! - 4" />
      <text :x="body + 18" :y="said[i]">{{ wordsOf(layer) }}</text>
    </g>
    <rect class="press" x="0" :y="bed" :width="body" height="12" />
  </svg>
</template>

<style scoped>
.sandwich {
  display: block;
  width: 100%;
  max-width: 560px;
  height: auto;
  font-size: 14px;
  touch-action: none;
}
.press {
  fill: #4b4d50;
}
.axle {
  fill: var(--ground);
}
text.on-press {
  fill: #fff;
  font-weight: 600;
}
text {
  fill: var(--ink);
}
.named {
  font-weight: 600;
}
.packing rect {
  fill: #d9d2c2;
  stroke: var(--ink);
  stroke-width: 0.6;
}
.sheet rect {
  fill: #fff;
  stroke: var(--green);
}
.block rect {
  fill: #cbb48d;
  stroke: var(--ink);
  stroke-width: 0.6;
}
.editable {
  cursor: grab;
}
.editable:focus-visible {
  outline: none;
}
.editable:focus-visible rect,
.editable:hover rect {
  stroke: var(--green);
  stroke-width: 2;
}
line {
  stroke: var(--faint);
  stroke-width: 0.8;
}
</style>
