<script setup lang="ts">
import { type Grade, grades } from '#core/press/dial-in'
import type { ProofStep } from '#core/run/proof-path'
import { pluralise } from '#core/units/pluralise'
import { gradeWords, inkWords, pressureWords } from '~/drawings/grades'

/** One proof, judged in a sentence: its impression, its ink, what it was rolled up with, its picture. */
const props = defineProps<{ step: ProofStep; disabled: boolean }>()
const edition = useEdition()
const { busy, fault, giving } = useGiving()
const standing = () => ({
  pressure: gradeValue(props.step.test.pressure),
  ink: gradeValue(props.step.test.ink),
  charges: props.step.test.quantities.charges,
  passes: props.step.test.quantities.passes,
  paper: props.step.test.isNewsprint ? 'newsprint' : 'good',
  pictureId: props.step.note?.pictureId ?? null,
  note: props.step.note?.note ?? '',
})
const form = useFollowing(standing, () => props.step.pull.pullId)
const isChanged = computed(() => !sameContent(form.value, standing()))
function gradeValue(grade: Grade | null): string {
  return grade === null ? '' : String(grade)
}
const gradeOf = (value: string) => (value === '' ? null : (Number(value) as Grade))
const optionsOf = (words: Record<Grade, string>) => [
  { value: '', title: 'not judged yet' },
  ...grades.map((grade) => ({ value: String(grade), title: words[grade] })),
]
const papers = [
  { value: 'newsprint', title: 'newsprint' },
  { value: 'good', title: 'good paper' },
]

async function keep() {
  const { pressure, ink, charges, passes, paper, pictureId, note } = form.value
  const said = {
    pullId: props.step.pull.pullId,
    pressure: gradeOf(pressure),
    ink: gradeOf(ink),
    charges,
    passes,
    newsprint: paper === 'newsprint',
    pictureId,
    note,
  }
  await giving(() => edition.give('judge-proof', said))
}
</script>

<template>
  <ActForm
    class="judged"
    button="Keep the judgement"
    :busy="busy"
    :disabled="disabled || !isChanged"
    :fault="fault"
    @give="keep"
  >
    <p class="sentence">
      Proof {{ step.pull.ordinal }}: the impression is
      <EditableValue
        v-model="form.pressure"
        label="Impression"
        kind="choice"
        :options="optionsOf(pressureWords)"
        :words="gradeWords(pressureWords, gradeOf(form.pressure))"
        :disabled="disabled"
      />, the ink
      <EditableValue
        v-model="form.ink"
        label="Ink"
        kind="choice"
        :options="optionsOf(inkWords)"
        :words="gradeWords(inkWords, gradeOf(form.ink))"
        :disabled="disabled"
      />.
    </p>
    <div class="customs">
      <p>
        It is on
        <EditableValue
          v-model="form.paper"
          label="Proof paper"
          kind="choice"
          :options="papers"
          :words="form.paper === 'newsprint' ? 'newsprint' : 'good paper'"
          :disabled="disabled || step.pull.sheetIds.length > 0"
        />, rolled with
        <EditableValue
          v-model="form.charges"
          label="Charges"
          :min="1"
          :max="60"
          unit="charges"
          :words="pluralise(form.charges, 'charge')"
          :disabled="disabled"
        />
        and
        <EditableValue
          v-model="form.passes"
          label="Passes"
          :min="1"
          :max="60"
          unit="passes"
          :words="pluralise(form.passes, 'pass', 'passes')"
          :disabled="disabled"
        />. Noted:
        <EditableValue
          v-model="form.note"
          label="Note on the proof"
          kind="text"
          :longest="500"
          :words="form.note || 'nothing'"
          :disabled="disabled"
        />.
      </p>
    </div>
    <PictureChoice v-if="!disabled" v-model="form.pictureId" what="the proof" />
    <template #beside><slot /></template>
  </ActForm>
</template>

<style scoped>
.judged {
  display: grid;
  gap: 10px;
}
.sentence {
  font-size: 1.3rem;
}
</style>
