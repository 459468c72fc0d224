<script setup lang="ts">
import { instantAt } from '#core/time/instant'
import { minuteOf } from '#core/time/instant'
import { momentWords } from '#core/time/room-clock'
import type { CalendarReply } from '#shared/replies/calendar'

/** Who has this place next, so that nobody begins what cannot be finished. */
const props = defineProps<{ placeId: string }>()
const session = useSession()
const now = Date.now()
const day = 24 * 3600_000
const { reply } = useReply<CalendarReply>(`/api/calendar?from=${instantAt(now)}&until=${instantAt(now + day)}`, {
  on: ['calendar', 'edition'],
})
const next = computed(() =>
  (reply.value?.calendar.bookings ?? [])
    .filter(({ placeId, until }) => placeId === props.placeId && minuteOf(until) > now / 60_000)
    .sort((a, b) => a.from.localeCompare(b.from))
    .slice(0, 3),
)
const zone = computed(() => reply.value?.calendar.timeZone ?? 'UTC')
const titleOf = (editionId: string | null) => reply.value?.editions.find(({ id }) => id === editionId)?.title
const isNow = (from: string) => minuteOf(from) <= now / 60_000
const clock = (iso: string) => momentWords(minuteOf(iso), zone.value).replace(/^.*, /, '')
</script>

<template>
  <ul v-if="next.length > 0" class="soft">
    <li v-for="one in next" :key="one.bookingId">
      <template v-if="isNow(one.from)"
        ><strong>Booked now by {{ session.nameOf(one.personId) }}</strong
        >, until {{ clock(one.until) }}</template
      ><template v-else
        >Booked by {{ session.nameOf(one.personId) }}, {{ momentWords(minuteOf(one.from), zone) }} to
        {{ clock(one.until) }}</template
      >{{ titleOf(one.editionId) ? `, for ${titleOf(one.editionId)}` : '' }}{{ one.note ? `, ${one.note}` : '' }}.
    </li>
  </ul>
</template>
