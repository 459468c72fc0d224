<script setup lang="ts">
import { calendar as calendarStream } from '#core/calendar/stream'
import { hereZone } from '#core/time/zone'
import type { CalendarState, Opening } from '#core/calendar/state'
import { meetingWords, weekdayChoices } from '~/drawings/class-words'
import { weekWords } from '~/drawings/day-sheet'

/** When the room is open, week by week, and by whose clock. */
const props = defineProps<{ calendar: CalendarState }>()
const session = useSession()
const { busy, fault, field, giving } = useGiving()
const here = hereZone()
const standing = () => ({
  timeZone: props.calendar.hours.length === 0 && props.calendar.timeZone === 'UTC' ? here : props.calendar.timeZone,
  hours: props.calendar.hours.map((one) => ({ ...one })),
})
const form = useFollowing(standing)
const draft = useDraft('hours of the room', form, standing)
const isSame = computed(
  () =>
    JSON.stringify(form.value) === JSON.stringify({ timeZone: props.calendar.timeZone, hours: props.calendar.hours }),
)
const another = (): Opening => {
  const last = form.value.hours.at(-1)
  return { weekday: ((last?.weekday ?? 0) % 7) + 1, from: last?.from ?? '09:00', until: last?.until ?? '21:00' }
}
async function keep() {
  if (!(await giving(() => session.give('set-hours', calendarStream.of(), { ...form.value })))) return
  draft.done()
}
</script>

<template>
  <form v-if="session.isManager" @submit.prevent="keep">
    <div class="customs">
      <p v-for="(opening, i) in form.hours" :key="i">
        On
        <EditableValue
          :model-value="String(opening.weekday)"
          :label="`Day ${i + 1}`"
          kind="choice"
          :options="weekdayChoices"
          :words="meetingWords(opening).split(' ')[0]!"
          @update:model-value="opening.weekday = Number($event)"
        />
        open from
        <EditableValue v-model="opening.from" :label="`Opens, day ${i + 1}`" kind="time" :words="opening.from" /> until
        <EditableValue v-model="opening.until" :label="`Shuts, day ${i + 1}`" kind="time" :words="opening.until" />.
        <button type="button" class="link" @click="form.hours.splice(i, 1)">Not then</button>
      </p>
      <p v-if="form.hours.length === 0" class="soft">Open at all hours.</p>
      <p><button type="button" class="link" @click="form.hours.push(another())">Open on a day more</button></p>
      <p>
        By the clock of
        <EditableValue
          v-model="form.timeZone"
          label="Time zone"
          kind="text"
          :longest="60"
          :words="form.timeZone || 'nowhere'"
          :fault="field === 'timeZone' ? fault : ''"
        />, changing with summer and winter.
      </p>
    </div>
    <p v-if="fault && field !== 'timeZone'" class="trouble" role="alert">{{ fault }}</p>
    <div class="buttons">
      <VBtn type="submit" :loading="busy" :disabled="isSame">Keep the hours</VBtn>
    </div>
  </form>
  <p v-else>
    {{ calendar.hours.length > 0 ? weekWords(calendar.hours) : 'Open at all hours' }}, by the clock of
    {{ calendar.timeZone }}.
  </p>
</template>
