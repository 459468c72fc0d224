import { defineStore } from 'pinia'
import { ref } from 'vue'
import type { SentEvent } from '#core/ground/envelope'
import type { upcast } from '#core/house/upcast'
import { SharedStream } from '~/live/shared-stream'
import { useSession } from './session'

/** What a part of a page wants to hear. */
export interface Hearing {
  /**
   * An event that is stored. One's own come with the answer to the act, before others that stand before them; those come
   * once more with everybody's.
   */
  stored: (event: SentEvent, isOwn: boolean) => void
  /** Too much was missed to say what changed up to a position. */
  reload?: (position: number) => void
  /** A stream became this person's, or ceased to be: what is held of it was cut otherwise. */
  anew?: (stream: string, position: number) => void
  /** The way to the server is there again. */
  connected?: () => void
}

const reloadPage = () => window.location.reload()

/** The stored events this tab hears, in the order of the ledger. */
export const useLive = defineStore('live', () => {
  const connected = ref(false)
  const position = ref(0)
  /** The server has become newer than this page. */
  const outdated = ref(false)
  const session = useSession()
  const hearings = new Set<Hearing>()
  const stream = new SharedStream({
    stored: (event) => {
      if (tell(event, false)) position.value = event.position
    },
    reload: () => {
      position.value = stream.position
      for (const { reload } of hearings) reload?.(stream.position)
    },
    anew: (name, at) => {
      for (const { anew } of hearings) anew?.(name, at)
    },
    other: () => void becomeOther(),
    connected: (isConnected) => {
      connected.value = isConnected
      if (isConnected) for (const hearing of hearings) hearing.connected?.()
    },
  })

  /**
   * What brings an event up to date. It comes with every act there is, so that a page which folds nothing stands without it:
   * whatever folds gives it before the first event, and the plugin `upcasts` when the page stands, so that a newer program is noticed.
   */
  let read: typeof upcast | null = null
  function readWith(reader: typeof upcast): void {
    read ??= reader
  }

  /** Whom this tab follows for. */
  let followed = ''

  /**
   * Follow from a position; a tab that follows already goes on where it is.
   * @returns the position after which everything was heard; what was read before it is to be read again
   */
  function follow(from: number): number {
    const now = whose()
    const isOther = followed !== '' && followed !== now
    followed = now
    const since = stream.follow(from, now)
    position.value = stream.position
    // What happened while nobody was here was not heard, and what is held was cut for somebody else.
    if (isOther) for (const { reload } of hearings) reload?.(since)
    return since
  }

  const whose = () => `${session.lineage} ${session.person?.id ?? ''}`

  /**
   * The server speaks of another ledger, or to somebody who signed in in another tab. What this page shows is not theirs:
   * it is loaded afresh, and what was typed is there again.
   */
  async function becomeOther(): Promise<void> {
    const before = whose()
    await session.load().catch(() => undefined)
    if (whose() === before) stream.follow(position.value, before)
    else reloadPage()
  }

  /** @returns false when it is of a newer program, which stops the page until it is loaded again */
  function tell(event: SentEvent, isOwn: boolean): boolean {
    let readable: SentEvent
    try {
      readable = read?.(event) ?? event
    } catch {
      outdated.value = true
      stream.close()
      return false
    }
    session.seenStored(event.commandId)
    for (const { stored } of hearings) stored(readable, isOwn)
    return true
  }

  /** What an answer to one's own act says was stored: shown without waiting for the live stream. */
  function answered(events: readonly SentEvent[]): void {
    for (const event of events) if (!tell(event, true)) return
  }

  session.onAnswer(answered)

  /** @returns what ends it */
  function hear(hearing: Hearing): () => void {
    hearings.add(hearing)
    return () => void hearings.delete(hearing)
  }

  return { connected, position, outdated, follow, answered, hear, readWith }
})
