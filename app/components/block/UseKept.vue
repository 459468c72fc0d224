<script setup lang="ts">
import { streamId } from '#core/ground/envelope'

/** A block of the room that another edition was printed from is used again. */
const edition = useEdition()
const supplies = useSupplies()
const { busy, fault, giving } = useGiving()
const blockId = ref('')
const others = computed(() =>
  supplies.blocks.filter(
    ({ id, book, cancelled }) => book && !cancelled && !edition.state!.blocks.some((known) => known.id === id),
  ),
)
const options = computed(() => [
  { value: '', title: 'none' },
  ...others.value.map(({ id, book, kept }) => ({
    value: id,
    title: `${book!.block.name}, ${book!.block.width} × ${book!.block.height} mm${kept ? `, ${kept.where}` : ''}`,
  })),
])
const words = computed(() => options.value.find(({ value }) => value === blockId.value)?.title ?? 'none')
async function use() {
  const editionIds = others.value.find(({ id }) => id === blockId.value)!.editions.map(streamId)
  if (await giving(() => edition.give('use-block', { blockId: blockId.value, editionIds }))) blockId.value = ''
}
</script>

<template>
  <form v-if="others.length > 0" class="customs" @submit.prevent="use">
    <p>
      Or a block the room has:
      <EditableValue v-model="blockId" label="Block of the room" kind="choice" :options="options" :words="words" />
    </p>
    <div v-if="blockId" class="buttons"><VBtn type="submit" class="quiet" :loading="busy">Use it here</VBtn></div>
    <TroubleLine :words="fault" />
  </form>
</template>
