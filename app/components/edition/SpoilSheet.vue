<script setup lang="ts">
import { placeOf } from '#core/edition/places'
import { pieceOf, pieceWord, sheetOf } from '#core/edition/sheet'
import { faults } from '#core/print/faults'

/** A sheet is lost between or after the presses: which, by what; of shared paper one image, or the whole piece. */
const edition = useEdition()
const state = computed(() => edition.state!)
const blank = () => ({ sheetId: null as number | null, fault: 'handling', whole: false })
const form = ref(blank())
const kinds: ReadonlySet<string> = new Set(['blank', 'waiting', 'drying', 'doubtful', 'good', 'left behind'])
const mayBeSpoiled = (id: number) => {
  const sheet = sheetOf(state.value, id)
  return !!sheet && kinds.has(placeOf(state.value, sheet).kind)
}
const spoilable = computed(() => state.value.sheets.filter(({ id }) => mayBeSpoiled(id)))
const chosen = computed(() => (form.value.sheetId === null ? undefined : sheetOf(state.value, form.value.sheetId)))

async function spoil() {
  const { fault, whole } = form.value
  if (!chosen.value) return
  const lost = whole ? pieceOf(state.value, chosen.value) : [chosen.value]
  for (const { id } of lost)
    if (mayBeSpoiled(id) && !(await edition.tap('spoil-sheet', { sheetId: id, fault, reason: '' }))) return
  form.value = blank()
}
</script>

<template>
  <OpenForm @submit.prevent="spoil">
    <div class="spoil">
      <VSelect
        v-model="form.sheetId"
        label="Spoiled off the press"
        placeholder="which"
        :items="spoilable.map((sheet) => ({ value: sheet.id, title: `sheet ${sheet.id}` }))"
      />
      <VSelect v-model="form.fault" label="By" :items="faults.map(({ key, word }) => ({ value: key, title: word }))" />
      <VCheckbox
        v-if="chosen && chosen.together.length > 0"
        v-model="form.whole"
        :label="`the whole piece, ${pieceWord(chosen)}`"
      />
      <VBtn class="quiet" type="submit" :disabled="form.sheetId === null">Spoil it</VBtn>
    </div>
  </OpenForm>
</template>

<style scoped>
.spoil {
  display: grid;
  grid-template-columns: 200px 180px auto auto;
  gap: 6px 20px;
  align-items: end;
  justify-content: start;
  margin-top: 18px;
}
@media (max-width: 560px) {
  .spoil {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
