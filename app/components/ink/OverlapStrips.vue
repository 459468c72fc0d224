<script setup lang="ts">
/** Strips of ink on paper, laid in one order: every overlap as a column, and below it which layers lie there. */
const props = defineProps<{
  paper: string
  layers: { name: string; hex: string }[]
  order: number[]
  colours: string[]
  groups: number[]
  label: string
}>()
const chosen = defineModel<number | null>('chosen', { required: true })
const wide = 720
/** Two zones of one layer lie side by side. */
const possible = (set: number) =>
  props.order.every((a) =>
    props.order.every(
      (b) => a === b || (set & (1 << a)) === 0 || (set & (1 << b)) === 0 || props.groups[a] !== props.groups[b],
    ),
  )
/** Overlaps so that from one column to the next a single layer comes or goes, as a rule. */
const sets = computed(() => Array.from({ length: props.colours.length }, (_, i) => i ^ (i >> 1)).filter(possible))
const step = computed(() => wide / sets.value.length)
const rows = computed(() => [...props.order].reverse())
const high = computed(() => 108 + rows.value.length * 22)
const named = (set: number) =>
  set === 0
    ? 'bare paper'
    : props.order
        .filter((layer) => (set & (1 << layer)) !== 0)
        .map((layer) => props.layers[layer]!.name)
        .join(', then ')
/** What an overlap is made of, line by line as far as its column holds it, else by the numbers of the layers. */
const labelOf = (set: number) => {
  if (set === 0) return step.value >= 70 ? ['bare paper'] : ['–']
  const on = props.order.filter((layer) => (set & (1 << layer)) !== 0)
  const longest = Math.max(...on.map((layer) => props.layers[layer]!.name.length))
  return step.value >= longest * 7 + 12
    ? on.map((layer, i) => (i === 0 ? props.layers[layer]!.name : `+ ${props.layers[layer]!.name}`))
    : [on.map((layer) => layer + 1).join('+')]
}
const isDark = (hex: string) => {
  const [red = 0, green = 0, blue = 0] = [1, 3, 5].map((at) => Number.parseInt(hex.slice(at, at + 2), 16))
  return red * 0.299 + green * 0.587 + blue * 0.114 < 140
}
/** A strip is drawn once for each stretch of neighbouring columns it covers. */
const stretches = computed(() =>
  rows.value.map((layer) =>
    sets.value.reduce<{ from: number; to: number }[]>((all, set, i) => {
      if ((set & (1 << layer)) === 0) return all
      const last = all.at(-1)
      if (last && last.to === i) last.to = i + 1
      else all.push({ from: i, to: i + 1 })
      return all
    }, []),
  ),
)
</script>

<template>
  <figure class="strips">
    <figcaption>
      <strong>{{ label }}</strong>
      <span class="soft">{{ order.map((layer) => layers[layer]!.name).join(', then ') }}</span>
    </figcaption>
    <svg :viewBox="`0 0 ${wide} ${high}`" role="group" :aria-label="`${label}: ${sets.length} overlaps`">
      <rect :width="wide" :height="high" :fill="paper" />
      <g
        v-for="(set, i) in sets"
        :key="set"
        role="button"
        tabindex="0"
        :aria-pressed="chosen === set"
        :aria-label="`${named(set)}: about ${colours[set]}`"
        class="overlap"
        @click="chosen = set"
        @keydown.enter.prevent="chosen = set"
        @keydown.space.prevent="chosen = set"
      >
        <title>{{ named(set) }}: about {{ colours[set] }}</title>
        <rect :x="i * step" y="0" :width="step + 0.4" height="96" :fill="colours[set]" />
        <rect v-if="chosen === set" :x="i * step + 1" y="1" :width="step - 2" height="94" class="chosen" />
      </g>
      <g class="made-of" aria-hidden="true">
        <template v-for="(set, i) in sets" :key="set">
          <text
            v-for="(line, at) in labelOf(set)"
            :key="at"
            :x="i * step + 7"
            :y="17 + at * 15"
            :class="{ light: isDark(colours[set]!) }"
          >
            {{ line }}
          </text>
        </template>
      </g>
      <g v-for="(layer, row) in rows" :key="layer">
        <rect
          v-for="(stretch, i) in stretches[row]"
          :key="i"
          :x="stretch.from * step"
          :y="104 + row * 22"
          :width="(stretch.to - stretch.from) * step"
          height="16"
          :fill="layers[layer]!.hex"
          class="strip"
        />
      </g>
    </svg>
    <ul class="names soft">
      <li v-for="layer in rows" :key="layer">{{ layers[layer]!.name }}</li>
    </ul>
  </figure>
</template>

<style scoped>
.strips {
  max-width: 720px;
  position: relative;
}
svg {
  width: 100%;
  height: auto;
  display: block;
  border: 1px solid var(--rule);
  margin-top: 6px;
}
.overlap {
  cursor: pointer;
}
.made-of text {
  font-size: 12px;
  fill: #1d2126;
  pointer-events: none;
}
.made-of text.light {
  fill: #fbf9f3;
}
figcaption strong {
  margin-right: 0.6em;
}
.overlap:focus-visible {
  outline: 2px solid var(--green);
  outline-offset: -2px;
}
.chosen {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
  stroke-dasharray: 4 3;
}
.strip {
  stroke: var(--ink);
  stroke-opacity: 0.25;
  stroke-width: 0.5;
}
.names {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 18px;
  font-size: 0.82rem;
  padding-top: 5px;
}
.names::before {
  content: 'strips from the top:';
}
</style>
