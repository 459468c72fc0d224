<script setup lang="ts">
import { drag } from 'd3-drag'
import { select } from 'd3-selection'
import { beadPath } from '~/drawings/bead'

/**
 * The slab as it is laid: beads of ink as wide as their share, what is rolled out of them, and the roller above the block,
 * both to scale. Beads that may move are dragged along the slab, or moved with the arrow keys.
 */
export interface Bead {
  name: string
  hex: string
  /** Middle and width, as shares of the roller. */
  at: number
  share: number
  told: string
}
const props = defineProps<{
  beads: Bead[]
  /** Colours rolled out, from left to right; null where they are not known. */
  rolled: string[]
  /** Stretches of the roller to be marked, with what shows there. */
  marked?: { from: number; to: number; told: string }[]
  roller: { name: string; width: number } | null
  across: number | null
  movable?: boolean
  label: string
}>()
const emit = defineEmits<{ move: [bead: number, at: number] }>()
const units = useUnits()
const svg = useTemplateRef<SVGSVGElement>('svg')
const wide = 520
const left = 34
const span = wide - 2 * left
const x = (share: number) => left + share * span
/** Block and roller at one scale: the wider of them spans the slab. */
const scale = computed(() => span / Math.max(props.roller?.width ?? 1, props.across ?? 1))
const rollerWide = computed(() => (props.roller ? props.roller.width * scale.value : span))
const blockWide = computed(() => (props.across ?? 0) * scale.value)
const cover = computed(() => {
  if (!props.roller || props.across === null) return ''
  const side = (props.roller.width - props.across) / 2
  return side >= 0
    ? `block ${units.length(props.across)}: covered, ${units.length(side)} each side`
    : `block ${units.length(props.across)}: ${units.length(-side * 2)} wider than the roller`
})
const saidOf = ({ name, told }: Bead) => [name, told].filter(Boolean).join(', ')
const neighbours = (i: number) => [props.beads[i - 1]?.at ?? 0, props.beads[i + 1]?.at ?? 1] as const
const place = (i: number, at: number) => {
  const [before, after] = neighbours(i)
  return Math.min(after, Math.max(before, Math.round(at * 100) / 100))
}

function step(event: KeyboardEvent, i: number) {
  const by = { ArrowLeft: -0.01, ArrowRight: 0.01, PageDown: -0.1, PageUp: 0.1 }[event.key]
  if (by === undefined || !props.movable) return
  event.preventDefault()
  emit('move', i, place(i, props.beads[i]!.at + by))
}

const hold = () => {
  if (!props.movable || !svg.value) return
  let from = 0
  let begun = 0
  select(svg.value)
    .selectAll<SVGGElement, unknown>('.bead')
    .call(
      drag<SVGGElement, unknown>()
        .on('start', function (event: { x: number }) {
          const i = Number(this.dataset.bead)
          from = props.beads[i]!.at
          begun = event.x
        })
        .on('drag', function (event: { x: number }) {
          const i = Number(this.dataset.bead)
          emit('move', i, place(i, from + (event.x - begun) / span))
        }),
    )
}
onMounted(hold)
watch(() => props.beads.length, hold, { flush: 'post' })
</script>

<template>
  <figure class="slab">
    <svg ref="svg" :viewBox="`0 0 ${wide} 304`" role="group" :aria-label="label">
      <rect class="stone" x="1" y="1" :width="wide - 2" height="222" />
      <rect
        v-for="(hex, i) in rolled"
        :key="i"
        :x="x(i / rolled.length)"
        y="104"
        :width="span / rolled.length + 0.6"
        height="92"
        :fill="hex"
        shape-rendering="crispEdges"
      />
      <g v-for="(stretch, i) in marked ?? []" :key="`m${i}`" class="marked">
        <line :x1="x(stretch.from)" :x2="x(stretch.from)" y1="100" y2="200" />
        <line :x1="x(stretch.to)" :x2="x(stretch.to)" y1="100" y2="200" />
        <text :x="x((stretch.from + stretch.to) / 2)" y="215" text-anchor="middle">{{ stretch.told }}</text>
      </g>
      <g
        v-for="(bead, i) in beads"
        :key="`b${i}`"
        class="bead"
        :class="{ movable }"
        :data-bead="i"
        :role="movable ? 'slider' : 'img'"
        :tabindex="movable ? 0 : undefined"
        :aria-label="movable ? `Bead ${i + 1}, ${bead.name}` : `${bead.name}, ${bead.told}`"
        :aria-valuenow="movable ? Math.round(bead.at * 100) : undefined"
        :aria-valuemin="movable ? 0 : undefined"
        :aria-valuemax="movable ? 100 : undefined"
        :aria-valuetext="movable ? `${Math.round(bead.at * 100)} % of the roller’s width` : undefined"
        :transform="`translate(${x(bead.at)}, 66)`"
        @keydown="step($event, i)"
      >
        <text y="-34" text-anchor="middle">{{ saidOf(bead) }}</text>
        <path :d="beadPath(Math.max(34, bead.share * span * 0.78), 46, i)" :fill="bead.hex" />
        <ellipse cx="-6" cy="-9" :rx="Math.max(6, bead.share * span * 0.16)" ry="3" class="shine" />
      </g>
      <template v-if="roller">
        <rect :x="(wide - rollerWide) / 2 - 20" y="238" :width="rollerWide + 40" height="6" class="spindle" />
        <rect :x="(wide - rollerWide) / 2" y="231" :width="rollerWide" height="20" class="roller" />
        <text :x="wide / 2" y="266" text-anchor="middle" class="soft">
          {{ roller.name }}, {{ units.length(roller.width) }}
        </text>
      </template>
      <template v-if="across !== null">
        <rect :x="(wide - blockWide) / 2" y="274" :width="blockWide" height="8" class="block" />
        <text :x="wide / 2" y="299" text-anchor="middle" class="soft">
          {{ cover || `block ${units.length(across)}` }}
        </text>
      </template>
    </svg>
    <figcaption class="soft"><slot /></figcaption>
  </figure>
</template>

<style scoped>
.slab {
  max-width: 720px;
  margin: 0;
}
svg {
  display: block;
  width: 100%;
  height: auto;
  font-size: 13px;
}
.stone {
  fill: #e2e6df;
  stroke: var(--ink);
  stroke-width: 2;
}
.bead text {
  font-weight: 600;
  fill: var(--ink);
}
.bead path {
  stroke: rgb(0 0 0 / 35%);
}
.movable {
  cursor: ew-resize;
  touch-action: none;
}
.movable:focus-visible {
  outline: 2px solid var(--green);
}
.shine {
  fill: #fff;
  fill-opacity: 0.28;
}
.marked line {
  stroke: var(--doubtful);
  stroke-dasharray: 4 4;
  stroke-width: 1.5;
}
.marked text {
  fill: var(--doubtful);
  font-weight: 600;
}
.spindle {
  fill: var(--ink);
}
.roller {
  fill: #4b4d50;
}
.block {
  fill: #cbb48d;
}
text.soft {
  fill: var(--soft);
}
figcaption {
  font-size: 0.84rem;
  padding: 4px 0 6px;
}
</style>
