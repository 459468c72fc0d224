import { defineStore } from 'pinia'
import { ref } from 'vue'
import type { LedgerEvent } from '#core/ground/envelope'
import { upcast } from '#core/house/upcast'
import { SharedStream } from '~/live/shared-stream'
import { useSession } from './session'

type OnStored = (event: LedgerEvent) => void

/** What a part of a page wants to hear. */
interface Listener {
  stored: OnStored
  /** Too much was missed. */
  reload: () => void
  /** A stream became this person's, or ceased to be: what is held of it was cut otherwise. */
  anew: (stream: string) => void
}

const reloadPage = () => window.location.reload()

/** The stored events this tab hears, in the order of the ledger. */
export const useLive = defineStore('live', () => {
  const connected = ref(false)
  const position = ref(0)
  /** The server has become newer than this page. */
  const outdated = ref(false)
  const session = useSession()
  const listeners = new Set<Listener>()
  const stream = new SharedStream({
    stored: (raw) => {
      const event = readable(raw)
      if (!event) return
      position.value = event.position
      for (const { stored } of listeners) stored(event)
    },
    reload: () => {
      position.value = stream.position
      for (const { reload } of listeners) reload()
    },
    anew: (name) => {
      for (const { anew } of listeners) anew(name)
    },
    other: () => void becomeOther(),
    connected: (isConnected) => {
      connected.value = isConnected
    },
  })

  /** Follow from a position; a tab that follows already goes on where it is. */
  function follow(from: number): void {
    stream.follow(from, whose())
    position.value = stream.position
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

  /** An event this page can fold; a newer one stops it until it is loaded again. */
  function readable(event: LedgerEvent): LedgerEvent | null {
    try {
      return upcast(event)
    } catch {
      outdated.value = true
      stream.close()
      return null
    }
  }

  function listen(
    stored: OnStored,
    reload: () => void = () => {},
    anew: (stream: string) => void = () => {},
  ): () => void {
    const listener = { stored, reload, anew }
    listeners.add(listener)
    return () => void listeners.delete(listener)
  }

  return { connected, position, outdated, follow, listen }
})
