<script setup lang="ts">
import { course as courseStream } from '#core/course/stream'
import { today } from '~/format/days'
import { v7 } from 'uuid'
import type { AssignmentSaid, CourseAssignment } from '#core/course/state'
import type { Gate } from '#core/edition/assignment'
import { planDefaults } from '#core/plan/defaults'
import { methods, methodWord } from '#core/plan/plan'
import type { CourseSummary } from '#shared/replies/replies'
import { counted, listed } from '~/drawings/words'
import { pluralise } from '#core/units/pluralise'
import { day } from '~/format/days'

/** What a class is given to do, in a sentence: new, or put right for every edition that is begun. */
const props = defineProps<{ course: CourseSummary; assignment?: CourseAssignment }>()
const emit = defineEmits<{ done: [id: string] }>()
const session = useSession()
const supplies = useSupplies()
const { busy, fault, field, giving } = useGiving()
const studio = session.session?.studio
const blank = (): AssignmentSaid => ({
  title: '',
  plan: {
    ...planDefaults,
    rates: {
      ...planDefaults.rates,
      inkGram: studio?.inkGram ?? 0,
      pressHour: studio?.pressHour ?? 0,
      labourHour: 0,
    },
    method: 'single',
    work: 'beginners',
    layering: 'ahead',
    size: 6,
    sizeSchool: 'declared',
    orderSchool: 'curated',
    proofs: { AP: 0, PP: 0, HC: 0 },
    line: studio?.line ?? 'number-title-signature',
    year: null,
    numerals: 'roman',
    artist: '',
    due: null,
  },
  gates: ['press', 'paper', 'cut'],
  practice: 4,
  mayReplan: false,
  opens: null,
  due: null,
  paper: null,
  pictures: ['the whole edition', 'the block as it stands'],
  points: ['even inking', 'clean margins', 'register', 'what I would do otherwise'],
})
const standing = (): AssignmentSaid => {
  if (!props.assignment) return blank()
  const { title, plan, gates, practice, mayReplan, opens, due, paper, pictures, points } = props.assignment
  const said: AssignmentSaid = { title, plan, gates, practice, mayReplan, opens, due, paper, pictures, points }
  return JSON.parse(JSON.stringify(said)) as AssignmentSaid
}
const form = ref(standing())
const draft = useDraft(
  props.assignment ? `assignment ${props.assignment.id}` : `new assignment ${props.course.id}`,
  form,
  standing,
)
const isBegun = computed(() => (props.assignment?.editions.length ?? 0) > 0)
const colours = methods.map((value) => ({ value, title: methodWord(value) }))
const lots = computed(() => [
  { value: '', title: 'no paper put aside' },
  ...supplies.lots.filter(({ use }) => use === 'edition').map(({ id, name }) => ({ value: id, title: name })),
])
const lotName = computed(() => lots.value.find(({ value }) => value === form.value.paper?.lotId)?.title ?? 'a paper')
const gateWords: Record<Gate, string> = { press: 'a press', paper: 'good paper', cut: 'each further cut of a block' }
const toggle = (gate: Gate) => {
  const { gates } = form.value
  form.value.gates = gates.includes(gate) ? gates.filter((one) => one !== gate) : [...gates, gate]
}
const turned = computed(() =>
  form.value.opens !== null && form.value.due !== null && form.value.due < form.value.opens
    ? 'It is to be handed in before that day.'
    : '',
)
const pastDue = computed(() => (form.value.due !== null && form.value.due < today() ? 'That day is past.' : ''))
const lines = (text: string) =>
  text
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean)

async function keep() {
  const id = props.assignment?.id ?? v7()
  const editionIds = (props.assignment?.editions ?? []).map(({ editionId }) => editionId)
  const done = await giving(() =>
    session.give(
      'set-assignment',
      courseStream.of(props.course.id),
      { assignmentId: id, ...form.value, editionIds },
      props.course.seq,
    ),
  )
  if (!done) return
  draft.done()
  emit('done', id)
}
</script>

<template>
  <form @submit.prevent="keep">
    <p class="sentence">
      <EditableValue
        v-model="form.title"
        label="Title of the assignment"
        kind="text"
        :longest="120"
        :words="form.title || 'its title'"
        :fault="field === 'title' ? fault : undefined"
      />:
      <EditableValue
        v-model="form.plan.size"
        label="Prints"
        :min="1"
        :max="200"
        unit="prints"
        :words="pluralise(form.plan.size, 'print')"
        :disabled="isBegun"
      />
      each in
      <EditableValue
        v-model="form.plan.layersPlanned"
        label="Layers"
        :min="1"
        :max="12"
        unit="layers"
        :words="counted(form.plan.layersPlanned, 'layer')"
        :disabled="isBegun"
      />,
      <EditableValue
        v-model="form.plan.method"
        label="How colour is made"
        kind="choice"
        :options="colours"
        :words="methodWord(form.plan.method)"
        :disabled="isBegun"
      />, open from
      <EditableValue
        v-model="form.opens"
        label="Open from"
        kind="date"
        :words="form.opens ? day(form.opens) : 'the first day'"
        :fault="turned"
      />, handed in by
      <EditableValue
        v-model="form.due"
        label="Handed in by"
        kind="date"
        :words="form.due ? day(form.due) : 'no date set'"
        :fault="pastDue"
      />.
    </p>
    <div class="customs rest">
      <p>
        For each
        <EditableValue
          :model-value="form.paper?.lotId ?? ''"
          label="Paper"
          kind="choice"
          :options="lots"
          :words="form.paper ? lotName : 'no paper put aside'"
          :disabled="isBegun"
          @update:model-value="form.paper = $event ? { lotId: $event, sheets: form.paper?.sheets ?? 2 } : null"
        /><template v-if="form.paper"
          >,
          <EditableValue
            v-model="form.paper.sheets"
            label="Large sheets for each"
            :min="1"
            :max="1000"
            unit="sheets"
            :words="pluralise(form.paper.sheets, 'large sheet')"
            :disabled="isBegun" /></template
        >; practice pulls:
        <EditableValue
          v-model="form.practice"
          label="Practice pulls"
          may-be-none
          :max="500"
          :words="form.practice === null ? 'any number' : String(form.practice)"
        />.
        <template v-if="isBegun">Prints, layers and paper stay as the editions began.</template>
      </p>
      <p class="one-of">
        They ask before
        <button
          v-for="(words, gate) in gateWords"
          :key="gate"
          type="button"
          :aria-pressed="form.gates.includes(gate)"
          @click="toggle(gate)"
        >
          {{ words }}
        </button>
      </p>
      <p class="one-of">
        The plan
        <button type="button" :aria-pressed="!form.mayReplan" @click="form.mayReplan = false">
          stays as it is here
        </button>
        <button type="button" :aria-pressed="form.mayReplan" @click="form.mayReplan = true">is theirs to change</button>
      </p>
    </div>
    <CollapsibleSection
      title="Handing in"
      :words="`Pictures of ${listed(form.pictures) || 'nothing'}; they say something to ${counted(form.points.length, 'point')}.`"
    >
      <div class="fields">
        <VTextarea
          :model-value="form.pictures.join('\n')"
          class="wide"
          label="Pictures to hand in, one a line"
          rows="4"
          @change="form.pictures = lines(($event.target as HTMLTextAreaElement).value)"
        />
        <VTextarea
          :model-value="form.points.join('\n')"
          class="wide"
          label="Points to look at one’s own work for, one a line"
          rows="4"
          @change="form.points = lines(($event.target as HTMLTextAreaElement).value)"
        />
      </div>
    </CollapsibleSection>
    <p v-if="fault && field !== 'title'" class="trouble" role="alert">{{ fault }}</p>
    <div class="buttons">
      <VBtn type="submit" :loading="busy">{{ assignment ? 'Keep it so' : 'Set the assignment' }}</VBtn>
    </div>
  </form>
</template>

<style scoped>
.rest {
  margin: 10px 0 16px;
}
</style>
