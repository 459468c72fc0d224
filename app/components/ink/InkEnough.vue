<script setup lang="ts">
import { inkStanding } from '#core/run/ink-standing'
import { leftWords } from '~/drawings/words'

/** One line on whether the ink lasts, wherever layers are planned or pulled. */
const props = defineProps<{ layerIds: string[]; onlyShort?: boolean }>()
const edition = useEdition()
const room = useInkRoom()
const said = computed(() => told.value.filter((one) => one.isShort || !props.onlyShort))
const told = computed(() =>
  props.layerIds.flatMap((layerId) =>
    inkStanding(edition.state!, layerId, room()).map(({ need, batch, left, isShort }) => ({
      key: `${layerId} ${need.zoneId}`,
      isShort,
      // Between the thinnest and the thickest film the reckoning cannot tell.
      isClose: left.milligrams / 1000 > need.least && left.milligrams / 1000 < need.most,
      words: `${isShort ? 'Not enough' : 'Enough'} ${batch.name} for the rest: ${leftWords(left)}, about ${need.amount.total.toFixed(0)} g needed.`,
    })),
  ),
)
</script>

<template>
  <div v-if="said.length > 0" class="ink-enough">
    <p v-for="one in said" :key="one.key" :class="one.isShort ? 'trouble' : 'soft'">
      {{ one.words }} <NuxtLink v-if="one.isClose && !onlyShort" to="/ink">Weigh it now to be sure</NuxtLink>
    </p>
  </div>
</template>

<style scoped>
.ink-enough {
  font-size: 0.88rem;
  padding-top: 8px;
}
</style>
