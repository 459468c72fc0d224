<script setup lang="ts">
import type { useOverprintFilms } from '~/composables/overprint-films'

/** The films from the paper up, with ink and thickness, laid earlier or later by dragging or by key. */
const props = defineProps<{ films: ReturnType<typeof useOverprintFilms> }>()
const emit = defineEmits<{ moved: [] }>()
const supplies = useSupplies()
const { known, keyOf, nameOf, batchNames } = props.films
const dragged = ref<number | null>(null)

function move(from: number, to: number) {
  if (props.films.move(from, to)) emit('moved')
}
function drag(event: DragEvent, row: number, name: string) {
  dragged.value = row
  event.dataTransfer?.setData('text/plain', name)
}
function drop(onto: number) {
  if (dragged.value !== null) move(dragged.value, onto)
  dragged.value = null
}
</script>

<template>
  <ol class="order">
    <li
      v-for="(one, i) in known"
      :key="keyOf(one.row)"
      draggable="true"
      @dragstart="drag($event, i, one.layer.name)"
      @dragover.prevent
      @drop.prevent="drop(i)"
    >
      <span class="handle" aria-hidden="true">⠿</span><strong>{{ nameOf(one.row) }}</strong>
      <VSelect
        v-model="one.row.batchId"
        :label="`Ink of ${nameOf(one.row)}`"
        :items="supplies.batches.map((batch) => ({ value: batch.id, title: batch.name }))"
        clearable
        no-data-text="No ink is mixed yet"
      />
      <label class="film soft"
        >{{ one.row.thickness }} µm
        <input
          v-model.number="one.row.thickness"
          type="range"
          min="1"
          max="15"
          step="0.5"
          :aria-label="`Film of ${nameOf(one.row)}`"
      /></label>
      <span class="move"
        ><button
          type="button"
          :disabled="i === 0"
          :aria-label="`Lay ${nameOf(one.row)} earlier`"
          @click="move(i, known.findIndex((other) => other.row.layerId === one.row.layerId) - 1)"
        >
          earlier</button
        ><button
          type="button"
          :disabled="i === known.length - 1"
          :aria-label="`Lay ${nameOf(one.row)} later`"
          @click="move(i, known.findLastIndex((other) => other.row.layerId === one.row.layerId) + 1)"
        >
          later
        </button></span
      >
      <span v-if="!one.mix" class="soft">{{
        one.row.batchId ? `colour of ${batchNames.get(one.row.batchId) ?? 'that batch'} is not known` : 'no ink yet'
      }}</span>
    </li>
  </ol>
</template>

<style scoped>
.order {
  margin-bottom: 16px;
}
.order li {
  display: grid;
  grid-template-columns: 16px 150px minmax(120px, 220px) 150px auto 1fr;
  gap: 14px;
  align-items: center;
  padding: 4px 0;
  border-bottom: 1px solid var(--rule);
  font-size: 0.92rem;
}
.handle {
  cursor: grab;
  color: var(--faint);
}
.film {
  display: grid;
  font-size: 0.82rem;
}
.film input {
  accent-color: var(--green);
  min-height: 26px;
}
.move {
  display: flex;
  gap: 12px;
}
.move button {
  color: var(--green);
  text-decoration: underline;
  text-underline-offset: 3px;
  min-height: 28px;
  font-size: 0.86rem;
}
.move button:disabled {
  color: var(--faint);
  text-decoration: none;
}
@media (max-width: 900px) {
  .order li {
    grid-template-columns: 16px 1fr;
  }
}
</style>
