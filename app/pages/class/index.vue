<script setup lang="ts">
import type { CoursesReply } from '#shared/replies/replies'
import { meetingWords } from '~/drawings/class-words'
import { listed } from '~/drawings/words'
import { pluralise } from '#core/units/pluralise'

/** The classes of the room: who teaches, when they meet. */
useHead({ title: 'Class · Ample Tally' })
const session = useSession()
const { reply, trouble, again } = useReply<CoursesReply>('/api/courses', { on: ['course'] })
const adding = ref(false)
const begun = (id: string) => navigateTo(`/class/${id}`)
/** One's own edition of an assignment. */
const mine = (editions: readonly { editionId: string; personIds: string[] }[]) =>
  editions.find(({ personIds }) => personIds.includes(session.person?.id ?? ''))
</script>

<template>
  <div>
    <div class="page-head">
      <h1>Class</h1>
      <p v-if="reply" class="told">{{ pluralise(reply.courses.length, 'class', 'classes') }}</p>
      <VBtn v-if="session.isStaff" class="right" @click="adding = !adding">{{
        adding ? 'Leave the new class' : 'Begin a class'
      }}</VBtn>
    </div>
    <p v-if="trouble" class="trouble" role="alert">
      {{ trouble }} <button type="button" class="link" @click="again()">Try again</button>
    </p>
    <section v-if="adding" class="part">
      <div class="part-head"><h2>A class</h2></div>
      <CourseForm @done="begun" />
    </section>
    <template v-if="reply">
      <p v-if="reply.courses.length === 0 && !session.isStaff">You are on no class’s list. Ask an instructor.</p>
      <TeachStep v-else-if="reply.courses.length === 0 && !adding" />
      <ul class="lines classes">
        <li v-for="course in reply.courses" :key="course.id">
          <h2>
            <NuxtLink v-if="session.isStaff" :to="`/class/${course.id}`">{{ course.name }}</NuxtLink>
            <template v-else>{{ course.name }}</template>
          </h2>
          <p>
            {{
              [
                course.term,
                pluralise(course.studentIds.length, 'student'),
                listed(course.instructorIds.map((id) => session.nameOf(id))),
                ...course.meets.map(meetingWords),
              ]
                .filter(Boolean)
                .join(' · ')
            }}
          </p>
          <ul v-if="!session.isStaff">
            <li v-for="one in course.assignments" :key="one.id">
              <NuxtLink v-if="mine(one.editions)" :to="`/editions/${mine(one.editions)!.editionId}/class`">{{
                one.title
              }}</NuxtLink>
              <template v-else>{{ one.title }}, not begun for you yet</template>
            </li>
          </ul>
        </li>
      </ul>
    </template>
  </div>
</template>

<style scoped>
.classes > li p {
  color: var(--soft);
}
</style>
