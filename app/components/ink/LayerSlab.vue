<script setup lang="ts">
import type { Layer } from '#core/edition/layer'
import { inkNeed } from '#core/run/ink-need'
import { filmHex, usualFilm, usualPaper } from '~/composables/shelf'

/** The inks of a layer as they lie on the slab, as wide as what each zone still takes, above roller and block. */
const props = defineProps<{ layer: Layer; block: { width: number; height: number } | null }>()
const edition = useEdition()
const supplies = useSupplies()
const { ofBatch } = useShelf()
const known = useInkKnown()
const paper = computed(() => edition.state!.overprint?.paper ?? usualPaper)
const beads = computed(() => {
  const needs = inkNeed(edition.state!, props.layer.id, known(props.layer))
  const grams = props.layer.zones.map(({ id }) => needs.find(({ zoneId }) => zoneId === id)?.amount.total ?? 0)
  const sum = grams.reduce((all, one) => all + one, 0)
  let from = 0
  return props.layer.zones.map((zone, i) => {
    const share = sum > 0 ? grams[i]! / sum : 1 / props.layer.zones.length
    const at = from + share / 2
    from += share
    const mix = ofBatch(zone.batchId)
    const batch = supplies.batches.find(({ id }) => id === zone.batchId)
    const hex = mix ? filmHex(mix.pigment, paper.value, 4 * usualFilm) : (batch?.colour ?? '#d8d5cc')
    return {
      name: zone.batchName || `no ink yet for ${zone.name}`,
      hex,
      film: mix ? filmHex(mix.pigment, paper.value, usualFilm) : null,
      at,
      share,
      told: grams[i]! > 0 ? `${grams[i]!.toFixed(1)} g` : '',
    }
  })
})
/** What is rolled out of them, zone by zone, where it is known. */
const rolled = computed(() => {
  const places = 60
  return beads.value.every(({ film }) => film !== null)
    ? Array.from({ length: places }, (_, i) => {
        const middle = (i + 0.5) / places
        const bead = beads.value.find(({ at, share }) => middle <= at + share / 2 + 1e-9) ?? beads.value.at(-1)!
        return bead.film!
      })
    : []
})
</script>

<template>
  <SlabDrawing
    :beads="beads"
    :rolled="rolled"
    :roller="layer.rollUp?.roller ?? null"
    :across="block ? Math.min(block.width, block.height) : null"
    :label="`The slab for ${layer.name}`"
    >Beads as wide as what each zone still takes; below them the film on this paper, a prediction.<template
      v-if="!layer.rollUp?.roller"
    >
      The roller shows once it is chosen under Roll up.</template
    ></SlabDrawing
  >
</template>
