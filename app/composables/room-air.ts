import { onUnmounted, ref } from 'vue'
import type { AirReading } from '#shared/replies/replies'
import { api } from './api'

/** The room sensor as long as a page looks at it. `null`: nothing heard yet. */
export function useRoomAir() {
  const reading = ref<AirReading | null>(null)
  const away = ref(false)
  let source: EventSource | null = null

  function open(): void {
    if (source) return
    source = new EventSource('/api/climate')
    source.addEventListener('message', (message: MessageEvent<string>) => {
      reading.value = JSON.parse(message.data) as AirReading
      away.value = false
    })
    // The browser tries again by itself.
    source.addEventListener('error', () => {
      away.value = true
    })
  }

  const act = (what: 'warm' | 'cool' | 'damp' | 'dry' | 'unplug' | 'plug'): Promise<unknown> =>
    api('/api/climate', 'POST', { act: what }).catch(() => {
      away.value = true
    })

  onUnmounted(() => source?.close())
  return { reading, away, open, act }
}
