<script setup lang="ts">
import { dayIn } from '~/format/days'
import { byTheBell } from '#core/run/bell'
import type { InClass } from '#core/run/in-class'
import type { CourseReply, CoursesReply } from '#shared/replies/replies'
import { helpWords, meetingOn, meetingWords, timeOn } from '~/drawings/class-words'
import { formatDuration, listed, percent } from '~/drawings/words'
import { pluralise } from '#core/units/pluralise'

/** A class at its benches: who asks, how each stands, who will not be done by the bell, and what recurs. */
const route = useRoute()
const session = useSession()
const id = String(route.params.id)
const { reply, trouble } = useReply<CourseReply>(`/api/courses/${id}`, {
  on: [`course:${id}`, 'edition', 'lot', 'press', 'studio'],
  every: aMinute,
})
const all = useReply<CoursesReply>('/api/courses', { on: ['course'] })
useHead({ title: () => `${reply.value?.course.name ?? 'Class'} · Ample Tally` })
const now = ref(Date.now())
const clock = setInterval(() => {
  now.value = Date.now()
}, 10_000)
onUnmounted(() => clearInterval(clock))

const course = computed(() => reply.value?.course)
const assignmentId = ref('')
/** The assignment that is looked at: the last one, until another is chosen. */
const assignment = computed(() => {
  const { assignments = [] } = course.value ?? {}
  return assignments.find((one) => one.id === assignmentId.value) ?? assignments.at(-1)
})
const benches = computed(() => reply.value?.benches.filter((one) => one.assignmentId === assignment.value?.id) ?? [])
const asks = computed(() =>
  (reply.value?.benches ?? [])
    .flatMap((bench) => bench.asks.map((ask) => ({ ask, bench })))
    .sort((a, b) => a.ask.at.localeCompare(b.ask.at)),
)
/** The bell: of today's meeting, or as it is said here. */
const saidBell = ref<string | null>(null)
const bellAt = computed(
  () => saidBell.value ?? (course.value ? (meetingOn(course.value.meets, dayIn(now.value))?.until ?? null) : null),
)
const minutes = computed(() => (bellAt.value ? (timeOn(dayIn(now.value), bellAt.value) - now.value) / 60_000 : null))
/** The bell counts for those who are at it today. */
const isAtIt = (bench: InClass) => bench.lastPullAt !== null && now.value - Date.parse(bench.lastPullAt) < 12 * 3600_000
const late = computed(() =>
  minutes.value === null
    ? []
    : benches.value.filter(isAtIt).flatMap((bench) => {
        const bell = bench.bell && byTheBell({ ...bench.bell, minutes: minutes.value! })
        return bell && bell.chance < 0.5 ? [{ bench, bell }] : []
      }),
)
const names = (bench: InClass) => listed(bench.personIds.map((one) => session.nameOf(one)))
const layerName = (bench: InClass, layerId: string | null) => bench.layers.find((one) => one.id === layerId)?.name ?? ''
const pressName = (pressId: string | null) => reply.value?.presses.find((one) => one.id === pressId)?.name ?? ''
const others = computed(() => all.reply.value?.courses.filter((one) => one.id !== id) ?? [])
const adding = ref(false)
function assigned() {
  adding.value = false
}
</script>

<template>
  <div>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }} <NuxtLink to="/class">To the classes</NuxtLink></p>
    <template v-if="reply && course">
      <div class="page-head">
        <h1>{{ course.name }}</h1>
        <p class="told">
          {{ [course.term, pluralise(course.studentIds.length, 'student')].filter(Boolean).join(' · ') }}
        </p>
        <p class="bell">
          <EditableValue
            :model-value="bellAt ?? '21:00'"
            label="Bell today"
            kind="time"
            :words="bellAt ? `Bell at ${bellAt}` : 'No bell today'"
            @update:model-value="saidBell = $event"
          /><template v-if="minutes !== null">{{
            minutes > 0 ? ` in ${formatDuration(minutes)}` : ' has rung'
          }}</template>
        </p>
        <VBtn v-if="assignment" class="quiet right" :to="`/class/${id}/${assignment.id}`">The assignment</VBtn>
      </div>
      <section v-if="asks.length > 0" class="part" aria-labelledby="asks">
        <div class="part-head">
          <h2 id="asks">Who asks</h2>
          <p>{{ pluralise(asks.length, 'ask') }}, the longest wait first</p>
        </div>
        <ul class="lines">
          <AskLine
            v-for="{ ask, bench } in asks"
            :key="ask.id"
            :ask="ask"
            :edition-id="bench.editionId"
            :title="bench.title"
            :layer-name="layerName(bench, ask.layerId)"
            :press-name="pressName(ask.pressId)"
            :rations="reply.rations"
            :now="now"
          />
        </ul>
      </section>
      <section class="part" aria-labelledby="benches">
        <div class="part-head">
          <h2 id="benches">At the benches</h2>
          <p v-if="course.assignments.length > 1" class="one-of">
            <button
              v-for="one in course.assignments"
              :key="one.id"
              type="button"
              :aria-pressed="one.id === assignment?.id"
              @click="assignmentId = one.id"
            >
              {{ one.title }}
            </button>
          </p>
          <p v-else-if="assignment">{{ assignment.title }}</p>
        </div>
        <p v-if="late.length > 0" class="late">
          By the bell
          <template v-for="({ bench, bell }, i) in late" :key="bench.editionId"
            ><template v-if="i > 0">; </template><strong>{{ names(bench) }}</strong> will hardly be done ({{
              percent(bell.chance)
            }}); it would take {{ helpWords(bell) }}</template
          >.
        </p>
        <template v-if="benches.length === 0">
          <p v-if="!assignment">This class has nothing to do yet. Set its first assignment below.</p>
          <p v-else>
            {{ assignment.title }} is set and not started.
            <NuxtLink :to="`/class/${id}/${assignment.id}`">Start everybody’s edition</NuxtLink>
          </p>
        </template>
        <ul v-else class="tables">
          <BenchTable
            v-for="bench in benches"
            :key="bench.editionId"
            :bench="bench"
            :rations="reply.rations"
            :minutes="isAtIt(bench) ? minutes : null"
            :now="now"
          />
        </ul>
      </section>
      <RecurringFaults v-if="benches.length > 1" :benches="benches" />
      <CollapsibleSection
        title="Students"
        :missing="course.studentIds.length === 0"
        :words="listed(course.studentIds.map((one) => session.nameOf(one)))"
      >
        <CourseStudents :reply="reply" :others="others" />
      </CollapsibleSection>
      <CollapsibleSection
        title="Term and hours"
        :words="
          [
            ...course.meets.map(meetingWords),
            `taught by ${listed(course.instructorIds.map((one) => session.nameOf(one)))}`,
          ].join(', ')
        "
      >
        <CourseForm :key="course.seq" :course="course" />
      </CollapsibleSection>
      <CollapsibleSection
        title="Assignments"
        :missing="course.assignments.length === 0 && course.studentIds.length > 0"
        :words="listed(course.assignments.map(({ title }) => title)) || 'none yet'"
      >
        <ul class="lines">
          <li v-for="one in course.assignments" :key="one.id">
            <NuxtLink :to="`/class/${id}/${one.id}`">{{ one.title }}</NuxtLink>,
            {{ pluralise(one.editions.length, 'edition') }}
          </li>
        </ul>
        <AssignmentForm v-if="adding || course.assignments.length === 0" :course="course" @done="assigned" />
        <p v-else class="buttons"><VBtn class="quiet" @click="adding = true">Set another</VBtn></p>
      </CollapsibleSection>
    </template>
  </div>
</template>

<style scoped>
.bell {
  color: var(--soft);
}
.late {
  color: var(--doubtful);
  margin-bottom: 10px;
}
.tables {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 0 40px;
}
@media (max-width: 900px) {
  .tables {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
