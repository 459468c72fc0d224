<script setup lang="ts">
import { fillsHundred } from '#core/ink/recipe'
import type { RecipeMode } from '~/composables/mixing'
import { grams } from '~/drawings/words'

/** The lines of a recipe, as parts, percents or grams, each with a slider to try its share. */
const props = defineProps<{ mixing: ReturnType<typeof useMixing> }>()
const supplies = useSupplies()
const { form, fractions, used, nameOf, sum, targets } = props.mixing
const modes: { value: RecipeMode; title: string }[] = [
  { value: 'parts', title: 'parts' },
  { value: 'percent', title: 'percent' },
  { value: 'grams', title: 'grams' },
]
const sources = computed(() => [
  ...supplies.tubs.map((tub) => ({ value: `tub:${tub.id}`, title: `${tub.name}, ${grams(tub.left)}` })),
  ...supplies.batches
    .filter((batch) => batch.left > 0)
    .map((batch) => ({ value: `batch:${batch.id}`, title: `left over: ${batch.name}, ${grams(batch.left)}` })),
])
const most = computed(() =>
  form.value.mode === 'percent' ? 100 : Math.max(10, ...used.value.map((row) => typedNumber(row.amount) || 0)) * 1.5,
)
const missing = computed(
  () =>
    form.value.mode === 'percent' &&
    sum.value > 0 &&
    !fillsHundred(used.value.map((row) => typedNumber(row.amount) || 0)),
)
const at = (row: (typeof used.value)[number]) => used.value.indexOf(row)
</script>

<template>
  <div>
    <div class="fields">
      <VSelect v-model="form.mode" label="Shares as" :items="modes" />
      <VTextField
        v-if="form.mode !== 'grams'"
        v-model="form.total"
        label="To mix in all"
        inputmode="decimal"
        suffix="g"
      />
    </div>
    <div v-for="(row, i) in form.rows" :key="i" class="row">
      <VSelect
        v-model="row.source"
        :label="`Ink ${i + 1}`"
        :items="sources"
        clearable
        no-data-text="No ink in the store"
        @update:model-value="row.source ??= ''"
      />
      <VTextField v-if="!row.source" v-model="row.name" label="or by name" />
      <span v-else />
      <VTextField
        v-model="row.amount"
        :label="form.mode === 'parts' ? 'Parts' : form.mode === 'percent' ? 'Percent' : 'Grams'"
        inputmode="decimal"
      />
      <input
        :value="typedNumber(row.amount) || 0"
        type="range"
        min="0"
        :max="most"
        :step="most / 200"
        :aria-label="`Share of ${nameOf(row) || `ink ${i + 1}`}`"
        :disabled="!nameOf(row)"
        @input="row.amount = String(Math.round(Number(($event.target as HTMLInputElement).value) * 100) / 100)"
      />
      <span class="share">{{
        at(row) < 0 ? '' : `${(fractions[at(row)]! * 100).toFixed(1)} % · ${grams(targets[at(row)]!)}`
      }}</span>
      <button
        type="button"
        class="plain"
        :aria-label="`Take out ink ${i + 1}`"
        :disabled="form.rows.length === 1 || row.poured > 0"
        @click="form.rows.splice(i, 1)"
      >
        Take out
      </button>
    </div>
    <p v-if="mixing.odd.value" class="trouble" role="alert">{{ mixing.odd.value }}</p>
    <p v-else-if="missing" class="trouble">
      The percents add up to {{ Math.round(sum * 10) / 10 }}, not to 100. They are taken as parts of
      {{ Math.round(sum * 10) / 10 }} until they do.
    </p>
    <div class="buttons">
      <slot /><VBtn
        class="quiet"
        :disabled="form.rows.length >= 12"
        @click="form.rows.push({ source: '', name: '', amount: '', poured: 0 })"
        >One more ink</VBtn
      >
    </div>
  </div>
</template>

<style scoped>
.row {
  margin-top: 12px;
  display: grid;
  grid-template-columns: minmax(160px, 1.4fr) minmax(90px, 0.8fr) 84px minmax(90px, 1fr) 128px 66px;
  gap: 16px;
  align-items: end;
  padding-bottom: 6px;
}
.row input[type='range'] {
  accent-color: var(--green);
  min-height: 32px;
  width: 100%;
}
.share {
  font-family: var(--serif);
  padding-bottom: 8px;
  font-size: 0.92rem;
  white-space: nowrap;
}
.plain {
  color: var(--green);
  text-decoration: underline;
  text-underline-offset: 3px;
  font-size: 0.84rem;
  min-height: 32px;
}
.plain:disabled {
  color: var(--faint);
  text-decoration: none;
}
@media (max-width: 900px) {
  .row {
    grid-template-columns: 1fr 84px;
  }
}
</style>
