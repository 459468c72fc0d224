<script setup lang="ts">
import { artistProofWarning, type EditionPlan } from '#core/plan/plan'
import { isOpenWork } from '#core/print/series'

/** What is rarely chosen anew, said in small sentences: how it is numbered and pencilled. */
const title = defineModel<string>('title', { required: true })
const plan = defineModel<EditionPlan>('plan', { required: true })
defineProps<{
  disabled?: boolean
  /** The title is given elsewhere on the page. */
  titled?: boolean
}>()

const sizeSchools = [
  { value: 'declared', title: 'declared before printing' },
  { value: 'counted', title: 'counted from the good pulls' },
  { value: 'open', title: 'open, no limit' },
  { value: 'varied', title: 'varied (EV)' },
  { value: 'open work', title: 'none: open work, for cloth, cards, wrapping' },
]
const orderSchools = [
  { value: 'curated', title: 'order curated' },
  { value: 'pulled', title: 'order pulled' },
  { value: 'best', title: 'best first' },
  { value: 'hand', title: 'by hand' },
]
const lines = [
  { value: 'number-title-signature', title: 'number, title, signature' },
  { value: 'title-number-signature', title: 'title, number, signature' },
  { value: 'number-signature', title: 'number and signature' },
]
const numerals = ['roman', 'arabic'].map((value) => ({ value, title: value }))
const layerings = [
  { value: 'ahead', title: 'all planned ahead' },
  { value: 'as one goes', title: 'added as one goes' },
]
const colourings = [
  { value: 'no', title: 'not coloured by hand' },
  { value: 'yes', title: 'coloured by hand afterwards' },
]
const said = (all: readonly { value: string; title: string }[], value: string) =>
  all.find((one) => one.value === value)?.title ?? value
const warning = computed(() => (isOpenWork(plan.value) ? null : artistProofWarning(plan.value)))
const colouring = computed({
  get: () => (plan.value.colouring ? 'yes' : 'no'),
  set: (value) => {
    plan.value.colouring = value === 'yes'
  },
})
</script>

<template>
  <div class="customs">
    <p>
      Its size is
      <EditableValue
        v-model="plan.sizeSchool"
        label="The size is"
        kind="choice"
        :options="sizeSchools"
        :words="said(sizeSchools, plan.sizeSchool)"
        :disabled="disabled"
      /><template v-if="isOpenWork(plan)"
        >: no goal, nothing curated, numbered or signed; a piece takes many impressions and counts once.</template
      ><template v-else
        >; number 1 goes by
        <EditableValue
          v-model="plan.orderSchool"
          label="Number 1 goes to"
          kind="choice"
          :options="orderSchools"
          :words="said(orderSchools, plan.orderSchool)"
          :disabled="disabled"
        />. Beside it stand
        <EditableValue
          v-model="plan.proofs.PP"
          label="Printer’s proofs"
          :words="`${plan.proofs.PP || 'no'} PP`"
          unit="PP"
          :max="200"
          :disabled="disabled"
        />
        and
        <EditableValue
          v-model="plan.proofs.HC"
          label="Not for trade"
          :words="`${plan.proofs.HC || 'no'} HC`"
          unit="HC"
          :max="200"
          :disabled="disabled"
        />, not for trade.</template
      >
    </p>
    <p v-if="!isOpenWork(plan)">
      Pencilled
      <EditableValue
        v-model="plan.line"
        label="The pencilled line"
        kind="choice"
        :options="lines"
        :words="said(lines, plan.line)"
        :disabled="disabled"
      />,
      <template v-if="!titled"
        >titled
        <EditableValue
          v-model="title"
          label="Title"
          kind="text"
          :longest="120"
          :words="title || 'nothing yet'"
          :disabled="disabled"
        />,</template
      >
      signed by
      <EditableValue
        v-model="plan.artist"
        label="Artist"
        kind="text"
        :words="plan.artist || 'nobody yet'"
        :disabled="disabled"
      />, with
      <EditableValue
        v-model="plan.year"
        label="Year after the signature"
        may-be-none
        :min="1000"
        :max="9999"
        :words="plan.year === null ? 'no year' : String(plan.year)"
        :disabled="disabled"
      />
      after the signature and proofs in
      <EditableValue
        v-model="plan.numerals"
        label="Proofs are numbered in"
        kind="choice"
        :options="numerals"
        :words="plan.numerals"
        :disabled="disabled"
      />
      numerals.
    </p>
    <p>
      The layers are
      <EditableValue
        v-model="plan.layering"
        label="Layers are"
        kind="choice"
        :options="layerings"
        :words="said(layerings, plan.layering)"
        :disabled="disabled"
      />, and it is
      <EditableValue
        v-model="colouring"
        label="Hand colouring"
        kind="choice"
        :options="colourings"
        :words="said(colourings, colouring)"
        :disabled="disabled"
      />.
    </p>
    <p v-if="warning" class="warned">{{ warning }}</p>
  </div>
</template>

<style scoped>
.warned {
  color: var(--doubtful);
}
</style>
