<script setup lang="ts">
import type { Drawing } from '#core/drawing/shapes'

/** A line drawing in mm, fitted to the width it is given. */
const props = withDefaults(
  defineProps<{ drawing: Drawing; label: string; /** Room round it, mm. */ round?: number }>(),
  { round: 2 },
)
const box = computed(
  () =>
    `${-props.round} ${-props.round} ${props.drawing.width + 2 * props.round} ${props.drawing.height + 2 * props.round}`,
)
</script>

<template>
  <svg class="lines-drawn" :viewBox="box" role="img" :aria-label="label">
    <template v-for="(shape, i) in drawing.shapes" :key="i">
      <polygon
        v-if="shape.kind === 'line' && shape.closed"
        :class="`pen-${shape.pen}`"
        :points="shape.points.map((point) => point.join(',')).join(' ')"
      />
      <polyline
        v-else-if="shape.kind === 'line'"
        :class="`pen-${shape.pen}`"
        :points="shape.points.map((point) => point.join(',')).join(' ')"
      />
      <circle
        v-else-if="shape.kind === 'circle'"
        :class="`pen-${shape.pen}`"
        :cx="shape.x"
        :cy="shape.y"
        :r="shape.radius"
      />
      <text
        v-else
        :class="`pen-${shape.pen}`"
        :x="shape.x"
        :y="shape.y"
        :font-size="shape.size"
        :text-anchor="shape.anchor"
      >
        {{ shape.text }}
      </text>
    </template>
    <slot />
  </svg>
</template>

<style>
.lines-drawn {
  display: block;
  width: 100%;
  height: auto;
}
.lines-drawn polygon,
.lines-drawn polyline,
.lines-drawn circle {
  fill: none;
  stroke: var(--ink);
  stroke-width: 0.4;
}
.lines-drawn text {
  fill: var(--ink);
  font-family: var(--sans);
}
.lines-drawn .pen-paper {
  stroke-width: 0.6;
}
.lines-drawn .pen-deckle {
  stroke-width: 0.9;
  stroke-dasharray: 0.4 1.1;
  stroke-linecap: round;
}
.lines-drawn .pen-block {
  stroke-width: 0.8;
}
.lines-drawn .pen-image {
  stroke: var(--proof);
  stroke-dasharray: 2 1.2;
}
.lines-drawn .pen-mat {
  stroke: var(--doubtful);
  stroke-dasharray: 5 1.5 1 1.5;
}
.lines-drawn .pen-series {
  stroke: var(--green);
  stroke-dasharray: 8 2;
}
.lines-drawn .pen-stop {
  stroke-width: 1.6;
}
.lines-drawn .pen-piece {
  fill: var(--sheet);
  stroke-width: 0.6;
}
.lines-drawn .pen-offcut {
  fill: var(--rule);
  fill-opacity: 0.35;
  stroke: var(--faint);
  stroke-dasharray: 1 1;
}
.lines-drawn polyline.pen-tear {
  stroke: var(--green);
  stroke-width: 0.5;
  stroke-dasharray: 3 1.5;
}
.lines-drawn text.pen-tear {
  fill: var(--green);
  font-weight: 600;
}
.lines-drawn .pen-mark,
.lines-drawn .pen-rule {
  stroke: var(--soft);
  stroke-width: 0.25;
}
</style>
