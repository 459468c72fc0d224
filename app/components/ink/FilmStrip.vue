<script setup lang="ts">
import type { Pigment } from '#core/ink/kubelka-munk'

/** One ink on one paper from a thin film to a thick one, the film in use marked. */
const props = defineProps<{ pigment: Pigment | null; paper: string; thickness: number; label: string }>()
const steps = 15
const films = computed(() =>
  Array.from({ length: steps }, (_, i) => ({
    thickness: i + 1,
    hex: props.pigment ? filmHex(props.pigment, props.paper, i + 1) : props.paper,
  })),
)
const chosen = computed(() => (props.pigment ? filmHex(props.pigment, props.paper, props.thickness) : null))
const said = computed(() =>
  chosen.value
    ? `${props.label}: about ${chosen.value} at ${props.thickness} µm on this paper`
    : `${props.label}: nobody knows its colour yet`,
)
</script>

<template>
  <figure class="film">
    <svg viewBox="0 0 450 92" role="img" :aria-label="said">
      <rect width="450" height="92" :fill="paper" />
      <rect v-for="(one, i) in films" :key="i" :x="i * 30" y="66" width="30" height="20" :fill="one.hex" />
      <rect v-if="chosen" x="0" y="6" width="450" height="52" :fill="chosen" />
      <rect
        v-if="pigment"
        :x="(Math.min(steps, Math.max(1, thickness)) - 1) * 30 + 1"
        y="63"
        width="28"
        height="26"
        class="in-use"
      />
    </svg>
    <figcaption class="soft">
      <span>1 µm, thin</span><span>{{ thickness }} µm{{ chosen ? '' : ', colour not known' }}</span
      ><span>15 µm, thick</span>
    </figcaption>
  </figure>
</template>

<style scoped>
.film {
  max-width: 560px;
}
svg {
  width: 100%;
  height: auto;
  display: block;
  border: 1px solid var(--rule);
}
.in-use {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
figcaption {
  display: flex;
  justify-content: space-between;
  font-size: 0.8rem;
  padding-top: 4px;
}
</style>
