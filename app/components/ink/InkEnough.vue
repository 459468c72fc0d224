<script setup lang="ts">
import { inkNeed } from '#core/run/ink-need'
import { grams } from '~/drawings/words'

/** One line on whether the ink lasts, wherever layers are planned or pulled. */
const props = defineProps<{ layerIds: string[]; onlyShort?: boolean }>()
const edition = useEdition()
const supplies = useSupplies()
const { ofBatch } = useShelf()
onMounted(() => void supplies.load().catch(() => undefined))
const said = computed(() => told.value.filter((one) => one.short || !props.onlyShort))
const told = computed(() =>
  props.layerIds.flatMap((layerId) => {
    const layer = edition.state!.layers.find((known) => known.id === layerId)
    if (!layer || supplies.batches.length === 0) return []
    const density = new Map(
      layer.zones.flatMap((zone) => {
        const mix = ofBatch(zone.batchId)
        return mix ? [[zone.id, mix.density] as const] : []
      }),
    )
    return inkNeed(
      edition.state!,
      layerId,
      supplies.batches.flatMap((batch) => batch.runs),
      density,
    ).flatMap((need) => {
      const batch = supplies.batches.find(
        (known) => known.id === layer.zones.find((zone) => zone.id === need.zoneId)?.batchId,
      )
      if (!batch || need.job.impressions === 0) return []
      const short = need.amount.total * 1000 > batch.left
      return [
        {
          key: `${layerId} ${need.zoneId}`,
          short,
          words: `${short ? 'Not enough' : 'Enough'} ${batch.name} for the rest: ${grams(batch.left)} left, about ${need.amount.total.toFixed(0)} g needed.`,
        },
      ]
    })
  }),
)
</script>

<template>
  <div v-if="said.length > 0" class="ink-enough">
    <p v-for="one in said" :key="one.key" :class="one.short ? 'trouble' : 'soft'">{{ one.words }}</p>
  </div>
</template>

<style scoped>
.ink-enough {
  font-size: 0.88rem;
  padding-top: 8px;
}
</style>
