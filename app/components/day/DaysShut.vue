<script setup lang="ts">
import { calendar as calendarStream } from '#core/calendar/stream'
import { dayOfLocal } from '#core/time/room-day'
import type { CalendarState, Closure } from '#core/calendar/state'
import { spanOf } from '#core/calendar/free'
import { spanOfClosure } from '#core/calendar/hours'
import { closuresIn } from '~/drawings/calendar-in'
import { pluralise } from '#core/units/pluralise'
import { day, today } from '~/format/days'

/** Days on which the room is shut, or somebody away; and closures from a calendar file. */
const props = defineProps<{ calendar: CalendarState }>()
const session = useSession()
const { busy, fault, giving } = useGiving()
const bringing = useGiving()
const clock = useRoomClock(() => props.calendar)
const blank = () => ({
  who: session.isStaff ? '' : (session.person?.id ?? ''),
  from: today() as string | null,
  last: today() as string | null,
  why: '',
})
const form = ref(blank())
const draft = useDraft('days shut', form)
const who = computed(() => [
  ...(session.isStaff ? [{ value: '', title: 'the room' }] : []),
  ...session.people
    .filter(({ active, id }) => active && (session.isStaff || id === session.person?.id))
    .map(({ id, name }) => ({ value: id, title: name })),
])
const whoWords = (personId: string | null) => (personId ? session.nameOf(personId) : 'the room')
const dayWords = (on: string | null) => day(on) || 'some day'
const toCome = computed(() =>
  [...props.calendar.closures]
    .filter(({ until }) => dayOfLocal(until) >= today())
    .sort((a, b) => a.from.localeCompare(b.from)),
)
/** Whole days are said without the hours. */
const closureWords = ({ from, until }: Closure) => {
  const isWhole = from.endsWith('T00:00') && until.endsWith('T00:00')
  if (!isWhole)
    return `${dayWords(dayOfLocal(from))}, ${from.slice(11)} to ${dayWords(dayOfLocal(until))}, ${until.slice(11)}`
  const last = clock.later(dayOfLocal(until), -1)
  return dayOfLocal(from) === last ? dayWords(last) : `${dayWords(dayOfLocal(from))} to ${dayWords(last)}`
}
const inIt = (closure: Closure) => {
  const span = spanOfClosure(closure, props.calendar.timeZone)
  if (!span) return 0
  return props.calendar.bookings.filter(
    (one) =>
      (closure.personId === null || closure.personId === one.personId) &&
      spanOf(one).from < span.to &&
      spanOf(one).to > span.from,
  ).length
}
const mayOpen = ({ personId }: Closure) => session.isStaff || personId === session.person?.id

async function close() {
  const { who: personId, from, last, why } = form.value
  if (!from || !last) return
  const data = { from: `${from}T00:00`, until: `${clock.later(last, 1)}T00:00`, personId: personId || null, why }
  if (!(await giving(() => session.give('close-room', calendarStream.of(), data)))) return
  draft.done()
  form.value = blank()
}
async function open(closureId: string) {
  await giving(() => session.give('withdraw-closure', calendarStream.of(), { closureId }))
}

const brought = ref('')
async function bring([file]: File[]) {
  if (!file) return
  brought.value = ''
  await bringing.giving(async () => {
    const { closures, left } = await closuresIn(await file.text(), props.calendar.timeZone)
    await session.give('bring-closures', calendarStream.of(), { source: file.name.slice(0, 120), closures })
    brought.value = `${pluralise(closures.length, 'closure')} from ${file.name}${left > 0 ? `; ${pluralise(left, 'line')} said no time and stayed out` : ''}.`
  })
}
</script>

<template>
  <div>
    <ul v-if="toCome.length > 0" class="lines shut">
      <li v-for="closure in toCome" :key="closure.id">
        <span
          ><strong>{{ closureWords(closure) }}</strong
          >: {{ closure.personId ? `${session.nameOf(closure.personId)} is away` : 'the room is shut'
          }}{{ closure.why ? `, ${closure.why}` : ''
          }}<span v-if="inIt(closure) > 0" class="warn">
            · {{ pluralise(inIt(closure), 'booking lies', 'bookings lie') }} in it</span
          ></span
        >
        <button v-if="mayOpen(closure)" type="button" class="link" @click="open(closure.id)">
          {{ closure.personId ? 'There after all' : 'Open after all' }}
        </button>
      </li>
    </ul>
    <p v-else class="soft">No day is shut, and nobody is away.</p>
    <ActForm class="say" :button="form.who ? 'Say so' : 'Shut it'" quiet :busy="busy" :fault="fault" @give="close">
      <p class="sentence">
        <EditableValue
          v-model="form.who"
          label="Who or what"
          kind="choice"
          :options="who"
          :words="whoWords(form.who)"
        />
        is {{ form.who ? 'away' : 'shut' }} from
        <EditableValue v-model="form.from" label="First day shut" kind="date" :words="dayWords(form.from)" /> until
        <EditableValue v-model="form.last" label="Last day shut" kind="date" :words="dayWords(form.last)" />,
        <EditableValue
          v-model="form.why"
          label="Why it is shut"
          kind="text"
          :longest="120"
          :words="form.why || 'no reason given'"
        />.
      </p>
      <template #beside
        ><FileChoice
          v-if="session.isStaff"
          label="Closures from a calendar file (.ics)"
          accept=".ics,text/calendar"
          @chosen="bring"
      /></template>
    </ActForm>
    <TroubleLine :words="bringing.fault.value" />
    <p v-if="brought" role="status">{{ brought }}</p>
  </div>
</template>

<style scoped>
.shut li {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 18px;
  justify-content: space-between;
}
.say {
  margin-top: 14px;
}
.warn {
  color: var(--doubtful);
  font-weight: 600;
}
</style>
