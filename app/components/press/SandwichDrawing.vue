<script setup lang="ts">
/** What lies between bed and roller or platen, in section, thickness to scale: packing, the sheet, the block. */
const props = defineProps<{
  packing: { name: string; thickness: number }[]
  block: { name: string; thickness: number } | null
  press: string
}>()
const units = useUnits()
const wide = 460
/** Sheet and thin cards would vanish at the scale of the block; they are drawn no thinner than a pen stroke. */
const thinnest = 5
const layers = computed(() => [
  ...[...props.packing].reverse().map((piece) => ({ ...piece, kind: 'packing' })),
  { name: 'the sheet', thickness: 0, kind: 'sheet' },
  ...(props.block ? [{ ...props.block, kind: 'block' }] : []),
])
const wordsOf = ({ name, thickness }: { name: string; thickness: number }) =>
  thickness > 0 ? `${name}, ${units.thickness(thickness)}` : name
const scale = computed(
  () =>
    130 /
    Math.max(
      1,
      layers.value.reduce((sum, { thickness }) => sum + thickness, 0),
    ),
)
const drawn = computed(() => {
  let top = 30
  return layers.value.map((layer) => {
    const height = Math.max(thinnest, layer.thickness * scale.value)
    const here = { ...layer, top, height, said: Math.max(top + height / 2 + 4, 0) }
    top += height + 1
    return here
  })
})
/** Words keep clear of one another where the layers are thin. */
const said = computed(() => {
  let least = 0
  return drawn.value.map(({ said: wanted }) => (least = Math.max(wanted, least + 17)))
})
const foot = computed(() => Math.max(drawn.value.at(-1)!.top + drawn.value.at(-1)!.height, said.value.at(-1)!) + 6)
</script>

<template>
  <svg
    class="sandwich"
    :viewBox="`0 0 ${wide} ${foot + 18}`"
    role="img"
    :aria-label="`The sandwich under ${press}: ${layers.map(wordsOf).join('; ')}, on the bed`"
  >
    <rect class="press" x="0" y="6" width="250" height="22" />
    <text x="125" y="21" text-anchor="middle" class="on-press">{{ press }}</text>
    <g v-for="(layer, i) in drawn" :key="i" :class="layer.kind">
      <rect x="10" :y="layer.top" width="230" :height="layer.height" />
      <line x1="240" :y1="layer.top + layer.height / 2" x2="262" :y2="said[i]! - 4" />
      <text x="268" :y="said[i]">{{ wordsOf(layer) }}</text>
    </g>
    <rect class="press" x="0" :y="drawn.at(-1)!.top + drawn.at(-1)!.height + 1" width="250" height="10" />
  </svg>
</template>

<style scoped>
.sandwich {
  display: block;
  width: 100%;
  max-width: 520px;
  height: auto;
  font-size: 13px;
}
.press {
  fill: #4b4d50;
}
.on-press {
  fill: #fff;
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
line {
  stroke: var(--faint);
  stroke-width: 0.8;
}
</style>
