<script setup lang="ts">
import { stationCardPdf } from '~/drawings/card-pdf'

/** The card that hangs at a station: its name, and the code that opens its page. */
const props = defineProps<{ id: string; name: string }>()
const link = computed(() => `${window.location.origin}/stations/${props.id}`)
function print() {
  download(stationCardPdf(props.name, link.value), 'application/pdf', fileName(props.name, 'station-card.pdf'))
}
</script>

<template>
  <div class="card">
    <LinkCodeDrawing :link="link" :edge="130" />
    <div>
      <p class="soft">{{ link }}</p>
      <div class="buttons"><VBtn class="quiet" @click="print">The card as PDF, A6</VBtn></div>
    </div>
  </div>
</template>

<style scoped>
.card {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 24px;
  align-items: center;
}
</style>
