import { type MaybeRefOrGetter, onScopeDispose, ref, shallowRef, toValue, watch } from 'vue'
import { streamKind } from '#core/ground/envelope'
import type { StreamKind } from '#core/house/streams'
import type { Reading } from '#shared/replies/reading'
import { AskedReading } from '~/live/asked-reading'
import { useLive } from '~/stores/live'
import { api, mayPass, wordsOf } from './api'

/** For what moves with the clock. */
export const aMinute = 60_000

interface Depends {
  /** Kinds of stream, or streams, that what is read follows from. */
  on: readonly (StreamKind | `${StreamKind}:${string}`)[]
  /** Asked anew after so long though nothing has changed, ms: what it says moves with the clock. */
  every?: number
}

/**
 * What the server works out for a room, asked anew when something it depends on has changed. The old picture stays while the
 * server is away; of another question it goes at once.
 * @returns `reply`: null while nothing was heard
 */
export function useReply<Data>(path: MaybeRefOrGetter<string>, { on, every }: Depends) {
  const live = useLive()
  const reply = shallowRef<Data | null>(null)
  const trouble = ref('')
  /** When it was heard. */
  const now = ref(Date.now())
  const names = new Set<string>(on)
  const isOf = (among: ReadonlySet<string>, stream: string) => among.has(stream) || among.has(streamKind(stream))
  const reading = new AskedReading<Data>({
    ask: () => api<Reading<Data>>(toValue(path)),
    concerns: ({ stream }, shown) => isOf(shown?.on ? new Set(shown.on) : names, stream),
    show: ({ position, data }) => {
      reply.value = data
      now.value = Date.now()
      trouble.value = ''
      const since = live.follow(position)
      if (position < since) reading.need(since)
    },
    clear: () => {
      reply.value = null
      trouble.value = ''
    },
    fail: (error) => {
      trouble.value = wordsOf(error)
    },
    passes: mayPass,
  })
  const unhear = live.hear({
    stored: (event, isOwn) => reading.heard(event, isOwn),
    reload: (position) => reading.need(position),
    // It was not among those of the last reading: that it became theirs is what changed.
    anew: (stream, position) => void (isOf(names, stream) && reading.need(position, true)),
    connected: () => reading.connected(),
  })
  const clock = every === undefined ? undefined : setInterval(() => reading.again(), every)
  watch(
    () => toValue(path),
    () => reading.anew(),
  )
  reading.plan()
  onScopeDispose(() => {
    clearInterval(clock)
    unhear()
    reading.stop()
  })
  return { reply, trouble, now, again: () => reading.again() }
}
