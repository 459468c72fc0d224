import { onUnmounted, ref } from 'vue'
import type { ScaleReading } from '#shared/replies/replies'
import { api } from './api'

/** The scale as long as a page looks at it. `null`: nothing heard yet. */
export function useScale() {
  const reading = ref<ScaleReading | null>(null)
  const away = ref(false)
  let source: EventSource | null = null

  function open(): void {
    if (source) return
    source = new EventSource('/api/scale')
    source.addEventListener('message', (message: MessageEvent<string>) => {
      reading.value = JSON.parse(message.data) as ScaleReading
      away.value = false
    })
    // The browser tries again by itself.
    source.addEventListener('error', () => {
      away.value = true
    })
  }

  function act(what: 'tare' | 'pour' | 'stop' | 'clear' | 'unplug' | 'plug', rate = 0): Promise<unknown> {
    return api('/api/scale', 'POST', { act: what, rate }).catch(() => {
      away.value = true
    })
  }

  onUnmounted(() => source?.close())
  return { reading, away, open, act }
}
