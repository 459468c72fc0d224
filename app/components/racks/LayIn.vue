<script setup lang="ts">
import { edition } from '#core/edition/stream'
import { freeSlots } from '#core/stores/rack/state'
import type { RackSummary, StackToLay } from '#shared/replies/replies'
import { pluralise } from '#core/units/pluralise'

/** Wet sheets that lie in no rack: laid into the next free slots by one touch, or from a slot that is named. */
const props = defineProps<{ stacks: StackToLay[]; racks: RackSummary[] }>()
const session = useSession()
const { busy, fault, giving, refuse } = useGiving()
/** The rack with most room, until another is chosen. */
const roomy = computed(() => [...props.racks].sort((a, b) => room(b) - room(a))[0]!)
const form = ref({ rackId: '', from: '' })
const rack = computed(() => props.racks.find(({ id }) => id === form.value.rackId) ?? roomy.value)
const room = (one: RackSummary) => freeSlots(one).length * one.perSlot
const racks = computed(() => props.racks.map((one) => ({ value: one.id, title: `${one.name}, ${room(one)} free` })))

async function lay(stack: StackToLay) {
  const typed = form.value.from.trim()
  const from = typed === '' ? null : Number(typed)
  if (from !== null && !(Number.isInteger(from) && from > 0))
    return refuse(`“${typed}” is no slot. Give its number, or leave the field empty for the next free one.`)
  const done = await giving(() =>
    session.give('lay-in', edition.of(stack.editionId), {
      rackId: rack.value.id,
      layerId: stack.layerId,
      sheetIds: stack.sheetIds,
      from,
    }),
  )
  if (!done) return
  form.value.from = ''
}
</script>

<template>
  <section class="part" aria-label="To lay in">
    <div class="part-head">
      <h2>To lay in</h2>
      <p>printed, wet, and in no rack yet</p>
    </div>
    <div class="where">
      <VSelect
        :model-value="rack.id"
        label="Into"
        :items="racks"
        @update:model-value="form.rackId = String($event)"
      /><VTextField v-model="form.from" label="From slot" inputmode="numeric" placeholder="the next free" />
    </div>
    <ul class="lines">
      <li v-for="stack in stacks" :key="`${stack.editionId} ${stack.layerId}`">
        <span
          ><strong>{{ stack.title }}</strong
          >, {{ stack.layerName }}: {{ pluralise(stack.sheetIds.length, 'sheet') }}</span
        >
        <VBtn class="quiet" :loading="busy" @click="lay(stack)"
          >Lay {{ stack.sheetIds.length === 1 ? 'it' : 'them' }} in</VBtn
        >
      </li>
    </ul>
    <TroubleLine :words="fault" />
  </section>
</template>

<style scoped>
.where {
  display: grid;
  grid-template-columns: minmax(0, 280px) 140px;
  gap: 18px;
  margin-bottom: 6px;
}
li {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: center;
  gap: 6px 20px;
}
</style>
