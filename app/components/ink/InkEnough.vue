<script setup lang="ts">
import { inkLeft } from '#core/run/ink-left'
import { inkNeed, perPull } from '#core/run/ink-need'
import { leftWords } from '~/drawings/words'

/** One line on whether the ink lasts, wherever layers are planned or pulled. */
const props = defineProps<{ layerIds: string[]; onlyShort?: boolean }>()
const edition = useEdition()
const supplies = useSupplies()
const known = useInkKnown()
onMounted(() => void supplies.load().catch(() => undefined))
const said = computed(() => told.value.filter((one) => one.short || !props.onlyShort))
const told = computed(() =>
  props.layerIds.flatMap((layerId) => {
    const layer = edition.state!.layers.find((one) => one.id === layerId)
    if (!layer || supplies.batches.length === 0) return []
    return inkNeed(edition.state!, layerId, known(layer)).flatMap((need) => {
      const batch = supplies.batches.find(
        (one) => one.id === layer.zones.find((zone) => zone.id === need.zoneId)?.batchId,
      )
      if (!batch || need.job.impressions === 0) return []
      const left = inkLeft(batch, edition.state!, perPull(need))
      const short = need.amount.total * 1000 > left.milligrams
      return [
        {
          key: `${layerId} ${need.zoneId}`,
          short,
          words: `${short ? 'Not enough' : 'Enough'} ${batch.name} for the rest: ${leftWords(left)}, about ${need.amount.total.toFixed(0)} g needed.`,
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
