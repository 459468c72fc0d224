<script setup lang="ts" generic="T extends CommandType, Name extends keyof CommandData<T> & string">
import { type FieldKind, fieldsOf } from '#core/ground/shape'
import { type CommandData, type CommandType, shapeOf } from '#core/house/acts'
import { refusalKey } from '~/composables/giving'

/** A value of an act in a sentence: its kind, bounds and length are those that the class of the act's data says. */
const props = defineProps<{
  act: T
  name: Name
  label: string
  words: string
  /** What stands behind the field while it is open, where it is other than the class says. */
  unit?: string
  /** Words of a choice. */
  choices?: Partial<Record<string, string>>
}>()
type Value = CommandData<T>[Name] & (string | number | null)
const value = defineModel<Value>({ required: true })
const refusal = inject(refusalKey, null)
if (refusal) onScopeDispose(refusal.show(props.name))
const field = computed(() => fieldsOf(shapeOf(props.act)).get(props.name)!)
const said: Partial<Record<FieldKind, 'whole' | 'decimal' | 'choice'>> = {
  whole: 'whole',
  number: 'decimal',
  choice: 'choice',
}
const options = computed(() =>
  field.value.choices.map(String).map((choice) => ({ value: choice, title: props.choices?.[choice] ?? choice })),
)
</script>

<template>
  <EditableValue
    v-model="value"
    :label="label"
    :words="words"
    :kind="said[field.kind] ?? 'text'"
    :options="options"
    :min="field.least"
    :max="field.most"
    :longest="field.most"
    :unit="unit ?? field.unit ?? ''"
    :may-be-none="field.orNull"
    :fault="refusal?.of(name)"
  />
</template>
