import { computed, onScopeDispose, ref, shallowRef } from 'vue'
import { streamKind } from '#core/ground/envelope'
import { emptyState, type StreamState } from '#core/house/streams'
import { upcast } from '#core/house/upcast'
import type { Page, Reading } from '#shared/replies/reading'
import { FoldedStreams } from '~/live/folded-streams'
import { useLive } from '~/stores/live'
import { gathered } from '~/live/gathered'
import { api, mayPass, wordsOf } from './api'

/** How long after a question that failed it is asked again, ms. */
const rest = 3_000

type Answer<State> = Promise<Reading<Page<State>>>

const ask = (names: readonly string[], after?: string): Promise<Reading<Record<string, Page<StreamState>>>> =>
  api(`/api/streams?${new URLSearchParams({ of: names.join(','), ...(after !== undefined && { after }) }).toString()}`)

/** What a room opens with is asked for together. */
const askTogether = gathered(ask)

async function pageOf<State extends StreamState>(name: string, after: string | null = null): Answer<State> {
  const { position, data } = await (after === null ? askTogether(name) : ask([name], after))
  return { position, data: data[name] as Page<State> }
}

/**
 * Every stream of a kind, read by pages to the end once and folded further as the ledger goes on.
 * @param kind a kind whose streams are small
 */
export function useStreams<State extends StreamState>(kind: string) {
  return folded<State>(
    (stream) => streamKind(stream) === kind,
    (after) => pageOf(kind, after),
    (stream) => pageOf(stream),
  )
}

/** One stream, folded as the ledger goes on; null until it was read, and where there is none. */
export function useStream<State extends StreamState>(stream: string) {
  const one = (): Answer<State> => pageOf(stream)
  const { states, ...about } = folded<State>((other) => other === stream, one, one)
  return { ...about, state: computed(() => states.value[0] ?? null) }
}

function folded<State extends StreamState>(
  isOf: (stream: string) => boolean,
  page: (after: string | null) => Answer<State>,
  one: (stream: string) => Answer<State>,
) {
  const live = useLive()
  const states = shallowRef<readonly State[]>([])
  /** True once all of them were read. */
  const isAll = ref(false)
  const trouble = ref('')
  const streams = new FoldedStreams<State>({
    isOf,
    empty: (name) => emptyState(name) as State,
    page,
    one,
    follow: live.follow,
    show: (shown, all) => {
      states.value = shown
      // Read to the end once, they stay so while they are read anew.
      isAll.value ||= all
      if (all) trouble.value = ''
    },
    fail: (error) => {
      trouble.value = wordsOf(error)
      if (mayPass(error)) again = setTimeout(() => void streams.load(), rest)
    },
  })
  let again: ReturnType<typeof setTimeout> | undefined
  live.readWith(upcast)
  const unhear = live.hear({
    stored: (event) => streams.heard(event),
    reload: () => void streams.load(),
    anew: (stream) => streams.anew(stream),
  })
  void streams.load()
  onScopeDispose(() => {
    clearTimeout(again)
    unhear()
    streams.stop()
  })
  return { states, isAll, trouble }
}
