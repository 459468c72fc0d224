<script setup lang="ts">
import { calendar as calendarStream } from '#core/calendar/stream'
import { v7 } from 'uuid'
import { nearestFree } from '#core/calendar/free'
import { instantOf, minuteOf } from '#core/time/instant'
import { spanWords } from '#core/time/room-clock'
import type { Booking, CalendarState } from '#core/calendar/state'
import type { BookableEdition, Place } from '#shared/replies/calendar'
import { weekday } from '~/format/days'

/** A booking in a sentence: a new one, or one that was chosen, whose time and place can change. */
export interface BookingTold {
  placeId: string
  day: string | null
  from: string
  until: string
  personId: string
  editionId: string
  layerId: string
  isFixed: boolean
  note: string
}
const form = defineModel<BookingTold>({ required: true })
const props = defineProps<{
  calendar: CalendarState
  places: Place[]
  editions: BookableEdition[]
  /** The one that was chosen, or null for a new one. */
  booking: Booking | null
}>()
const emit = defineEmits<{ done: [day: string] }>()
const session = useSession()
const { busy, fault, field, giving } = useGiving()
const clock = useRoomClock(() => props.calendar)
const isOthers = computed(() => props.booking !== null && props.booking.personId !== session.person?.id)
const mayChange = computed(() => !isOthers.value || session.isStaff)
const people = computed(() =>
  session.people.filter(({ active }) => active).map(({ id, name }) => ({ value: id, title: name })),
)
const placeChoices = computed(() => props.places.map(({ id, name }) => ({ value: id, title: name })))
const placeName = computed(() => props.places.find(({ id }) => id === form.value.placeId)?.name ?? 'a press')
/** One's own editions first: that is what one books for. */
const editionChoices = computed(() => [
  { value: '', title: 'nothing said' },
  ...[...props.editions]
    .sort((a, b) => Number(isOwn(b)) - Number(isOwn(a)))
    .map(({ id, title }) => ({ value: id, title })),
])
const isOwn = ({ personIds }: BookableEdition) => personIds.includes(form.value.personId)
const edition = computed(() => props.editions.find(({ id }) => id === form.value.editionId) ?? null)
const layerChoices = computed(() => [
  { value: '', title: 'no layer said' },
  ...(edition.value?.layers ?? []).map(({ id, name }) => ({ value: id, title: name })),
])
const layerWords = computed(
  () => layerChoices.value.find(({ value }) => value === form.value.layerId)?.title ?? form.value.layerId,
)
watch(
  () => form.value.editionId,
  () => {
    if (!layerChoices.value.some(({ value }) => value === form.value.layerId)) form.value.layerId = ''
  },
)
const fixedWords = [
  { value: 'no', title: 'may change its hour' },
  { value: 'yes', title: 'kept to its hour' },
]
const fixed = computed({
  get: () => (form.value.isFixed ? 'yes' : 'no'),
  set: (value) => {
    form.value.isFixed = value === 'yes'
  },
})
const odd = computed(() => (form.value.day ? clock.oddTime(form.value.day, form.value.from) : ''))
const dayWords = computed(() => weekday(form.value.day) || 'some day')
const span = computed(() => clock.instants(form.value.day ?? '', form.value.from, form.value.until))

/** What is free nearest to the time that was refused. */
const offered = computed(() => {
  if (!fault.value || !['from', 'until'].includes(field.value)) return null
  const { bookings } = props.calendar
  const wanted = { from: minuteOf(span.value.from), to: minuteOf(span.value.until) }
  if (!(wanted.to > wanted.from)) return null
  return nearestFree(
    { ...props.calendar, bookings: bookings.filter(({ bookingId }) => bookingId !== props.booking?.bookingId) },
    { ...wanted, placeId: form.value.placeId, personId: form.value.personId, now: Math.ceil(Date.now() / 60_000) },
  )
})
function takeOffered() {
  const { from, to } = offered.value!
  const [begun, end] = [instantOf(from), instantOf(to)]
  Object.assign(form.value, { day: clock.dayOf(begun), from: clock.clockOf(begun), until: clock.clockOf(end) })
  void keep()
}

async function keep() {
  if (!form.value.day || odd.value) return
  const { placeId, personId, editionId, layerId, isFixed, note, day } = form.value
  const said = { personId, editionId: editionId || null, layerId: layerId || null, isFixed, note }
  const { booking } = props
  const done = await giving(() =>
    booking
      ? session.give('move-bookings', calendarStream.of(), {
          moves: [{ bookingId: booking.bookingId, placeId, ...span.value }],
        })
      : session.give('book', calendarStream.of(), { bookings: [{ bookingId: v7(), placeId, ...span.value, ...said }] }),
  )
  if (done) emit('done', day)
}
</script>

<template>
  <form @submit.prevent="keep">
    <p class="sentence">
      <EditableValue
        v-model="form.personId"
        label="Who"
        kind="choice"
        :options="people"
        :words="session.nameOf(form.personId)"
        :disabled="!session.isStaff || booking !== null"
        :fault="field === 'personId' ? fault : ''"
      />
      has
      <EditableValue
        v-model="form.placeId"
        label="Place"
        kind="choice"
        :options="placeChoices"
        :words="placeName"
        :disabled="!mayChange"
        :fault="field === 'placeId' || field === 'pressId' ? fault : ''"
      />
      on
      <EditableValue v-model="form.day" label="Day" kind="date" :words="dayWords" :disabled="!mayChange" />
      from
      <EditableValue
        v-model="form.from"
        label="From"
        kind="time"
        :words="form.from"
        :disabled="!mayChange"
        :fault="odd"
      />
      until
      <EditableValue
        v-model="form.until"
        label="Until"
        kind="time"
        :words="form.until"
        :disabled="!mayChange"
      /><template v-if="!booking"
        >, for
        <EditableValue
          v-model="form.editionId"
          label="For which edition"
          kind="choice"
          :options="editionChoices"
          :words="edition?.title ?? 'no edition said'" /><template v-if="edition"
          >,
          <EditableValue
            v-model="form.layerId"
            label="For which layer"
            kind="choice"
            :options="layerChoices"
            :words="layerWords" /></template
        >;
        <EditableValue
          v-model="fixed"
          label="Order of the day"
          kind="choice"
          :options="fixedWords"
          :words="fixedWords.find(({ value }) => value === fixed)!.title" /></template
      >.
    </p>
    <p v-if="booking" class="soft told">
      <template v-if="edition"
        >For <NuxtLink :to="`/editions/${edition.id}/pull`">{{ edition.title }}</NuxtLink><template v-if="form.layerId"
          >, {{ layerWords }}</template
        >.</template
      >
      {{ booking.isFixed ? 'Kept to its hour.' : '' }} {{ booking.note }}
    </p>
    <div v-else class="customs">
      <p>
        Noted:
        <EditableValue
          v-model="form.note"
          label="Note on the booking"
          kind="text"
          :longest="200"
          :words="form.note || 'nothing'"
        />.
      </p>
    </div>
    <p v-if="fault && !['personId', 'placeId', 'pressId'].includes(field)" class="trouble" role="alert">{{ fault }}</p>
    <div class="buttons">
      <VBtn v-if="mayChange" type="submit" :loading="busy">{{ booking ? 'Move it' : 'Book it' }}</VBtn>
      <VBtn v-if="offered" class="quiet" @click="takeOffered">Take {{ spanWords(offered, clock.zone.value) }}</VBtn>
      <slot />
    </div>
  </form>
</template>

<style scoped>
.told {
  margin-top: 6px;
}
</style>
