<script setup lang="ts" generic="Value extends string | number | null">
import { readLength } from '#core/units/length'

/**
 * A value in a sentence: it reads as text and opens where it stands. Enter opens it, arrows change it, Enter or Tab keeps it,
 * Escape leaves it as it was.
 */
const props = withDefaults(
  defineProps<{
    /** What it is, for whoever hears it instead of seeing the sentence. */
    label: string
    /** How it reads in the sentence. */
    words: string
    /** A thickness is in mm and written in the person's unit. */
    kind?: 'whole' | 'decimal' | 'thickness' | 'choice' | 'date' | 'time' | 'text'
    options?: readonly { value: string; title: string }[]
    min?: number
    max?: number
    /** What stands behind the field while it is open: a unit. */
    unit?: string
    longest?: number
    /** What is wrong with it beyond what can be seen here. */
    fault?: string
    /** It can be left empty, which is none. */
    mayBeNone?: boolean
    disabled?: boolean
  }>(),
  {
    kind: 'whole',
    options: () => [],
    min: 0,
    max: Number.MAX_SAFE_INTEGER,
    unit: '',
    longest: 80,
    fault: '',
    mayBeNone: false,
    disabled: false,
  },
)
const value = defineModel<Value>({ required: true })
const emit = defineEmits<{ kept: [] }>()
const units = useUnits()
/** How far an arrow moves a thickness, mm. */
const fineStep = 0.05
const open = ref(false)
const typed = ref('')
const own = ref('')
const field = useTemplateRef<HTMLInputElement | HTMLSelectElement>('field')
const word = useTemplateRef<HTMLButtonElement>('word')
const isNumber = computed(() => props.kind === 'whole' || props.kind === 'decimal' || props.kind === 'thickness')
const wrong = computed(() => own.value || props.fault)
let before: Value
let byPointer = false

async function begin(event?: MouseEvent) {
  // A key presses a button with no pointer in the game.
  byPointer = (event?.detail ?? 0) > 0
  before = value.value
  typed.value = written(value.value)
  open.value = true
  await nextTick()
  field.value?.focus()
  if (field.value instanceof HTMLInputElement && props.kind !== 'date' && props.kind !== 'time') field.value.select()
  if (byPointer && field.value instanceof HTMLSelectElement) field.value.showPicker?.()
}

const written = (now: Value) =>
  now === null ? '' : props.kind === 'thickness' ? units.thickness(Number(now)) : String(now)

/** What was typed as a number: a thickness as printers write one. */
function numberOf(text: string): number {
  if (props.kind !== 'thickness') return typedNumber(text, Number.NaN)
  const read = readLength(text, units.unit)
  return 'refused' in read ? Number.NaN : read.mm
}

/** What was typed becomes the value when it is one; else it stays typed and is said to be none. */
function take(text: string) {
  typed.value = text
  own.value = ''
  if (!isNumber.value) {
    value.value = (props.kind === 'date' && text === '' ? null : text) as Value
    return
  }
  const number = numberOf(text)
  if (text.trim() === '' && props.mayBeNone) value.value = null as Value
  else if (text.trim() === '') own.value = `${props.label}: give a number.`
  else if (!Number.isFinite(number) || (props.kind === 'whole' && !Number.isInteger(number)))
    own.value = `${props.label}: “${text}” is no ${props.kind === 'whole' ? 'whole number' : 'number'}.`
  else if (number < props.min || number > props.max)
    own.value = `${props.label}: ${text} was given; ${props.min} to ${props.max} can be.`
  else value.value = number as Value
}

function step(by: number) {
  const from = numberOf(typed.value)
  const now = Number.isFinite(from) ? from : Number(value.value ?? props.min)
  const size = props.kind === 'thickness' ? fineStep : 1
  const next = Math.min(props.max, Math.max(props.min, now + by * size))
  take(props.kind === 'thickness' ? units.thickness(next) : String(next))
  // What is typed next takes its place.
  void nextTick(() => field.value instanceof HTMLInputElement && field.value.select())
}

async function end() {
  if (!open.value) return
  open.value = false
  // What is no number is not kept: the sentence says what counts.
  own.value = ''
  await nextTick()
  if (value.value !== before) emit('kept')
}

async function endHere() {
  await end()
  word.value?.focus()
}

function leave() {
  value.value = before
  void endHere()
}

function onKey(event: KeyboardEvent) {
  byPointer = false
  if (event.key === 'Enter') return (event.preventDefault(), void (own.value === '' && endHere()))
  if (event.key === 'Escape') return (event.stopPropagation(), leave())
  if (isNumber.value && (event.key === 'ArrowUp' || event.key === 'ArrowDown')) {
    event.preventDefault()
    step(event.key === 'ArrowUp' ? 1 : -1)
  }
}

defineExpose({ begin })

function choose(event: Event) {
  take((event.target as HTMLSelectElement).value)
  if (byPointer) void endHere()
}
</script>

<template>
  <span class="editable-value">
    <button
      v-if="!open"
      ref="word"
      type="button"
      class="word"
      :class="{ wrong }"
      :disabled="disabled"
      :aria-label="`${label}: ${words}`"
      @click="begin"
    >
      {{ words }}
    </button>
    <span v-else class="field"
      ><select
        v-if="kind === 'choice'"
        ref="field"
        :aria-label="label"
        :value="typed"
        @keydown="onKey"
        @change="choose"
        @blur="end"
      >
        <option v-for="one in options" :key="one.value" :value="one.value">{{ one.title }}</option></select
      ><input
        v-else
        ref="field"
        :type="kind === 'date' || kind === 'time' ? kind : 'text'"
        :aria-label="label"
        :aria-invalid="own !== ''"
        :inputmode="kind === 'whole' ? 'numeric' : kind === 'decimal' || kind === 'thickness' ? 'decimal' : undefined"
        :maxlength="kind === 'text' ? longest : undefined"
        :size="kind === 'date' || kind === 'time' ? undefined : Math.max(3, typed.length + 1)"
        :value="typed"
        @input="take(($event.target as HTMLInputElement).value)"
        @keydown="onKey"
        @blur="end"
      /><span v-if="unit" class="unit">{{ unit }}</span></span
    ><span v-if="wrong" class="wrong-words" role="alert">{{ wrong }}</span>
  </span>
</template>

<style scoped>
/* Joined to the comma that follows. */
.editable-value::after {
  content: '\2060';
}
.word {
  font: inherit;
  font-weight: 600;
  color: var(--green);
  border-bottom: 2px solid var(--green);
  line-height: 1.15;
  min-height: 24px;
  padding: 0 1px;
}
.word:hover:not(:disabled) {
  background: var(--sheet);
}
.word:disabled {
  color: var(--ink);
  border-color: transparent;
}
.word.wrong {
  border-color: var(--reject);
}
.field input,
.field select {
  font: inherit;
  font-weight: 600;
  color: var(--ink);
  background: var(--sheet);
  border: 2px solid var(--green);
  padding: 0 8px;
  line-height: 1.2;
  max-width: 100%;
}
.field select {
  appearance: auto;
}
.unit {
  color: var(--soft);
  margin-left: 0.3em;
}
.wrong-words {
  font-family: var(--sans);
  font-size: 0.9rem;
  color: var(--reject);
  margin-left: 0.5em;
}
</style>
