<script setup lang="ts">
import { course as courseStream } from '#core/course/stream'
import { v7 } from 'uuid'
import { type CourseAssignment, withoutEdition } from '#core/course/state'
import type { CourseSummary } from '#shared/replies/replies'
import { listed } from '~/drawings/words'
import { pluralise } from '#core/units/pluralise'

/** Everybody’s edition in one act; who prints together is said first. */
const props = defineProps<{ course: CourseSummary; assignment: CourseAssignment }>()
const session = useSession()
const { busy, fault, giving } = useGiving()
const missing = computed(() => withoutEdition({ ...props.course, stream: '' }, props.assignment))
/** Students who print with another, by their id. */
const joined = ref<Record<string, string>>({})
const groups = computed(() => {
  const firsts = missing.value.filter((id) => !missing.value.includes(joined.value[id] ?? ''))
  return firsts.map((id) => [id, ...missing.value.filter((other) => other !== id && joined.value[other] === id)])
})
const with_ = (id: string) => [
  { value: '', title: 'alone' },
  ...groups.value
    .filter(([first]) => first !== id)
    .map(([first]) => ({ value: first!, title: `with ${session.nameOf(first!)}` })),
]
/** An edition that others joined cannot join another. */
const leads = (id: string) => groups.value.some((group) => group[0] === id && group.length > 1)
const wordsOf = (id: string) => {
  const first = joined.value[id]
  return first && missing.value.includes(first) ? `with ${session.nameOf(first)}` : 'alone'
}

async function start() {
  const { paper, id, title } = props.assignment
  const done = await giving(() =>
    session.give('start-assignment', courseStream.of(props.course.id), {
      assignmentId: id,
      lotId: paper?.lotId ?? null,
      editions: groups.value.map((personIds) => ({
        editionId: v7(),
        personIds,
        title: `${title}, ${listed(personIds.map((one) => session.nameOf(one)))}`.slice(0, 120),
        artist: listed(personIds.map((one) => session.nameOf(one))).slice(0, 80),
      })),
    }),
  )
  if (!done) return
  joined.value = {}
}
</script>

<template>
  <section v-if="missing.length > 0" class="part" aria-labelledby="start">
    <div class="part-head">
      <h2 id="start">{{ assignment.editions.length > 0 ? 'Who came later' : 'Start it' }}</h2>
      <p>
        {{ pluralise(groups.length, 'edition')
        }}<template v-if="assignment.paper"
          >, {{ pluralise(groups.length * assignment.paper.sheets, 'large sheet') }} put aside</template
        >
      </p>
    </div>
    <ul class="names">
      <li v-for="id in missing" :key="id">
        {{ session.nameOf(id) }}
        <EditableValue
          :model-value="joined[id] ?? ''"
          :label="`${session.nameOf(id)} prints`"
          kind="choice"
          :options="with_(id)"
          :words="wordsOf(id)"
          :disabled="leads(id)"
          @update:model-value="joined[id] = $event"
        />
      </li>
    </ul>
    <TroubleLine :words="fault" />
    <div class="buttons">
      <VBtn :loading="busy" @click="start">Start {{ pluralise(groups.length, 'edition') }}</VBtn>
    </div>
  </section>
  <p v-else-if="course.studentIds.length === 0" class="part">
    Nobody comes to {{ course.name }} yet.
    <NuxtLink :to="`/class/${course.id}`">Put its students on the list</NuxtLink>, then start it.
  </p>
</template>

<style scoped>
.names {
  columns: 3 240px;
  column-gap: 32px;
}
.names li {
  break-inside: avoid;
  padding: 3px 0;
}
</style>
