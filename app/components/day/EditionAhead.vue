<script setup lang="ts">
import { calendar } from '#core/calendar/stream'
import { v7 } from 'uuid'
import { instantOf } from '#core/time/instant'
import { momentWords } from '#core/time/room-clock'
import { chainWords } from '#core/schedule/chain-words'
import type { Mend } from '#core/schedule/mend'
import type { EditionStanding } from '#core/schedule/standing'
import { type EditionTask, personOf, pressOf } from '#core/schedule/task'
import type { TimetableReply } from '#shared/replies/calendar'
import { counted, listed } from '~/drawings/words'
import { pluralise } from '#core/units/pluralise'

/** One edition in the timetable: what holds it up, every task with its slack, what would mend it, and its bookings taken over. */
const props = defineProps<{
  standing: EditionStanding
  tasks: EditionTask[]
  reply: TimetableReply
  mended: Mend[] | null
  isMending: boolean
}>()
const emit = defineEmits<{ mend: [] }>()
const session = useSession()
const { busy, fault, giving } = useGiving()
const zone = computed(() => props.reply.calendar.timeZone)
const moment = (minute: number) => momentWords(minute, zone.value)
const dayOf = (minute: number) => moment(minute).replace(/,.*/, '')
const edition = computed(() => props.reply.editions.find(({ id }) => id === props.standing.editionId))
const titleOf = (id: string) => props.reply.editions.find((one) => one.id === id)?.title ?? 'another edition'
const pressName = (id: string | null) => props.reply.presses.find((one) => one.id === id)?.name ?? ''
const nameOf = (resource: string) => {
  const id = resource.slice(resource.indexOf(':') + 1)
  return resource.startsWith('press:') ? pressName(id) || 'the press' : session.nameOf(id)
}
const chain = computed(() =>
  chainWords(props.standing.chain, props.tasks, props.standing.editionId, { nameOf, titleOf, day: dayOf }),
)
function minuteWords(minutes: number): string {
  if (minutes < 60) return `${minutes} min`
  return minutes < 1440 ? `${Math.round(minutes / 60)} h` : pluralise(Math.floor(minutes / 1440), 'day')
}
const slackWords = (slack: number | null) => {
  if (slack === null) return ''
  if (slack === Number.NEGATIVE_INFINITY) return 'too late by any way'
  const words = minuteWords(Math.abs(slack))
  if (slack === 0) return 'no slack'
  return slack < 0 ? `${words} too late` : `${words} of slack`
}
const whereWords = (task: EditionTask) =>
  listed([pressName(pressOf(task)), personOf(task) ? session.nameOf(personOf(task)!) : ''].filter(Boolean))
const mendWords = ({ kind, pressId, share, end, isInTime }: Mend) => {
  const prints = Math.floor((edition.value?.prints ?? 0) * share)
  const what = {
    drier: 'a drier within its label’s range',
    press: `printing at ${pressName(pressId)}`,
    helper: 'somebody to help at the table',
    racks: 'more places to dry',
    fewer: `${pluralise(prints, 'print')} instead of ${edition.value?.prints ?? 0}`,
  }[kind]
  return `${what[0]!.toUpperCase()}${what.slice(1)}: over on ${dayOf(end)}${isInTime ? ', in time' : ', still late'}.`
}

/** Times at a press that are placed and not booked yet. */
const toBook = computed(() =>
  props.standing.tasks.flatMap((task) => {
    const placeId = pressOf(task)
    const personId = personOf(task) ?? session.person?.id
    return placeId !== null && personId && task.place && task.bookingId === null
      ? [
          {
            bookingId: v7(),
            placeId,
            personId,
            from: instantOf(task.place.from),
            until: instantOf(task.place.to),
            editionId: task.editionId,
            layerId: task.layerId,
            isFixed: false,
            note: '',
          },
        ]
      : []
  }),
)
const mayBook = computed(() => session.isStaff || toBook.value.every(({ personId }) => personId === session.person?.id))
async function takeOver() {
  await giving(() => session.give('book', calendar.of(), { bookings: toBook.value }))
}
</script>

<template>
  <section class="part" :aria-label="titleOf(standing.editionId)">
    <div class="part-head">
      <h2>
        <NuxtLink :to="`/editions/${standing.editionId}/plan`">{{ titleOf(standing.editionId) }}</NuxtLink>
      </h2>
      <p v-if="standing.end === null">
        {{ counted(standing.tasks.filter(({ place }) => !place).length, 'thing fits', 'things fit') }} nowhere in half a
        year
      </p>
      <p v-else>
        over on {{ moment(standing.end)
        }}<template v-if="standing.beginBy !== null && standing.beginBy > 0"
          >; to be begun by {{ dayOf(standing.beginBy) }} at the latest</template
        >
      </p>
    </div>
    <p class="chain">What holds it up: {{ chain.join(', then ') }}.</p>
    <p v-for="one in standing.broken" :key="one.taskId" class="warn">
      {{ standing.tasks.find(({ id }) => id === one.taskId)?.what }} is booked before what comes first is over, on
      {{ moment(one.until) }}. <NuxtLink to="/day">Move the booking</NuxtLink>.
    </p>
    <p v-for="one in standing.hardened" :key="one.taskId" class="warn">
      {{ standing.tasks.find(({ id }) => id === one.taskId)?.what }}: the film beneath hardens by
      {{ dayOf(one.by) }} and may refuse ink after that.
    </p>
    <div class="buttons">
      <VBtn v-if="toBook.length > 0 && mayBook" :loading="busy" @click="takeOver"
        >Book {{ counted(toBook.length, 'time') }} at the press</VBtn
      >
      <span v-else-if="toBook.length > 0" class="soft"
        >{{ counted(toBook.length, 'time') }} at the press to be booked, by whom it is for or by staff</span
      >
      <VBtn v-if="standing.due !== null" class="quiet" :loading="isMending" @click="emit('mend')"
        >What would mend it?</VBtn
      >
    </div>
    <TroubleLine :words="fault" />
    <ul v-if="mended" class="mends" role="status">
      <li v-for="one in mended" :key="`${one.kind} ${one.pressId}`">{{ mendWords(one) }}</li>
      <li v-if="standing.end !== null && standing.late > 0">
        A later date: {{ dayOf(standing.end) }} instead of {{ standing.due === null ? '' : dayOf(standing.due) }}.
      </li>
      <li v-if="mended.length === 0 && standing.late === 0">Nothing would have it over any sooner.</li>
    </ul>
    <table v-columns class="ruled">
      <thead>
        <tr>
          <th>What</th>
          <th>When</th>
          <th>Where, who</th>
          <th>Slack</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="task in standing.tasks" :key="task.id">
          <td>{{ task.what }}<span v-if="task.bookingId" class="soft">, booked</span></td>
          <td>
            <template v-if="task.place">{{ moment(task.place.from) }}</template><span v-else class="warn"
              >fits nowhere</span
            >
            <span class="soft">, {{ task.minutes }} min{{ task.isGuessed ? ', guessed' : '' }}</span>
          </td>
          <td>{{ whereWords(task) }}</td>
          <td>{{ slackWords(task.slack) }}</td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
.chain {
  max-width: 90ch;
  margin-bottom: 8px;
}
.warn {
  color: var(--doubtful);
  font-weight: 600;
}
.mends {
  margin: 10px 0;
}
table {
  margin-top: 14px;
}
</style>
