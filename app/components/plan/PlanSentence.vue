<script setup lang="ts">
import { agree, pluralise } from '#core/units/pluralise'
import { today } from '~/format/days'
import { type EditionPlan, methods, methodWord } from '#core/plan/plan'
import { isOpenWork } from '#core/print/series'
import { counted } from '~/drawings/words'
import { day } from '~/format/days'

/** The plan as one would say it; every value opens where it stands. */
const plan = defineModel<EditionPlan>({ required: true })
const props = defineProps<{
  /** Sheets to start while nobody has chosen any, or null when there is none to tell. */
  usual: number | null
  wanted: number
  fault?: string
  faultField?: string
  disabled?: boolean
}>()
const workings = [
  { value: 'press', title: 'at a press' },
  { value: 'small hand work', title: 'by hand, small' },
  { value: 'large hand work', title: 'by hand, large' },
  { value: 'beginners', title: 'by beginners' },
]
const colours = methods.map((value) => ({ value, title: methodWord(value) }))
const wordsOf = (all: readonly { value: string; title: string }[], value: string) =>
  all.find((one) => one.value === value)?.title ?? value
const faultOf = (...fields: string[]) => (fields.includes(props.faultField ?? '') ? props.fault : undefined)
const startFault = computed(() =>
  plan.value.start !== null && plan.value.start < props.wanted
    ? `${pluralise(props.wanted, 'good print')} ${agree(props.wanted, 'is', 'are')} wanted; so many cannot come from ${pluralise(plan.value.start, 'sheet')}.`
    : '',
)
const dueFault = computed(() => (plan.value.due !== null && plan.value.due < today() ? 'That day is past.' : ''))
</script>

<template>
  <p class="sentence">
    <template v-if="isOpenWork(plan)">Open work, as many pieces as come, from{{ ' ' }}</template>
    <template v-else>
      <EditableValue
        v-model="plan.size"
        label="Prints"
        :words="String(plan.size)"
        :min="1"
        :max="2000"
        :fault="faultOf('size', 'plan.size')"
        :disabled="disabled"
      />
      {{ plan.sizeSchool === 'varied' ? 'varied prints' : 'numbered prints' }} and
      <EditableValue
        v-model="plan.proofs.AP"
        label="Artist’s proofs"
        :words="plan.proofs.AP === 0 ? 'no AP' : `${plan.proofs.AP} AP`"
        unit="AP"
        :max="200"
        :disabled="disabled"
      />, from{{ ' ' }}
    </template>
    <EditableValue
      v-model="plan.start"
      label="Sheets started"
      :words="String(plan.start ?? (isOpenWork(plan) ? 'some' : usual) ?? 'enough')"
      may-be-none
      :min="1"
      :max="5000"
      :fault="startFault"
      :disabled="disabled"
    />
    sheets, in
    <EditableValue
      v-model="plan.layersPlanned"
      label="Layers reckoned with"
      :words="counted(plan.layersPlanned, 'layer')"
      :min="1"
      :max="40"
      unit="layers"
      :fault="faultOf('layersPlanned')"
      :disabled="disabled"
    />,
    <EditableValue
      v-model="plan.method"
      label="How colour is made"
      kind="choice"
      :options="colours"
      :words="wordsOf(colours, plan.method)"
      :disabled="disabled"
    />,
    <EditableValue
      v-model="plan.work"
      label="Printed"
      kind="choice"
      :options="workings"
      :words="wordsOf(workings, plan.work)"
      :disabled="disabled"
    />, {{ plan.due ? 'by' : 'with' }}
    <EditableValue
      v-model="plan.due"
      label="Wanted by"
      kind="date"
      :words="plan.due ? day(plan.due) : 'no date set'"
      :fault="dueFault"
      :disabled="disabled"
    />.
  </p>
</template>
