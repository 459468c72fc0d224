<script setup lang="ts">
import { calendar as calendarStream } from '#core/calendar/stream'
import type { CalendarState } from '#core/calendar/state'
import type { OrderProposal, Place } from '#shared/replies/calendar'
import { listed } from '~/drawings/words'
import { pluralise } from '#core/units/pluralise'

/** A day's runs at a press in the order that changes over least, taken over in one act. */
const props = defineProps<{
  proposal: OrderProposal
  calendar: CalendarState
  places: Place[]
  runWords: (bookingId: string) => string
}>()
const session = useSession()
const { busy, fault, giving } = useGiving()
const clock = useRoomClock(() => props.calendar)
const place = computed(() => props.places.find(({ id }) => id === props.proposal.placeId)?.name ?? 'the press')
const beginOf = (bookingId: string) => {
  const move = props.proposal.moves.find((one) => one.bookingId === bookingId)
  const booking = props.calendar.bookings.find((one) => one.bookingId === bookingId)
  return clock.clockOf(move?.from ?? booking?.from ?? '')
}
const changeWords = ({ wash, screws, packing }: OrderProposal['runs'][number]) =>
  listed([
    ...(wash > 0 ? [`${pluralise(Math.round(wash), 'minute')} of washing`] : []),
    ...(screws >= 0.5 ? [`${Math.round(screws)} for the screws`] : []),
    ...(packing >= 0.5 ? [`${Math.round(packing)} for the packing`] : []),
  ]) || 'nothing to change over'
const saves = computed(() => {
  const { sooner, changesNow, changesThen } = props.proposal
  const fewer = changesNow - changesThen
  return sooner > 0
    ? `The last is over ${pluralise(sooner, 'minute')} sooner`
    : `It saves ${pluralise(fewer, 'minute')}`
})

async function take() {
  const { moves } = props.proposal
  await giving(() => session.give('move-bookings', calendarStream.of(), { moves }))
}
</script>

<template>
  <section class="part" :aria-label="`Order of the day at ${place}`">
    <div class="part-head">
      <h2>Order of the day: {{ place }}</h2>
      <p>{{ proposal.changesThen }} instead of {{ pluralise(proposal.changesNow, 'minute') }} of changing over</p>
    </div>
    <ol class="runs">
      <li v-for="run in proposal.runs" :key="run.bookingId">
        <strong>{{ beginOf(run.bookingId) }}</strong> {{ runWords(run.bookingId) }}
        <span class="soft">{{ changeWords(run) }}</span>
      </li>
    </ol>
    <p class="soft">
      {{ saves
      }}{{
        proposal.learntFrom < 3
          ? '; the minutes are guesses of the craft, until this press has shown its own.'
          : `, by ${pluralise(proposal.learntFrom, 'change-over')} seen at this press.`
      }}
    </p>
    <TroubleLine :words="fault" />
    <div class="buttons">
      <VBtn class="quiet" :loading="busy" @click="take">Take this order</VBtn>
    </div>
  </section>
</template>

<style scoped>
.runs {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 34px;
  margin-bottom: 8px;
}
.runs span {
  display: block;
  font-size: 0.84rem;
}
</style>
