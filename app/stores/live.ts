import { defineStore } from 'pinia'
import { ref } from 'vue'
import type { LedgerEvent } from '#core/ground/envelope'
import { upcast } from '#core/house/upcast'
import { SharedStream } from '~/live/shared-stream'

type OnStored = (event: LedgerEvent) => void

/** The stored events this tab hears, in the order of the ledger. */
export const useLive = defineStore('live', () => {
  const connected = ref(false)
  const position = ref(0)
  /** The server has become newer than this page. */
  const outdated = ref(false)
  const onStored = new Set<OnStored>()
  const onReload = new Set<() => void>()
  const stream = new SharedStream({
    stored: (raw) => {
      const event = readable(raw)
      if (!event) return
      position.value = event.position
      for (const listener of onStored) listener(event)
    },
    reload: () => {
      position.value = stream.position
      for (const listener of onReload) listener()
    },
    connected: (isConnected) => {
      connected.value = isConnected
    },
  })

  /** Follow from a position; a tab that follows already goes on where it is. */
  function follow(from: number): void {
    stream.follow(from)
    position.value = Math.max(position.value, stream.position)
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

  function listen(stored: OnStored, reload: () => void = () => {}): () => void {
    onStored.add(stored)
    onReload.add(reload)
    return () => {
      onStored.delete(stored)
      onReload.delete(reload)
    }
  }

  return { connected, position, outdated, follow, listen }
})
