<script setup lang="ts">
import { course as courseStream } from '#core/course/stream'
import { v7 } from 'uuid'
import { type CourseDescription, type Meeting } from '#core/course/state'
import { isStaff } from '#core/ground/who'
import type { CourseSummary } from '#shared/replies/replies'
import { meetingWords, weekdayChoices } from '~/drawings/class-words'
import { date } from '~/format/days'

/** A class in a sentence: a new one, or one that is put right. */
const props = defineProps<{ course?: CourseSummary }>()
const emit = defineEmits<{ done: [id: string] }>()
const session = useSession()
const { busy, fault, field, giving } = useGiving()
const blank = (): CourseDescription => ({
  name: '',
  term: '',
  from: null,
  until: null,
  meets: [],
  instructorIds: session.person ? [session.person.id] : [],
})
const standing = (): CourseDescription => {
  if (!props.course) return blank()
  const { name, term, from, until, meets, instructorIds } = props.course
  return { name, term, from, until, meets: meets.map((one) => ({ ...one })), instructorIds: [...instructorIds] }
}
const form = ref(standing())
const draft = useDraft(props.course ? `class ${props.course.id}` : 'new class', form, standing)
const teachers = computed(() =>
  session.people
    .filter(({ active, role }) => active && isStaff(role))
    .map(({ id, name }) => ({ value: id, title: name })),
)
const another = (): Meeting => ({ weekday: 2, from: '18:00', until: '21:00' })

async function keep() {
  const { course } = props
  const id = course?.id ?? v7()
  const done = await giving(() =>
    course
      ? session.give('describe-course', courseStream.of(id), { ...form.value }, course.seq)
      : session.give('begin-course', courseStream.of(id), { ...form.value }),
  )
  if (!done) return
  draft.done()
  if (!course) form.value = blank()
  emit('done', id)
}
</script>

<template>
  <form @submit.prevent="keep">
    <p class="sentence">
      <EditableValue
        v-model="form.name"
        label="Name of the class"
        kind="text"
        :words="form.name || 'its name'"
        :fault="field === 'name' ? fault : undefined"
      />, <EditableValue v-model="form.term" label="Term" kind="text" :words="form.term || 'no term'" />, from
      <EditableValue
        v-model="form.from"
        label="First day"
        kind="date"
        :words="form.from ? date(form.from) : 'no date set'"
      />
      until
      <EditableValue
        v-model="form.until"
        label="Last day"
        kind="date"
        :words="form.until ? date(form.until) : 'no date set'"
        :fault="field === 'until' ? fault : undefined"
      />.
    </p>
    <div class="customs meets">
      <p v-for="(meeting, i) in form.meets" :key="i">
        It meets on
        <EditableValue
          :model-value="String(meeting.weekday)"
          :label="`Day ${i + 1}`"
          kind="choice"
          :options="weekdayChoices"
          :words="meetingWords(meeting).split(' ')[0]!"
          @update:model-value="meeting.weekday = Number($event)"
        />
        from
        <EditableValue v-model="meeting.from" :label="`Begins, day ${i + 1}`" kind="time" :words="meeting.from" /> until
        the bell at
        <EditableValue v-model="meeting.until" :label="`Bell, day ${i + 1}`" kind="time" :words="meeting.until" />.
        <button type="button" class="link" @click="form.meets.splice(i, 1)">Not on that day</button>
      </p>
      <p><button type="button" class="link" @click="form.meets.push(another())">It meets on a day more</button></p>
    </div>
    <VSelect v-model="form.instructorIds" class="teachers" label="Taught by" multiple :items="teachers" />
    <p v-if="fault && field !== 'name' && field !== 'until'" class="trouble" role="alert">{{ fault }}</p>
    <div class="buttons">
      <VBtn type="submit" :loading="busy">{{ course ? 'Keep it so' : 'Begin the class' }}</VBtn>
    </div>
  </form>
</template>

<style scoped>
.meets {
  margin: 8px 0 16px;
}
.teachers {
  max-width: 420px;
}
</style>
