<script setup lang="ts">
import { exposureFrom, stepTimes } from '#core/block/exposure'
import type { Block } from '#core/edition/state'

/** A plate's exposure by a step test, with timers for exposing, wash-out and hardening. */
const props = defineProps<{ block: Block }>()
const edition = useEdition()
const { busy, fault, giving } = useGiving()
const known = computed(() => props.block.exposures.at(-1))
const first = known.value
const form = ref({
  first: String(first?.steps[0] ?? 30),
  factor: '1.41',
  count: '6',
  firstHolding: first?.firstHolding ?? (null as number | null),
  exposure: String(first?.exposure ?? ''),
  washOut: String(first?.washOut ?? 180),
  hardening: String(first?.hardening ?? 300),
  note: first?.note ?? '',
})
const draft = useDraft(`exposure ${props.block.id}`, form)
const number = (text: string) => typedNumber(text, 0)
const test = computed((): { steps: number[]; fault: string } => {
  try {
    return {
      steps: stepTimes(
        number(form.value.first),
        Math.abs(number(form.value.factor) - 1.41) < 0.006 ? Math.SQRT2 : number(form.value.factor),
        number(form.value.count),
      ),
      fault: '',
    }
  } catch (error) {
    return { steps: [], fault: (error as Error).message }
  }
})
const found = computed(() => exposureFrom(test.value.steps, form.value.firstHolding))
function hold(step: number | null) {
  form.value.firstHolding = step
  const { exposure } = exposureFrom(test.value.steps, step)
  if (exposure !== null) form.value.exposure = String(exposure)
}
async function keep() {
  const { firstHolding, note } = form.value
  const exposure = {
    steps: test.value.steps,
    firstHolding: firstHolding !== null && firstHolding < test.value.steps.length ? firstHolding : null,
    exposure: number(form.value.exposure),
    washOut: number(form.value.washOut),
    hardening: number(form.value.hardening),
    note,
  }
  if (await giving(() => edition.give('find-exposure', { blockId: props.block.id, exposure }))) draft.done()
}
</script>

<template>
  <div>
    <OpenForm @submit.prevent="keep">
      <div class="fields">
        <VTextField v-model="form.first" label="Shortest step" inputmode="decimal" suffix="s" /><VTextField
          v-model="form.factor"
          label="Each step longer by"
          inputmode="decimal"
          suffix="times"
        /><VTextField v-model="form.count" label="Steps" inputmode="numeric" />
      </div>
      <p v-if="test.fault" class="trouble" role="alert">{{ test.fault }}</p>
      <div v-else class="steps" role="group" aria-label="First step that holds its detail">
        <span class="soft">First step that holds:</span>
        <button
          v-for="(seconds, i) in test.steps"
          :key="i"
          type="button"
          :aria-pressed="form.firstHolding === i"
          @click="hold(i)"
        >
          {{ seconds }} s
        </button>
        <button type="button" :aria-pressed="form.firstHolding === null" @click="hold(null)">none yet</button>
      </div>
      <p>{{ found.words }}</p>
      <div class="fields apart">
        <VTextField v-model="form.exposure" label="Exposure" inputmode="decimal" suffix="s" /><VTextField
          v-model="form.washOut"
          label="Wash-out"
          inputmode="decimal"
          suffix="s"
        /><VTextField v-model="form.hardening" label="Hardening" inputmode="decimal" suffix="s" />
        <VTextField v-model="form.note" class="wide" label="Note" placeholder="lamp, distance, film" maxlength="500" />
      </div>
      <TroubleLine :words="fault" />
      <div class="buttons">
        <VBtn type="submit" :loading="busy">Keep the exposure</VBtn
        ><span v-if="known" class="soft"
          >In force: {{ known.exposure }} s, wash-out {{ known.washOut }} s, hardening {{ known.hardening }} s</span
        >
      </div>
    </OpenForm>
    <RunningTimer label="Exposure" :seconds="number(form.exposure) || 0" /><RunningTimer
      label="Wash-out"
      :seconds="number(form.washOut) || 0"
    /><RunningTimer label="Hardening" :seconds="number(form.hardening) || 0" />
    <CareNotes :cards="['ultraviolet', 'washing out']" class="care" />
  </div>
</template>

<style scoped>
.steps {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 18px;
  align-items: baseline;
  margin: 12px 0 6px;
}
.steps button {
  padding: 4px 0;
  min-height: 30px;
  border-bottom: 2px solid transparent;
}
.steps button[aria-pressed='true'] {
  font-weight: 600;
  border-color: var(--green);
}
.care {
  margin-top: 12px;
}
</style>
