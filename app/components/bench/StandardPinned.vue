<script setup lang="ts">
import { layerOf } from '#core/edition/layer'
import { noteOf } from '#core/edition/proof-notes'
import { pullOf } from '#core/edition/pull'
import { standardOf, standardWord } from '#core/edition/standards'
import type { EditionState } from '#core/edition/state'
import { readingWords } from '#core/press/screws'
import { settlingWords } from '#core/run/recall-words'
import { pluralise } from '#core/units/pluralise'

/** The approved proof of the layer, and what it was made with: every pull is held against it. */
const props = defineProps<{ state: EditionState; layerId: string }>()
const standard = computed(() => standardOf(props.state, props.layerId))
const proof = computed(() => (standard.value ? pullOf(props.state, standard.value.pullId) : undefined))
const note = computed(() => (proof.value ? noteOf(props.state, proof.value.pullId) : undefined))
const layer = computed(() => layerOf(props.state, props.layerId))
const said = computed(() => {
  const setup = layer.value?.setups.find(({ seq }) => seq === proof.value?.setupSeq)?.setup
  const zones = layer.value?.zones.filter(({ batchId }) => batchId && proof.value?.batchIds.includes(batchId)) ?? []
  const hasScrews = setup && (setup.left.turns !== 0 || setup.left.divisions !== 0)
  return [
    setup?.pressName,
    hasScrews ? `left ${readingWords(setup.left)}, right ${readingWords(setup.right)}` : '',
    ...zones.map(({ batchName }) => batchName),
    note.value ? `${pluralise(note.value.charges, 'charge')}, ${pluralise(note.value.passes, 'pass', 'passes')}` : '',
  ].filter(Boolean)
})
const settling = computed(() => (layer.value ? settlingWords(layer.value) : []))
</script>

<template>
  <p v-if="settling.length > 0" class="settling">{{ settling.join(' ') }}</p>
  <figure v-if="proof" class="standard">
    <img
      v-if="note?.pictureId"
      :src="`/api/pictures/${note.pictureId}`"
      :alt="`The ${standardWord(state, layerId)}, pull ${proof.ordinal}`"
    />
    <figcaption>The {{ standardWord(state, layerId) }} is pull {{ proof.ordinal }}: {{ said.join('; ') }}</figcaption>
  </figure>
</template>

<style scoped>
.settling {
  max-width: 40ch;
}
.standard {
  display: flex;
  gap: 12px;
  align-items: center;
  max-width: 46ch;
  margin: 0;
}
img {
  max-height: 84px;
  max-width: 120px;
}
</style>
