<script setup lang="ts">
import { v7 } from 'uuid'
import type { Layer } from '#core/edition/layer'
import { grams } from '~/drawings/words'

/** Which batch each zone of a layer is rolled with. */
const props = defineProps<{ layer: Layer }>()
const edition = useEdition()
const supplies = useSupplies()
const { busy, fault, giving } = useGiving()
const form = useFollowing(
  () => ({ zones: props.layer.zones.map(({ id, name, batchId }) => ({ id, name, batchId })) }),
  () => props.layer.id,
)
/** Blocks printed together are inked each for itself. */
const blocks = computed(() => edition.state!.blocks.map(({ block }) => block.name))
const mayFollowBlocks = computed(
  () => edition.state!.plan?.method === 'jigsaw' && blocks.value.length > 1 && form.value.zones.length === 1,
)
function followBlocks() {
  const [first] = form.value.zones
  form.value.zones = blocks.value.map((name, i) => ({ id: i === 0 ? first!.id : v7(), name, batchId: null }))
}
const give = () => giving(() => edition.give('set-zones', { layerId: props.layer.id, zones: form.value.zones }))
</script>

<template>
  <OpenForm @submit.prevent="give">
    <div v-for="(zone, i) in form.zones" :key="zone.id" class="zone">
      <VTextField v-model="zone.name" label="Zone" maxlength="60" />
      <VSelect
        v-model="zone.batchId"
        label="Batch"
        placeholder="choose a batch"
        clearable
        :items="supplies.batches.map((b) => ({ value: b.id, title: `${b.name}, ${grams(b.left)} left` }))"
        no-data-text="No ink is mixed yet"
      />
      <VBtn v-if="form.zones.length > 1" class="quiet" @click="form.zones.splice(i, 1)">Take out</VBtn>
    </div>
    <TroubleLine :words="fault" />
    <div class="buttons">
      <VBtn type="submit" :loading="busy">Use this ink</VBtn
      ><VBtn class="quiet" @click="form.zones.push({ id: v7(), name: `zone ${form.zones.length + 1}`, batchId: null })"
        >One more zone</VBtn
      ><VBtn v-if="mayFollowBlocks" class="quiet" @click="followBlocks">A zone for each block</VBtn
      ><VBtn class="quiet" to="/ink">Ink slab</VBtn>
    </div>
  </OpenForm>
</template>

<style scoped>
.zone {
  display: grid;
  grid-template-columns: 160px minmax(0, 1fr) auto;
  gap: 20px;
  align-items: end;
  max-width: 640px;
}
</style>
