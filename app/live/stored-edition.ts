import { computed, ref, shallowRef } from 'vue'
import { broughtUpToDate } from '#core/edition/older-copy'
import type { EditionState } from '#core/edition/state'
import type { SentEvent } from '#core/ground/envelope'
import { emptyState, evolve, type StreamState } from '#core/house/streams'
import { noRecord, type ShopRecord } from '#core/plan/shop-record'
import { emptyStudio, type StudioState } from '#core/stores/studio/state'
import { upcast } from '#core/house/upcast'
import type { Page, Reading } from '#shared/replies/reading'
import type { EditionReply } from '#shared/replies/replies'
import { api, ApiError, mayPass, wordsOf } from '~/composables/api'
import { useSeldom } from '~/composables/seldom'
import { dropEvents, eventsSince, keepCopy, keepEvent, readCopy } from '~/outbox/kept'
import { useLive } from '~/stores/live'
import { useSession } from '~/stores/session'
import { FoldedStreams } from './folded-streams'

/** How long after a question that failed it is asked again, ms. */
const rest = 3_000

type Kept = Omit<EditionReply, 'record'> & { record?: ShopRecord }

/**
 * One edition as the server has it stored, with the customs and leaves of the studio that bear on it: read once, folded as
 * the ledger goes on, and kept in this browser for the day the server is away.
 * @param onHeard an event of the edition, before it is folded
 * @param onFolded whenever something was folded
 */
export function useStoredEdition(onHeard: (event: SentEvent) => void, onFolded: () => void) {
  const live = useLive()
  const session = useSession()
  const id = ref('')
  const states = shallowRef<readonly StreamState[]>([])
  /** The shop's past pulls without this edition's, for its pass rates. */
  const record = shallowRef<ShopRecord>(noRecord)
  const problem = ref('')
  const stream = computed(() => `edition:${id.value}`)
  const stored = computed(
    () => (states.value.find((one) => one.stream === stream.value) ?? null) as EditionState | null,
  )
  const studio = computed(
    () => (states.value.find((one) => one.stream === 'studio') as StudioState | undefined) ?? emptyStudio(),
  )
  let streams: FoldedStreams<StreamState> | null = null
  /** Whom what is held was read for: it may be cut otherwise for somebody else. */
  let seenBy = ''
  let again: ReturnType<typeof setTimeout> | undefined

  async function open(editionId: string): Promise<void> {
    const me = session.person?.id ?? ''
    const isHeld = id.value === editionId && seenBy === me
    if (isHeld && stored.value && live.connected) return
    if (!isHeld) {
      streams?.stop()
      clearTimeout(again)
      id.value = editionId
      seenBy = me
      states.value = []
      problem.value = ''
      streams = following(editionId)
    }
    await streams!.load()
  }

  const following = (editionId: string) =>
    new FoldedStreams<StreamState>({
      isOf: (name) => name === `edition:${editionId}` || name === 'studio',
      empty: emptyState,
      page: () => fetched(editionId),
      one: () => fetched(editionId),
      follow: live.follow,
      show: (shown) => {
        states.value = shown
        problem.value = ''
        onFolded()
        copying.soon(editionId)
      },
      fail: (error) => {
        if (!stored.value) problem.value = wordsOf(error)
        if (mayPass(error)) again = setTimeout(() => void streams?.load(), rest)
      },
    })

  async function fetched(editionId: string): Promise<Reading<Page<StreamState>>> {
    try {
      const reply = await api<EditionReply>(`/api/editions/${editionId}`)
      return readingOf(editionId, reply)
    } catch (error) {
      if (!(error instanceof ApiError) || !error.unreachable || stored.value) throw error
      const copy = await copyOf(editionId)
      if (!copy)
        throw new ApiError(0, {
          ...error.reply,
          message: 'The server cannot be reached, and this browser has no copy of this edition yet.',
        })
      return readingOf(editionId, copy)
    }
  }

  function readingOf(editionId: string, { state, studio: customs, record: past, position }: EditionReply) {
    if (editionId === id.value) record.value = past
    return { position, data: { states: [state, customs], next: null } }
  }

  /** What this browser kept, with what it heard since; a copy kept by an older program may know less. */
  async function copyOf(editionId: string): Promise<EditionReply | null> {
    const copy = await readCopy<Kept>(`edition:${editionId}`)
    if (!copy) return null
    const since = await eventsSince(copy.state.stream)
    return {
      ...copy,
      state: since.reduce(
        (state, event) => (event.seq === state.seq + 1 ? evolve(state, event) : state),
        broughtUpToDate(copy.state),
      ),
      studio: { ...emptyStudio(), ...copy.studio },
      record: { ...noRecord, ...copy.record },
    }
  }

  const copying = useSeldom(() => void keepNow())
  async function keepNow(): Promise<void> {
    const state = stored.value
    if (!state) return
    const copy: EditionReply = { state, studio: studio.value, record: record.value, position: live.position }
    if (await keepCopy(state.stream, copy)) await dropEvents(state.stream, state.seq)
  }

  function heard(event: SentEvent): void {
    if (event.stream === stream.value) onHeard(event)
    const current = stored.value
    if (current && event.stream === current.stream && event.seq > current.seq) void keepEvent(event)
    streams?.heard(event)
  }

  live.readWith(upcast)
  live.hear({
    stored: heard,
    reload: () => void streams?.load(),
    // It was named to us otherwise: what is seen of it is another.
    anew: (name) => streams?.anew(name),
  })

  return { id, stream, stored, studio, record, problem, open, load: async () => await streams?.load() }
}
