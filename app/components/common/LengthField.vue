<script setup lang="ts">
import { readLength } from '#core/units/length'

/** A length as printers write it, kept in mm. Null while empty; NaN while it cannot be read, with the reason beneath. */
const mm = defineModel<number | null>({ required: true })
const props = defineProps<{
  label: string
  /** A thickness read off a caliper. */ fine?: boolean
  errorMessages?: string
  placeholder?: string
}>()
const units = useUnits()
const written = (value: number | null) =>
  value === null || Number.isNaN(value) ? '' : props.fine ? units.thickness(value) : units.length(value)
const text = ref(written(mm.value))
const fault = ref('')
const focused = ref(false)

watch([mm, () => units.unit], ([value]) => {
  if (focused.value || Number.isNaN(value)) return
  text.value = written(value)
  fault.value = ''
})

function read(typed: string) {
  text.value = typed
  if (typed.trim() === '') {
    fault.value = ''
    mm.value = null
    return
  }
  // What is shown may be rounded; as long as it is not changed, the length itself stands.
  if (typed === written(mm.value)) return
  const result = readLength(typed, units.unit)
  fault.value = 'refused' in result ? result.refused : ''
  mm.value = 'refused' in result ? Number.NaN : result.mm
}

function leave() {
  focused.value = false
  if (fault.value === '') text.value = written(mm.value)
}
</script>

<template>
  <VTextField
    :model-value="text"
    :label="label"
    :placeholder="placeholder"
    :error-messages="fault || errorMessages"
    autocomplete="off"
    @update:model-value="read(String($event ?? ''))"
    @focus="focused = true"
    @blur="leave"
  >
    <template #append-inner>
      <button
        type="button"
        class="unit"
        tabindex="-1"
        :aria-label="`to ${units.other}: show every length in ${units.other === 'mm' ? 'millimetres' : 'inches'}`"
        title="Alt U"
        @click="units.toggle()"
      >
        to {{ units.other }}
      </button>
    </template>
  </VTextField>
</template>

<style scoped>
.unit {
  color: var(--soft);
  font-size: 0.76rem;
  padding: 4px 2px;
  min-height: 24px;
  white-space: nowrap;
}
</style>
