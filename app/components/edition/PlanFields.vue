<script setup lang="ts">
import { artistProofWarning, type EditionPlan, goal, methods } from '#core/plan/plan'

const title = defineModel<string>('title', { required: true })
const plan = defineModel<EditionPlan>('plan', { required: true })
defineProps<{ faultField?: string; fault?: string }>()

const workings = [
  { value: 'press', title: 'at a press' },
  { value: 'small hand work', title: 'by hand, small' },
  { value: 'large hand work', title: 'by hand, large' },
  { value: 'beginners', title: 'by beginners' },
]
const layeringWords = [
  { value: 'ahead', title: 'all planned ahead' },
  { value: 'as one goes', title: 'added as one goes' },
]
const sizeSchools = [
  { value: 'declared', title: 'declared before printing' },
  { value: 'counted', title: 'counted from the good pulls' },
  { value: 'open', title: 'open, no limit' },
  { value: 'varied', title: 'varied (EV)' },
]
const orderSchools = [
  { value: 'curated', title: 'order curated' },
  { value: 'pulled', title: 'order pulled' },
  { value: 'best', title: 'best first' },
  { value: 'hand', title: 'by hand' },
]
const customs = [
  { value: 'number-title-signature', title: 'number, title, signature' },
  { value: 'title-number-signature', title: 'title, number, signature' },
  { value: 'number-signature', title: 'number and signature' },
]
const warning = computed(() => artistProofWarning(plan.value))
const whole = (text: unknown) => (text === '' || text === null ? 0 : Math.trunc(Number(text)))
</script>

<template>
  <div>
    <div class="fields">
      <VTextField
        v-model="title"
        class="wide"
        label="Title"
        placeholder="as it will be pencilled"
        maxlength="120"
        :error-messages="faultField === 'title' ? fault : undefined"
      />
      <VTextField v-model="plan.artist" label="Artist" placeholder="who signs" maxlength="80" />
      <VSelect v-model="plan.method" label="How colour is made" :items="[...methods]" />
      <VSelect v-model="plan.work" label="Printed" :items="workings" />
      <VSelect v-model="plan.layering" label="Layers are" :items="layeringWords" />
      <VTextField
        :model-value="plan.layersPlanned"
        label="Layers reckoned with"
        type="number"
        min="1"
        max="40"
        suffix="layers"
        :error-messages="faultField === 'layersPlanned' ? fault : undefined"
        @update:model-value="plan.layersPlanned = Math.max(1, whole($event))"
      />
      <VTextField
        :model-value="plan.size"
        label="Prints"
        type="number"
        min="1"
        max="2000"
        suffix="prints"
        :error-messages="faultField === 'size' || faultField === 'plan.size' ? fault : undefined"
        @update:model-value="plan.size = whole($event)"
      />
      <VSelect v-model="plan.sizeSchool" label="The size is" :items="sizeSchools" />
      <VTextField
        :model-value="plan.proofs.AP"
        label="Artist’s proofs"
        type="number"
        min="0"
        suffix="AP"
        @update:model-value="plan.proofs.AP = whole($event)"
      />
      <VTextField
        :model-value="plan.proofs.PP"
        label="Printer’s proofs"
        type="number"
        min="0"
        suffix="PP"
        @update:model-value="plan.proofs.PP = whole($event)"
      />
      <VTextField
        :model-value="plan.proofs.HC"
        label="Not for trade"
        type="number"
        min="0"
        suffix="HC"
        @update:model-value="plan.proofs.HC = whole($event)"
      />
      <VSelect v-model="plan.orderSchool" label="Number 1 goes to" :items="orderSchools" />
      <VSelect v-model="plan.line" label="The pencilled line" :items="customs" />
      <VSelect v-model="plan.numerals" label="Proofs are numbered in" :items="['roman', 'arabic']" />
      <VTextField
        :model-value="plan.year ?? ''"
        label="Year after the signature"
        type="number"
        placeholder="none"
        @update:model-value="plan.year = $event === '' || $event === null ? null : whole($event)"
      />
      <VCheckbox v-model="plan.colouring" class="colouring" label="coloured by hand afterwards" />
      <VTextField
        :model-value="plan.due ?? ''"
        label="Wanted by"
        type="date"
        @update:model-value="plan.due = $event ? String($event) : null"
      />
    </div>
    <p class="told">{{ goal(plan) }} good prints are wanted in all.</p>
    <p v-if="warning" class="warned">{{ warning }}</p>
  </div>
</template>

<style scoped>
.told {
  margin-top: 18px;
}
.colouring {
  align-self: end;
}
.warned {
  color: var(--doubtful);
  margin-top: 4px;
}
</style>
