import { defineStore } from 'pinia'
import { ref } from 'vue'
import type { LedgerEvent } from '#core/ground/envelope'
import { upcast } from '#core/house/upcast'

type OnStored = (event: LedgerEvent) => void

const retryAfter = 2_000
const silentAfter = 40_000

/** The one stream of stored events this tab follows. */
export const useLive = defineStore('live', () => {
  const connected = ref(false)
  const position = ref(0)
  /** The server has become newer than this page. */
  const outdated = ref(false)
  const onStored = new Set<OnStored>()
  const onReload = new Set<() => void>()
  let source: EventSource | null = null
  let watch: ReturnType<typeof setTimeout> | undefined

  /** Follow from a position; a tab that follows already goes on where it is. */
  function follow(from: number): void {
    position.value = Math.max(position.value, from)
    if (!source) open()
  }

  function open(): void {
    source = new EventSource(`/api/live?after=${position.value}`)
    source.addEventListener('open', alive)
    source.addEventListener('beat', alive)
    source.addEventListener('stored', (message) => {
      alive()
      const event = readable(JSON.parse((message as MessageEvent<string>).data) as LedgerEvent)
      if (!event) return
      position.value = event.position
      for (const listener of onStored) listener(event)
    })
    source.addEventListener('reload', (message) => {
      position.value = Number((message as MessageEvent<string>).data)
      for (const listener of onReload) listener()
    })
    source.addEventListener('error', reopen)
  }

  /** An event this page can fold; a newer one stops it until it is loaded again. */
  function readable(event: LedgerEvent): LedgerEvent | null {
    try {
      return upcast(event)
    } catch {
      outdated.value = true
      close()
      return null
    }
  }

  function alive(): void {
    connected.value = true
    clearTimeout(watch)
    watch = setTimeout(reopen, silentAfter)
  }

  /** The browser's own reconnection gives up on some failures; ours does not. */
  function reopen(): void {
    close()
    setTimeout(() => {
      if (!source) open()
    }, retryAfter)
  }

  function close(): void {
    source?.close()
    source = null
    connected.value = false
    clearTimeout(watch)
  }

  function listen(stored: OnStored, reload: () => void = () => {}): () => void {
    onStored.add(stored)
    onReload.add(reload)
    return () => {
      onStored.delete(stored)
      onReload.delete(reload)
    }
  }

  return { connected, position, outdated, follow, listen, close }
})
