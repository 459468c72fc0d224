<script setup lang="ts">
import { drag } from 'd3-drag'
import { select } from 'd3-selection'
import type { Booking, CalendarState } from '#core/calendar/state'
import { spanOf } from '#core/calendar/free'
import { instantOf } from '#core/time/instant'
import type { Span } from '#core/timetable/spans'
import type { Place } from '#shared/replies/calendar'
import { bookingsOf, drawnDay } from '~/drawings/day-sheet'

/** The day along which the room's places run, and who has each when, as strips of paper that are moved. */
const props = defineProps<{
  calendar: CalendarState
  places: Place[]
  racks: { id: string; name: string; slots: number; taken: number }[]
  day: Span
  now: number
  chosen: string | null
  saidOf: (booking: Booking) => string
  mayMove: (booking: Booking) => boolean
}>()
const emit = defineEmits<{
  choose: [bookingId: string]
  move: [bookingId: string, placeId: string, from: string, until: string]
  /** An empty place of the day was touched. */
  want: [placeId: string, from: number]
  giveBack: [bookingId: string]
}>()
const drawn = computed(() => drawnDay(props.calendar, props.day))
const nowMinute = computed(() => props.now / 60_000)
const nowAt = computed(() =>
  nowMinute.value >= drawn.value.shown.from && nowMinute.value <= drawn.value.shown.to
    ? drawn.value.along({ from: nowMinute.value, to: nowMinute.value }).left
    : null,
)
/** Its person is at the place, and this is the time. */
const isHere = (place: Place, booking: Booking) => {
  const { from, to } = spanOf(booking)
  return place.open?.by === booking.personId && from <= nowMinute.value + 15 && nowMinute.value < to
}

/** A strip that is being moved: where it would lie. */
const held = ref<{ bookingId: string; placeId: string; from: number; to: number } | null>(null)
const quarter = 15
const snapped = (minute: number) => Math.round(minute / quarter) * quarter
const rows = useTemplateRef<HTMLElement>('rows')
const rowOf = (placeId: string) => rows.value?.querySelector<HTMLElement>(`[data-place="${placeId}"]`)
const placed = (booking: Booking): Span => (held.value?.bookingId === booking.bookingId ? held.value : spanOf(booking))
/** How far down a strip lies that is held over another place, px. */
const shiftOf = (booking: Booking) =>
  held.value?.bookingId === booking.bookingId && held.value.placeId !== booking.placeId
    ? (rowOf(held.value.placeId)?.offsetTop ?? 0) - (rowOf(booking.placeId)?.offsetTop ?? 0)
    : 0

function take(booking: Booking) {
  held.value ??= { bookingId: booking.bookingId, placeId: booking.placeId, ...spanOf(booking) }
  return held.value
}

function keep() {
  const moving = held.value
  if (!moving) return
  const booking = props.calendar.bookings.find(({ bookingId }) => bookingId === moving.bookingId)
  if (
    booking &&
    (booking.placeId !== moving.placeId || spanOf(booking).from !== moving.from || spanOf(booking).to !== moving.to)
  )
    emit('move', moving.bookingId, moving.placeId, instantOf(moving.from), instantOf(moving.to))
  held.value = null
}

function onKey(event: KeyboardEvent, booking: Booking) {
  if (event.key === 'Enter' && held.value) return (event.preventDefault(), keep())
  if (event.key === 'Escape' && held.value) return (event.stopPropagation(), void (held.value = null))
  if (!props.mayMove(booking)) return
  if (event.key === 'Delete') return emit('giveBack', booking.bookingId)
  const by = { ArrowLeft: -quarter, ArrowRight: quarter }[event.key]
  const row = { ArrowUp: -1, ArrowDown: 1 }[event.key]
  if (by === undefined && row === undefined) return
  event.preventDefault()
  const moving = take(booking)
  if (by !== undefined) {
    const to = Math.max(moving.from + quarter, moving.to + by)
    held.value = event.shiftKey ? { ...moving, to } : { ...moving, from: moving.from + by, to: moving.to + by }
  } else {
    const at = props.places.findIndex(({ id }) => id === moving.placeId) + row!
    if (props.places[at]) held.value = { ...moving, placeId: props.places[at].id }
  }
}

/** Strips are dragged along the hours, and up and down to another place. */
function hold() {
  if (!rows.value) return
  let grip: (Span & { x: number; booking: Booking; width: number }) | null = null
  select(rows.value)
    .selectAll<HTMLElement, unknown>('.strip.movable')
    .call(
      drag<HTMLElement, unknown>()
        .on('start', function (event: { x: number }) {
          const booking = props.calendar.bookings.find(({ bookingId }) => bookingId === this.dataset.booking)
          grip = booking ? { x: event.x, booking, ...spanOf(booking), width: this.parentElement!.clientWidth } : null
        })
        .on('drag', (event: { x: number; sourceEvent: MouseEvent | TouchEvent }) => {
          if (!grip) return
          const { shown } = drawn.value
          const by = snapped(((event.x - grip.x) / grip.width) * (shown.to - shown.from))
          const placeId = placeUnder(event.sourceEvent) ?? held.value?.placeId ?? grip.booking.placeId
          if (by === 0 && placeId === grip.booking.placeId && !held.value) return
          held.value = { bookingId: grip.booking.bookingId, placeId, from: grip.from + by, to: grip.to + by }
        })
        .on('end', () => {
          grip = null
          keep()
        }),
    )
}

/** The place in whose row the pointer is. */
function placeUnder(event: MouseEvent | TouchEvent): string | null {
  const { clientY } = 'touches' in event ? (event.touches[0] ?? event.changedTouches[0]!) : event
  const row = [...(rows.value?.querySelectorAll<HTMLElement>('[data-place]') ?? [])].find((one) => {
    const { top, bottom } = one.getBoundingClientRect()
    return clientY >= top && clientY < bottom
  })
  return row?.dataset.place ?? null
}
onMounted(hold)
watch(() => [props.calendar.bookings, props.day, props.places], hold, { flush: 'post' })

function want(event: MouseEvent, placeId: string) {
  const track = event.currentTarget as HTMLElement
  const { left, width } = track.getBoundingClientRect()
  emit('want', placeId, Math.floor(drawn.value.minuteAt((event.clientX - left) / width) / 30) * 30)
}
</script>

<template>
  <div class="sheet">
    <div class="hours" aria-hidden="true">
      <span v-for="one in drawn.hours" :key="one.at" :style="{ left: `${one.at}%` }">{{ one.words }}</span>
    </div>
    <ul ref="rows">
      <li v-for="place in places" :key="place.id" class="row" :data-place="place.id">
        <h3>
          <NuxtLink :to="`/stations/${place.id}`">{{ place.name }}</NuxtLink>
        </h3>
        <div class="track" @click.self="want($event, place.id)">
          <span
            v-for="(one, i) in drawn.closed"
            :key="i"
            class="closed"
            :style="{ left: `${one.left}%`, width: `${one.width}%` }"
          />
          <span v-if="nowAt !== null" class="now" :style="{ left: `${nowAt}%` }" />
          <DayStrip
            v-for="booking in bookingsOf(calendar, place.id, day)"
            :key="booking.bookingId"
            :booking="booking"
            :along="drawn.along(placed(booking))"
            :shift="shiftOf(booking)"
            :said="saidOf(booking)"
            :is-held="held?.bookingId === booking.bookingId"
            :is-chosen="chosen === booking.bookingId"
            :is-here="isHere(place, booking)"
            :may-move="mayMove(booking)"
            :data-booking="booking.bookingId"
            @keydown="onKey($event, booking)"
            @click="emit('choose', booking.bookingId)"
          />
        </div>
        <ul class="told">
          <li v-for="booking in bookingsOf(calendar, place.id, day)" :key="booking.bookingId">
            <button type="button" class="link" @click="emit('choose', booking.bookingId)">{{ saidOf(booking) }}</button>
          </li>
        </ul>
      </li>
      <li v-for="rack in racks" :key="rack.id" class="row rack">
        <h3>
          <NuxtLink to="/racks">{{ rack.name }}</NuxtLink>
        </h3>
        <p class="soft">{{ rack.taken }} of {{ rack.slots }} slots taken now</p>
      </li>
    </ul>
    <p class="unseen" role="status">
      {{ held ? 'Moved: Enter keeps it, Escape leaves it as it was.' : '' }}
    </p>
    <p v-if="held" class="soft keys" aria-hidden="true">
      ← → a quarter of an hour, with Shift its end, ↑ ↓ another place; Enter keeps it, Escape leaves it.
    </p>
  </div>
</template>

<style scoped>
.sheet {
  --names: 168px;
}
.hours {
  position: relative;
  height: 22px;
  margin-left: var(--names);
  font-size: 0.78rem;
  color: var(--soft);
}
.hours span {
  position: absolute;
  transform: translateX(-50%);
}
.hours span:first-child {
  transform: none;
}
.row {
  display: grid;
  grid-template-columns: var(--names) minmax(0, 1fr);
  align-items: stretch;
  border-top: 1px solid var(--rule);
  min-height: 46px;
}
.row:last-child {
  border-bottom: 1px solid var(--rule);
}
h3 {
  align-self: center;
  padding-right: 12px;
  font-size: 0.98rem;
}
.track {
  position: relative;
  cursor: copy;
}
.rack {
  min-height: 30px;
}
.rack p {
  align-self: center;
  font-size: 0.84rem;
}
.closed {
  position: absolute;
  inset: 0 auto;
  pointer-events: none;
  background: repeating-linear-gradient(115deg, transparent 0 7px, var(--rule) 7px 8px);
}
.now {
  position: absolute;
  inset: 0 auto;
  border-left: 2px solid var(--green);
  z-index: 2;
  pointer-events: none;
}
.told {
  display: none;
}
.keys {
  margin-top: 6px;
  font-size: 0.84rem;
}
@media (max-width: 700px) {
  .hours {
    margin-left: 0;
  }
  .row {
    grid-template-columns: minmax(0, 1fr);
    padding: 4px 0;
  }
  .track {
    min-height: 26px;
  }
  .track :deep(.paper) {
    font-size: 0;
  }
  .hours span:nth-child(even) {
    display: none;
  }
  .told {
    display: block;
    padding: 2px 0 6px;
  }
  .told button {
    text-align: left;
    min-height: 32px;
  }
}
</style>
