<script setup lang="ts">
import { drag } from 'd3-drag'
import { select } from 'd3-selection'
import { finishedSize, imagesOn, type ImagesOnPiece, type Margins } from '#core/paper/piece'
import { type Edge, edges } from '#core/paper/tear-request'

/** The finished sheet with its image; each margin can be dragged, or moved with the arrow keys. */
const props = defineProps<{ image: { width: number; height: number }; images: ImagesOnPiece; margins: Margins }>()
const emit = defineEmits<{ move: [edge: Edge, mm: number] }>()
const units = useUnits()
const svg = useTemplateRef<SVGSVGElement>('svg')
const sheet = computed(() => {
  const { width, height } = finishedSize(props)
  return { width: Math.max(1, width), height: Math.max(1, height) }
})
/** What the images take up together, with what is left between them. */
const printed = computed(() => {
  const { margins } = props
  return {
    width: sheet.value.width - margins.left - margins.right,
    height: sheet.value.height - margins.top - margins.bottom,
  }
})
const placed = computed(() => {
  const { image, images, margins } = props
  return Array.from({ length: imagesOn(images) }, (_, i) => ({
    x: margins.left + (i % images.across) * (image.width + images.gap),
    y: margins.top + Math.floor(i / images.across) * (image.height + images.gap),
  }))
})
const box = computed(
  () =>
    `${-sheet.value.width * 0.04} ${-sheet.value.height * 0.04} ${sheet.value.width * 1.08} ${sheet.value.height * 1.08}`,
)
const thin = computed(() => Math.max(sheet.value.width, sheet.value.height) / 260)
const handles = computed(() => {
  const { margins } = props
  const right = margins.left + printed.value.width
  const foot = margins.top + printed.value.height
  const places: Record<Edge, [number, number, number, number]> = {
    left: [margins.left, margins.top, margins.left, foot],
    right: [right, margins.top, right, foot],
    top: [margins.left, margins.top, right, margins.top],
    bottom: [margins.left, foot, right, foot],
  }
  return edges.map((edge) => ({
    edge,
    line: places[edge],
    upright: edge === 'left' || edge === 'right',
    x: (places[edge][0] + places[edge][2]) / 2,
    y: (places[edge][1] + places[edge][3]) / 2,
  }))
})
const words: Record<Edge, string> = {
  left: 'Left margin, drawn',
  right: 'Right margin, drawn',
  top: 'Top margin, drawn',
  bottom: 'Foot margin, drawn',
}
const step = (event: KeyboardEvent, edge: Edge) => {
  const by = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1, PageUp: 10, PageDown: -10 }[event.key]
  if (by === undefined) return
  event.preventDefault()
  emit('move', edge, Math.max(0, props.margins[edge] + by))
}

onMounted(() => {
  // The sheet grows as a margin is dragged, so the distance is measured at the scale it had when the drag began.
  let from = 0
  let scale = 1
  let begun = 0
  select(svg.value!)
    .selectAll<SVGGElement, unknown>('.handle')
    .call(
      drag<SVGGElement, unknown>()
        .container(() => document.body)
        .on('start', function (event) {
          const edge = this.dataset.edge as Edge
          from = props.margins[edge]
          scale = (sheet.value.width * 1.08) / svg.value!.clientWidth
          begun = edge === 'left' || edge === 'right' ? event.x : event.y
        })
        .on('drag', function (event) {
          const edge = this.dataset.edge as Edge
          const moved = ((edge === 'left' || edge === 'right' ? event.x : event.y) - begun) * scale
          emit(
            'move',
            edge,
            Math.max(0, Math.round((from + (edge === 'left' || edge === 'top' ? moved : -moved)) * 2) / 2),
          )
        }),
    )
})
</script>

<template>
  <svg
    ref="svg"
    class="margins"
    :viewBox="box"
    role="group"
    aria-label="The finished sheet, with margins that can be moved"
  >
    <rect class="sheet" :width="sheet.width" :height="sheet.height" :stroke-width="thin" />
    <rect
      v-for="(at, i) in placed"
      :key="i"
      class="image"
      :x="at.x"
      :y="at.y"
      :width="Math.max(0, image.width)"
      :height="Math.max(0, image.height)"
      :stroke-width="thin"
    />
    <g
      v-for="handle in handles"
      :key="handle.edge"
      class="handle"
      :data-edge="handle.edge"
      :class="{ upright: handle.upright }"
      role="slider"
      tabindex="0"
      :aria-label="words[handle.edge]"
      :aria-valuenow="margins[handle.edge]"
      aria-valuemin="0"
      :aria-valuetext="units.length(margins[handle.edge])"
      @keydown="step($event, handle.edge)"
    >
      <line
        class="touch"
        :x1="handle.line[0]"
        :y1="handle.line[1]"
        :x2="handle.line[2]"
        :y2="handle.line[3]"
        :stroke-width="thin * 14"
      />
      <line
        class="grip"
        :x1="handle.x - (handle.upright ? 0 : thin * 9)"
        :x2="handle.x + (handle.upright ? 0 : thin * 9)"
        :y1="handle.y - (handle.upright ? thin * 9 : 0)"
        :y2="handle.y + (handle.upright ? thin * 9 : 0)"
        :stroke-width="thin * 3"
      />
    </g>
    <text :x="sheet.width / 2" :y="margins.top + printed.height / 2" :font-size="thin * 11" text-anchor="middle">
      {{ placed.length > 1 ? `${placed.length} × ` : ''
      }}{{ units.size(Math.max(0, image.width), Math.max(0, image.height)) }}
    </text>
    <text :x="sheet.width / 2" :y="sheet.height - thin * 4" :font-size="thin * 9" text-anchor="middle">
      {{ units.length(margins.bottom) }}
    </text>
    <text :x="sheet.width / 2" :y="margins.top / 2 + thin * 3" :font-size="thin * 9" text-anchor="middle">
      {{ units.length(margins.top) }}
    </text>
    <text
      :transform="`translate(${margins.left / 2 + thin * 3} ${sheet.height * 0.42}) rotate(-90)`"
      :font-size="thin * 9"
      text-anchor="middle"
    >
      {{ units.length(margins.left) }}
    </text>
    <text
      :transform="`translate(${sheet.width - margins.right / 2 + thin * 3} ${sheet.height * 0.42}) rotate(-90)`"
      :font-size="thin * 9"
      text-anchor="middle"
    >
      {{ units.length(margins.right) }}
    </text>
  </svg>
</template>

<style scoped>
.margins {
  display: block;
  width: 100%;
  max-height: 300px;
  touch-action: none;
  font-family: var(--sans);
}
.sheet {
  fill: var(--sheet);
  stroke: var(--ink);
}
.image {
  fill: #d9d2c2;
  stroke: var(--ink);
}
.touch {
  stroke: transparent;
}
.grip {
  stroke: var(--green);
}
.handle {
  cursor: ns-resize;
}
.handle.upright {
  cursor: ew-resize;
}
.handle:focus-visible {
  outline: none;
}
.handle:focus-visible .touch {
  stroke: var(--green);
  stroke-opacity: 0.25;
}
text {
  fill: var(--ink);
}
</style>
