<script setup lang="ts">
import { momentWords } from '#core/time/room-clock'
import type { EditionStanding } from '#core/schedule/standing'
import { counted } from '~/drawings/words'
import { pluralise } from '#core/units/pluralise'

/** The timetable: what is still to be done for every edition, placed ahead into the hours of the room. */
useHead({ title: 'Timetable · Ample Tally' })
const { reply, trouble, now, calendar, tasks, editions, racks, isImproving, round, stop, mend, mended, isMending } =
  useTimetable()
const session = useSession()
const router = useRouter()
const route = useRoute()
const zone = computed(() => reply.value?.calendar.timeZone ?? 'UTC')
const chosenId = computed(() => String(route.query.edition ?? ''))
const mineOnly = ref('Everybody’s')
const whose = [
  { value: 'Everybody’s', title: 'Everybody’s' },
  { value: 'My own', title: 'My own' },
]
const isMine = ({ editionId }: EditionStanding) =>
  reply.value!.editions.find(({ id }) => id === editionId)?.personIds.includes(session.person?.id ?? '') ?? false
const shown = computed(() => (editions.value ?? []).filter((one) => mineOnly.value === 'Everybody’s' || isMine(one)))
const titleOf = (id: string) => reply.value?.editions.find((one) => one.id === id)?.title ?? 'an edition'
const dayOf = (minute: number) => momentWords(minute, zone.value).replace(/,.*/, '')
const late = computed(() => (editions.value ?? []).filter(({ late, end }) => late > 0 || end === null))
const lateWords = (minutes: number) =>
  minutes < 1440
    ? `${Math.max(1, Math.round(minutes / 60))} h late`
    : `${pluralise(Math.ceil(minutes / 1440), 'day')} late`
function deadlineWords({ end, due, late: by }: EditionStanding): string {
  if (end === null) return 'does not fit'
  if (due === null) return `over ${dayOf(end)}`
  return by > 0 ? `${lateWords(by)}, over ${dayOf(end)}` : `in time, over ${dayOf(end)}`
}
const tooFew = computed(() => {
  const slots = reply.value?.racks.slots ?? null
  return racks.value && slots !== null && racks.value.sheets > slots ? racks.value : null
})
const choose = (editionId: string) =>
  router.replace({ query: editionId === chosenId.value ? {} : { edition: editionId } })
</script>

<template>
  <div>
    <div class="page-head">
      <h1>Timetable</h1>
      <p v-if="editions" class="told">
        {{
          late.length === 0
            ? 'everything that is due is in time'
            : `${late.map(({ editionId }) => titleOf(editionId)).join(', ')} ${late.length === 1 ? 'is' : 'are'} not in time`
        }}
      </p>
      <VBtn class="quiet right no-print" to="/day">Day sheet</VBtn>
    </div>
    <TroubleLine :words="trouble" />
    <template v-if="reply">
      <p class="sentence">
        <EditableValue v-model="mineOnly" label="Whose editions" kind="choice" :options="whose" :words="mineOnly" />
        editions: {{ counted(shown.length, 'edition') }} with
        {{
          pluralise(
            shown.reduce((sum, one) => sum + one.tasks.length, 0),
            'thing',
          )
        }}
        to be done.
      </p>
      <p v-if="editions === null && tasks.length > 0" class="soft" role="status">Placed into the hours of the room …</p>
      <p v-if="tasks.length === 0" class="soft">
        Nothing is to be done: <NuxtLink to="/editions/new">start an edition</NuxtLink> and give it its day.
      </p>
      <WeeksDrawing
        v-if="shown.length > 0 && calendar"
        :editions="shown"
        :title-of="titleOf"
        :deadline-words="deadlineWords"
        :now="Math.floor(now / 60_000)"
        :open="calendar.open"
        :zone="zone"
        :chosen="chosenId"
        @choose="choose"
      >
        <template #default="{ standing }">
          <EditionAhead
            :standing="standing"
            :tasks="tasks"
            :reply="reply"
            :mended="mended?.editionId === standing.editionId ? mended.mends : null"
            :is-mending="isMending"
            @mend="mend(standing.editionId)"
          />
        </template>
      </WeeksDrawing>
      <p v-if="tooFew" class="warn">
        With what is booked {{ pluralise(tooFew.sheets, 'sheet') }} dry at once on {{ dayOf(tooFew.at) }}; the racks
        hold {{ reply.racks.slots }}. <NuxtLink to="/day">Move a booking</NuxtLink>.
      </p>
      <p v-if="isImproving && editions" class="soft improving" role="status">
        Looking for a better order, {{ pluralise(round, 'better one') }} found so far.
        <button type="button" class="link" @click="stop">Stop here</button>
      </p>
    </template>
  </div>
</template>

<style scoped>
.warn {
  color: var(--doubtful);
  font-weight: 600;
  margin-top: 8px;
}
.improving {
  margin-top: 8px;
}
</style>
