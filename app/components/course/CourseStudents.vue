<script setup lang="ts">
import { course as courseStream } from '#core/course/stream'
import { studio } from '#core/stores/studio/stream'
import { leaveOf, type Use } from '#core/stores/studio/leaves'
import type { CourseReply, CourseSummary } from '#shared/replies/replies'
import { listed } from '~/drawings/words'

/** Who comes to a class, and who was shown which press. */
const props = defineProps<{ reply: CourseReply; others: readonly CourseSummary[] }>()
const session = useSession()
const course = computed(() => props.reply.course)
const { busy, fault, giving } = useGiving()
const chosen = ref<string[]>([])
const stream = computed(() => courseStream.of(course.value.id))
const free = computed(() =>
  session.people
    .filter(({ id, active, role }) => active && role !== 'manager' && !course.value.studentIds.includes(id))
    .sort((a, b) => Number(b.role === 'student') - Number(a.role === 'student') || a.name.localeCompare(b.name))
    .map(({ id, name, role }) => ({ value: id, title: `${name}, ${role}` })),
)
/** Classes that somebody comes to beside this one. */
const elsewhere = (personId: string) =>
  listed(props.others.filter(({ studentIds }) => studentIds.includes(personId)).map(({ name }) => name))
/** What students are shown: each press, and solvents. */
const shown = computed(() => [
  ...props.reply.presses.map(({ id, name }) => ({ use: 'press' as Use, pressId: id as string | null, name })),
  { use: 'solvents' as Use, pressId: null, name: 'solvents' },
])
type Shown = (typeof shown.value)[number]
const notShown = ({ use, pressId }: Shown) =>
  course.value.studentIds.filter((personId) => !leaveOf(props.reply, { personId, use, pressId }))

async function enrol() {
  await giving(() => session.give('enrol-students', stream.value, { personIds: chosen.value }))
  if (!fault.value) chosen.value = []
}
const show = ({ use, pressId }: Shown, personId: string) =>
  giving(() => session.give('give-leave', studio.of(), { personId, use, pressId, note: '' }))
const takeOff = (personId: string) => giving(() => session.give('take-off-course', stream.value, { personId }))
</script>

<template>
  <div>
    <p v-if="course.studentIds.length === 0">Nobody comes to it yet. Put its students on the list.</p>
    <ul v-else class="names">
      <li v-for="id in course.studentIds" :key="id">
        {{ session.nameOf(id) }}
        <span v-if="elsewhere(id)" class="soft">comes to {{ elsewhere(id) }} too</span>
        <button type="button" class="link" :aria-label="`${session.nameOf(id)} comes no more`" @click="takeOff(id)">
          comes no more
        </button>
      </li>
    </ul>
    <form class="fields" @submit.prevent="enrol">
      <VSelect v-model="chosen" class="wide" label="Who comes to it" multiple :items="free" />
      <VBtn type="submit" class="quiet" :loading="busy" :disabled="chosen.length === 0">Put them on the list</VBtn>
    </form>
    <template v-if="course.studentIds.length > 0">
      <h3 class="shown">Who was shown what</h3>
      <p v-for="one in shown" :key="one.name" class="customs">
        <span>
          {{ one.name }}: {{ course.studentIds.length - notShown(one).length }} of {{ course.studentIds.length }}.
          <template v-if="notShown(one).length > 0"
            >Not yet:
            <template v-for="(id, i) in notShown(one)" :key="id"
              ><template v-if="i > 0">, </template
              ><button
                type="button"
                class="link"
                :aria-label="`${session.nameOf(id)} was shown ${one.name}`"
                @click="show(one, id)"
              >
                {{ session.nameOf(id) }}
              </button></template
            >.</template
          >
        </span>
      </p>
      <p class="soft">Touch a name once you have shown them: it holds from then on, on every edition.</p>
    </template>
    <TroubleLine :words="fault" />
  </div>
</template>

<style scoped>
.names {
  columns: 3 240px;
  column-gap: 32px;
  margin-bottom: 16px;
}
.names li {
  break-inside: avoid;
  padding: 3px 0;
}
.names .soft,
.names .link {
  font-size: 0.84rem;
}
.shown {
  margin: 20px 0 6px;
}
</style>
