<script setup lang="ts">
import { blockKinds } from '#core/block/block'
import type { Situation } from '#core/finder/factors'
import { inkFamilies } from '#core/ink/family'
import { pluralise } from '#core/units/pluralise'

/** How it is printed, in a sentence: known from the ledger at an edition, said by hand when one teaches with it. */
const situation = defineModel<Situation>({ required: true })
const choices = (values: readonly string[]) => [
  { value: '', title: 'not known' },
  ...values.map((value) => ({ value, title: value })),
]
/** A choice in which nothing chosen is null. */
const orNull = <Key extends 'family' | 'block'>(key: Key) =>
  computed({
    get: () => situation.value[key] ?? '',
    set: (value: string) => {
      situation.value[key] = (value || null) as Situation[Key]
    },
  })
const family = orNull('family')
const block = orNull('block')
const yesNo = (key: 'byHand' | 'isStaying') =>
  computed({
    get: () => (situation.value[key] ? 'yes' : 'no'),
    set: (value: string) => {
      situation.value[key] = value === 'yes'
    },
  })
const byHand = yesNo('byHand')
const isStaying = yesNo('isStaying')
const damp = computed({
  get: () => (situation.value.damp === null ? '' : situation.value.damp ? 'damp' : 'dry'),
  set: (value: string) => {
    situation.value.damp = value === '' ? null : value === 'damp'
  },
})
const hands = [
  { value: 'no', title: 'at a press' },
  { value: 'yes', title: 'by hand' },
]
const places = [
  { value: 'no', title: 'wanders' },
  { value: 'yes', title: 'stays in one place' },
]
</script>

<template>
  <div class="customs">
    <p>
      Printed
      <EditableValue
        v-model="byHand"
        label="Printed"
        kind="choice"
        :options="hands"
        :words="situation.byHand ? 'by hand' : 'at a press'"
      />
      from
      <EditableValue
        v-model="block"
        label="Block"
        kind="choice"
        :options="choices(blockKinds)"
        :words="situation.block ?? 'a block not described'"
      />, ink
      <EditableValue
        v-model="family"
        label="Ink family"
        kind="choice"
        :options="choices(inkFamilies)"
        :words="situation.family ?? 'not known'"
      />, paper
      <EditableValue
        v-model="damp"
        label="Paper"
        kind="choice"
        :options="choices(['damp', 'dry'])"
        :words="damp || 'damp or dry not known'"
      />; layer
      <EditableValue v-model="situation.layer" label="Layer" :min="1" :max="40" :words="String(situation.layer)" />,
      <EditableValue
        v-model="situation.pulls"
        label="Pulls so far"
        :max="5000"
        unit="pulls"
        :words="pluralise(situation.pulls, 'pull')"
      />
      in; it
      <EditableValue
        v-model="isStaying"
        label="It"
        kind="choice"
        :options="places"
        :words="situation.isStaying ? 'stays in one place' : 'wanders'"
      />.
    </p>
  </div>
</template>
