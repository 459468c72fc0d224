import { computed, onUnmounted, ref, shallowRef, watch } from 'vue'
import { minuteOf } from '#core/time/instant'
import type { Mend } from '#core/schedule/mend'
import { mostInRacks } from '#core/schedule/racks'
import { roomCalendar } from '#core/schedule/room-calendar'
import { standings } from '#core/schedule/standing'
import type { Racks } from '#core/timetable/racks'
import type { Timetable } from '#core/timetable/task'
import type { TimetableReply } from '#shared/replies/calendar'
import type { TimetableAsked, TimetableFound } from '~/workers/timetable.worker'
import { useReply } from './reply'

const newWorker = () => new Worker(new URL('../workers/timetable.worker.ts', import.meta.url), { type: 'module' })

/** What lies in the racks begins at whichever moment it is asked: that is no news. */
const rackNews = ({ slots, lying }: Racks) => [slots, lying.map(({ to, sheets }) => [to, sheets])]

/** What is to be done, placed in a worker: the first plan at once, then better ones until none is found or somebody stops it. */
export function useTimetable() {
  const { reply, trouble, now } = useReply<TimetableReply>('/api/timetable', {
    on: ['edition', 'calendar', 'press', 'station', 'rack', 'batch', 'lot', 'studio', 'course'],
  })
  const timetable = shallowRef<Timetable | null>(null)
  const isImproving = ref(false)
  const round = ref(0)
  const mended = shallowRef<{ editionId: string; mends: Mend[] } | null>(null)
  const isMending = ref(false)
  let worker: Worker | null = null
  let mender: Worker | null = null

  const tasks = computed(() => reply.value?.tasks ?? [])
  const calendar = computed(() =>
    reply.value
      ? roomCalendar(reply.value.calendar, reply.value.tasks, reply.value.racks, minuteOf(reply.value.at))
      : null,
  )

  function stop(): void {
    worker?.terminate()
    worker = null
    isImproving.value = false
  }

  function place(): void {
    stop()
    if (!calendar.value) return
    const fresh = newWorker()
    worker = fresh
    isImproving.value = true
    fresh.addEventListener('message', ({ data }: MessageEvent<TimetableFound>) => {
      if (worker !== fresh || data.kind !== 'plan') return
      timetable.value = data.timetable
      round.value = data.round
      if (data.isDone) stop()
    })
    fresh.postMessage({ kind: 'plan', tasks: tasks.value, calendar: calendar.value } satisfies TimetableAsked)
  }

  /** What is tried for an edition, beside the plan that stands. */
  function mend(editionId: string): void {
    mender?.terminate()
    if (!calendar.value || !reply.value) return
    const fresh = newWorker()
    mender = fresh
    isMending.value = true
    mended.value = null
    fresh.addEventListener('message', ({ data }: MessageEvent<TimetableFound>) => {
      if (mender !== fresh || data.kind !== 'mend') return
      mended.value = data
      isMending.value = false
      fresh.terminate()
    })
    fresh.postMessage({
      kind: 'mend',
      tasks: tasks.value,
      calendar: calendar.value,
      editionId,
      pressIds: reply.value.presses.map(({ id }) => id),
    } satisfies TimetableAsked)
  }

  /** What was placed is for these tasks: others are placed anew, and time alone changes nothing. */
  const asked = computed(() =>
    reply.value
      ? JSON.stringify([reply.value.tasks, { ...reply.value.calendar, seq: 0 }, rackNews(reply.value.racks)])
      : '',
  )
  watch(asked, (told) => {
    if (!told) return
    mender?.terminate()
    mended.value = null
    isMending.value = false
    timetable.value = null
    place()
  })
  onUnmounted(() => {
    stop()
    mender?.terminate()
  })

  /** Null while the first plan is not there. */
  const editions = computed(() =>
    timetable.value && calendar.value ? standings(tasks.value, timetable.value, calendar.value) : null,
  )
  const racks = computed(() =>
    timetable.value ? mostInRacks(tasks.value, timetable.value.placed, reply.value?.racks.lying ?? []) : null,
  )

  return {
    reply,
    trouble,
    now,
    calendar,
    tasks,
    editions,
    racks,
    isImproving,
    round,
    stop,
    mend,
    mended,
    isMending,
  }
}
