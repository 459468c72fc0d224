<script setup lang="ts">
import { assignmentOf } from '#core/course/state'
import type { CourseReply } from '#shared/replies/replies'
import { listed } from '~/drawings/words'
import { pluralise } from '#core/units/pluralise'
import { date, dueIn } from '~/format/days'

/** One assignment of a class: what it asks, who has begun, what is handed in, and who gets whose print. */
const route = useRoute()
const session = useSession()
const id = String(route.params.id)
const assignmentId = String(route.params.assignment)
const { reply, trouble } = useReply<CourseReply>(`/api/courses/${id}`, {
  on: [`course:${id}`, 'edition', 'lot', 'press', 'studio'],
})
const course = computed(() => reply.value?.course)
const assignment = computed(() => (course.value ? assignmentOf(course.value, assignmentId) : undefined))
useHead({ title: () => `${assignment.value?.title ?? 'Assignment'} · Ample Tally` })
const benches = computed(() => reply.value?.benches.filter((one) => one.assignmentId === assignmentId) ?? [])
const handedIn = computed(() => benches.value.filter((bench) => bench.handedIn !== null).length)
const names = (ids: readonly string[]) => listed(ids.map((one) => session.nameOf(one)))
</script>

<template>
  <div>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }} <NuxtLink to="/class">To the classes</NuxtLink></p>
    <template v-if="course && reply">
      <div class="page-head">
        <h1>{{ assignment?.title ?? 'No such assignment' }}</h1>
        <p class="told">
          <NuxtLink :to="`/class/${id}`">{{ course.name }}</NuxtLink><template v-if="assignment?.due">
            · {{ dueIn(assignment.due) }}</template
          >
        </p>
      </div>
      <template v-if="assignment">
        <StartEditions :course="course" :assignment="assignment" />
        <section v-if="benches.length > 0" class="part" aria-labelledby="work">
          <div class="part-head">
            <h2 id="work">Handed in</h2>
            <p>{{ handedIn }} of {{ benches.length }}</p>
          </div>
          <ul class="lines">
            <li v-for="bench in benches" :key="bench.editionId" class="work">
              <NuxtLink :to="`/editions/${bench.editionId}/class`">{{ names(bench.personIds) }}</NuxtLink>
              <span v-if="bench.handedIn"
                >{{ date(bench.handedIn.at)
                }}{{ bench.comments > 0 ? `, ${pluralise(bench.comments, 'comment')}` : ', not looked at yet' }}</span
              >
              <span v-else class="soft">not yet: {{ bench.layer?.good ?? bench.good }} of {{ bench.goal }} good</span>
            </li>
          </ul>
          <ClassPapers :course="course" :assignment="assignment" :benches="benches" />
        </section>
        <PrintExchange v-if="benches.length > 1" :course="course" :assignment="assignment" :benches="benches" />
        <CollapsibleSection
          title="What it asks"
          :words="`${pluralise(assignment.plan.size, 'print')} each, ${assignment.gates.length} gates, ${pluralise(assignment.pictures.length, 'picture')} to hand in.`"
          :missing="benches.length === 0"
        >
          <AssignmentForm :key="course.seq" :course="course" :assignment="assignment" />
        </CollapsibleSection>
      </template>
      <p v-else>That assignment is not there any more. <NuxtLink :to="`/class/${id}`">To the class</NuxtLink></p>
    </template>
  </div>
</template>

<style scoped>
.work {
  display: grid;
  grid-template-columns: minmax(160px, 280px) minmax(0, 1fr);
  gap: 2px 20px;
}
</style>
