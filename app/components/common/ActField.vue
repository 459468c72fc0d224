<script setup lang="ts" generic="T extends CommandType, Name extends keyof CommandData<T> & string">
import { expected, fieldsOf } from '#core/ground/shape'
import { type CommandData, type CommandType, shapeOf } from '#core/house/acts'
import { refusalKey } from '~/composables/giving'

/**
 * One field of an act: kind, bounds, unit and what is said of a value that does not fit come from the class of its data.
 * Empty it is null, and what cannot be read as a number is NaN: giving the act refuses both by the field's name.
 */
const props = defineProps<{
  act: T
  name: Name
  label: string
  /** Words of a choice. */
  choices?: Partial<Record<string, string>>
}>()
type Value = (CommandData<T>[Name] & (string | number | null)) | null
const value = defineModel<Value>({ required: true })
const field = computed(() => fieldsOf(shapeOf(props.act)).get(props.name)!)
const isNumber = computed(() => field.value.kind === 'whole' || field.value.kind === 'number')
const isLength = computed(() => isNumber.value && field.value.unit === 'mm')
const items = computed(() =>
  field.value.choices.map((choice) => ({ value: choice, title: props.choices?.[String(choice)] ?? String(choice) })),
)

const refusal = inject(refusalKey, null)
if (refusal) onScopeDispose(refusal.show(props.name))

const written = (now: Value) => (now === null || Number.isNaN(now) ? '' : String(now))
const typed = ref(written(value.value))
const isLeft = ref(false)
const read = (text: string): unknown => {
  if (text.trim() === '') return field.value.kind === 'words' && !field.value.orNull ? text : null
  return isNumber.value ? typedNumber(text) : text
}
// What others changed, or the form began anew.
watch(value, (now) => {
  if (Object.is(read(typed.value), now)) return
  typed.value = written(now)
  isLeft.value = false
})

function take(text: string) {
  typed.value = text
  value.value = read(text) as Value
}

function fits(now: unknown): boolean {
  const { kind, least, most } = field.value
  if (typeof now === 'string') return now.length <= most
  return typeof now !== 'number' || (now >= least && now <= most && (kind !== 'whole' || Number.isInteger(now)))
}
/** Said when the field is left: a number that is half typed is none yet. */
const wrong = computed(() =>
  isLeft.value && !fits(value.value) ? `${props.label} ${expected(field.value)}.` : (refusal?.of(props.name) ?? ''),
)
const length = computed({
  get: () => value.value as number | null,
  set: (mm) => {
    value.value = mm as Value
  },
})
const keys = computed(() => (field.value.kind === 'whole' ? 'numeric' : isNumber.value ? 'decimal' : undefined))
</script>

<template>
  <VSelect v-if="field.kind === 'choice'" v-model="value" :label="label" :items="items" :error-messages="wrong" />
  <LengthField v-else-if="isLength" v-model="length" :label="label" :error-messages="wrong" @focusout="isLeft = true" />
  <VTextField
    v-else
    :model-value="typed"
    :label="label"
    :type="field.kind === 'day' ? 'date' : 'text'"
    :inputmode="keys"
    :suffix="field.unit ?? undefined"
    :maxlength="field.kind === 'words' && field.most < Infinity ? field.most : undefined"
    :error-messages="wrong"
    @update:model-value="take(String($event ?? ''))"
    @focus="isLeft = false"
    @blur="isLeft = true"
  />
</template>
