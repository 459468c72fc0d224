<script setup lang="ts">
import { calendar as calendarStream } from '#core/calendar/stream'
import { instantAt } from '#core/time/instant'
import { nearestFree } from '#core/calendar/free'
import { instantOf, minuteOf } from '#core/time/instant'
import type { Booking, CalendarState } from '#core/calendar/state'
import type { CalendarReply } from '#shared/replies/calendar'
import type { BookingTold } from '~/components/day/BookingForm.vue'
import { weekWords } from '~/drawings/day-sheet'
import { pluralise } from '#core/units/pluralise'
import { weekday } from '~/format/days'

/** The day sheet: who has which press or place when, moved by hand, and how the day could be ordered better. */
const route = useRoute()
const router = useRouter()
const session = useSession()
const { giving, fault } = useGiving()
const calendar = shallowRef<CalendarState | null>(null)
/** Until the room's clock is known, the reader's own is taken for it. */
const clock = useRoomClock(() => calendar.value)
const today = computed(() => clock.dayOf(instantAt(Date.now())))
const day = computed(() => {
  const asked = String(route.query.on ?? '')
  return /^\d{4}-\d{2}-\d{2}$/.test(asked) && !Number.isNaN(Date.parse(asked)) ? asked : today.value
})
const span = computed(() => clock.spanOfDay(day.value))
const path = computed(() => `/api/calendar?from=${instantOf(span.value.from)}&until=${instantOf(span.value.to)}`)
const { reply, trouble, now } = useReply<CalendarReply>(() => path.value, {
  on: ['calendar', 'edition', 'press', 'station', 'rack', 'studio'],
  every: aMinute,
})
watch(reply, (told) => {
  calendar.value = told?.calendar ?? null
})
const dayWords = computed(() => weekday(day.value))
useHead({ title: () => `${dayWords.value} · Ample Tally` })
const goTo = (on: string) => router.push({ path: '/day', query: on === today.value ? {} : { on } })

const editionOf = (booking: Booking) => reply.value?.editions.find(({ id }) => id === booking.editionId)
const runWords = (booking: Booking) => {
  const edition = editionOf(booking)
  const layer = edition?.layers.find(({ id }) => id === booking.layerId)?.name ?? booking.layerId
  return [edition?.title, edition && edition.layers.length > 1 ? layer : null, booking.note].filter(Boolean).join(', ')
}
const saidOf = (booking: Booking) => {
  const what = runWords(booking)
  return `${clock.clockOf(booking.from)}–${clock.clockOf(booking.until)} ${session.nameOf(booking.personId)}${what ? `, ${what}` : ''}`
}
const runWordsOf = (bookingId: string) => {
  const booking = calendar.value?.bookings.find((one) => one.bookingId === bookingId)
  return booking
    ? `${runWords(booking)}${booking.personId === session.person?.id ? '' : ` (${session.nameOf(booking.personId)})`}`
    : ''
}
const mayMove = (booking: Booking) =>
  (session.isStaff || booking.personId === session.person?.id) && minuteOf(booking.until) > now.value / 60_000
const booked = computed(() =>
  (calendar.value?.bookings ?? []).filter(
    (one) => minuteOf(one.from) < span.value.to && minuteOf(one.until) > span.value.from,
  ),
)

const chosenId = ref<string | null>(null)
const chosen = computed(() => calendar.value?.bookings.find(({ bookingId }) => bookingId === chosenId.value) ?? null)
const blank = (): { told: BookingTold; isOpen: boolean } => ({
  told: {
    placeId: '',
    day: day.value,
    from: '18:00',
    until: '20:00',
    personId: session.person?.id ?? '',
    editionId: '',
    layerId: '',
    isFixed: false,
    note: '',
  },
  isOpen: false,
})
/** A new booking as far as it is said; it survives a reload. */
const fresh = ref(blank())
const draft = useDraft('new booking', fresh)
/** What the chosen one is to become. */
const edited = ref<BookingTold | null>(null)
watch(day, (on) => {
  if (fresh.value.isOpen) fresh.value.told.day = on
  chosenId.value = null
})
function choose(bookingId: string) {
  fresh.value.isOpen = false
  chosenId.value = chosenId.value === bookingId ? null : bookingId
  const booking = chosen.value
  edited.value = booking && {
    placeId: booking.placeId,
    day: clock.dayOf(booking.from),
    from: clock.clockOf(booking.from),
    until: clock.clockOf(booking.until),
    personId: booking.personId,
    editionId: booking.editionId ?? '',
    layerId: booking.layerId ?? '',
    isFixed: booking.isFixed,
    note: booking.note,
  }
}
function begin(placeId?: string, from?: number) {
  chosenId.value = null
  const place = placeId ?? (fresh.value.told.placeId || (reply.value?.places[0]?.id ?? ''))
  const wanted = from ?? Math.max(span.value.from, Math.ceil(now.value / 60_000 / 30) * 30)
  const length = 120
  const personId = fresh.value.told.personId || (session.person?.id ?? '')
  // Without an hour that was touched, what is free next is offered.
  const free =
    from === undefined && calendar.value
      ? nearestFree(calendar.value, { from: wanted, to: wanted + length, placeId: place, personId, now: wanted })
      : null
  const begun = free?.from ?? wanted
  Object.assign(fresh.value.told, {
    placeId: place,
    personId,
    day: clock.dayOf(instantOf(begun)),
    from: clock.clockOf(instantOf(begun)),
    until: clock.clockOf(instantOf(begun + length)),
  })
  fresh.value.isOpen = true
}
function leave() {
  fresh.value.isOpen = false
  chosenId.value = null
}
async function kept(on: string) {
  if (!chosenId.value) {
    draft.done()
    fresh.value = blank()
  }
  leave()
  await goTo(on)
}
async function move(bookingId: string, placeId: string, from: string, until: string) {
  await giving(() =>
    session.give('move-bookings', calendarStream.of(), { moves: [{ bookingId, placeId, from, until }] }),
  )
}
async function giveBack(bookingId: string) {
  if (await giving(() => session.give('cancel-bookings', calendarStream.of(), { bookingIds: [bookingId] })))
    chosenId.value = null
}

/** A quarter of an hour before a booking its person may look the place over. */
const early = 15
const come = computed(() =>
  (calendar.value?.bookings ?? []).filter((one) => {
    const minute = now.value / 60_000
    const place = reply.value!.places.find(({ id }) => id === one.placeId)
    return (
      one.personId === session.person?.id &&
      minuteOf(one.from) - early <= minute &&
      minute < minuteOf(one.until) &&
      place !== undefined &&
      place.open?.by !== one.personId
    )
  }),
)
const placeName = (id: string) => reply.value?.places.find((one) => one.id === id)?.name ?? 'the press'
const hoursWords = computed(() => {
  const { hours, timeZone } = calendar.value ?? { hours: [], timeZone: '' }
  return hours.length === 0 ? `open at all hours, by the clock of ${timeZone}` : weekWords(hours)
})
</script>

<template>
  <div>
    <div class="page-head">
      <h1>{{ dayWords }}</h1>
      <p class="told"><template v-if="day === today">today, </template>{{ pluralise(booked.length, 'booking') }}</p>
      <VBtn class="quiet right no-print" @click="goTo(clock.later(day, -1))">The day before</VBtn>
      <VBtn v-if="day !== today" class="quiet no-print" @click="goTo(today)">Today</VBtn>
      <VBtn class="quiet no-print" @click="goTo(clock.later(day, 1))">The day after</VBtn>
      <VBtn class="quiet no-print" to="/day/ahead">Timetable</VBtn>
    </div>
    <TroubleLine :words="trouble" />
    <template v-if="reply && calendar">
      <p v-for="one in come" :key="one.bookingId" class="come" role="status">
        Your time at the <strong>{{ placeName(one.placeId) }}</strong> has come, until {{ clock.clockOf(one.until) }}.
        <NuxtLink :to="`/stations/${one.placeId}`">Look it over and open your session</NuxtLink>
      </p>
      <p v-if="reply.places.length === 0" class="sentence">
        Nothing can be booked yet: <NuxtLink to="/presses">add the first press</NuxtLink>.
      </p>
      <DaySheet
        v-else
        :calendar="calendar"
        :places="reply.places"
        :racks="reply.racks"
        :day="span"
        :now="now"
        :chosen="chosenId"
        :said-of="saidOf"
        :may-move="mayMove"
        @choose="choose"
        @move="move"
        @want="begin"
        @give-back="giveBack"
      />
      <TroubleLine :words="fault" />
      <section v-if="chosen && edited" class="part no-print" aria-label="The booking">
        <BookingForm
          :key="chosen.bookingId"
          v-model="edited"
          :calendar="calendar"
          :places="reply.places"
          :editions="reply.editions"
          :booking="chosen"
          @done="kept"
        >
          <VBtn v-if="mayMove(chosen)" class="quiet" @click="giveBack(chosen.bookingId)">Give it back</VBtn>
          <VBtn class="quiet" @click="leave">Leave it</VBtn>
        </BookingForm>
      </section>
      <section v-else-if="fresh.isOpen" class="part no-print" aria-label="The booking">
        <BookingForm
          v-model="fresh.told"
          :calendar="calendar"
          :places="reply.places"
          :editions="reply.editions"
          :booking="null"
          @done="kept"
        >
          <VBtn class="quiet" @click="leave">Leave it</VBtn>
        </BookingForm>
      </section>
      <div v-else-if="reply.places.length > 0" class="buttons no-print">
        <VBtn @click="begin()">Book a press</VBtn>
        <span class="soft">or touch an hour; a strip is dragged, or moved with the arrow keys</span>
      </div>
      <OrderOfDay
        v-for="proposal in reply.orders"
        :key="proposal.placeId"
        :proposal="proposal"
        :calendar="calendar"
        :places="reply.places"
        :run-words="runWordsOf"
      />
      <CollapsibleSection class="no-print" title="Hours of the room" :words="hoursWords">
        <RoomHours :calendar="calendar" />
      </CollapsibleSection>
      <CollapsibleSection
        class="no-print"
        title="In a calendar program"
        words="a file, or an address it reads by itself"
      >
        <CalendarAddress />
      </CollapsibleSection>
      <CollapsibleSection
        class="no-print"
        title="Days shut and away"
        :words="`${pluralise(calendar.closures.length, 'closure')} known`"
      >
        <DaysShut :calendar="calendar" />
      </CollapsibleSection>
    </template>
  </div>
</template>

<style scoped>
.come {
  border-bottom: 2px solid var(--green);
  padding: 8px 0;
  margin-bottom: 10px;
}
</style>
