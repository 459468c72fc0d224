import { onUnmounted, ref } from 'vue'
import { api } from './api'

/** A device that streams its readings, as long as a page looks at it. `null`: nothing heard yet. */
export function useDevice<Reading, Act extends object>(path: string) {
  const reading = ref<Reading | null>(null)
  const away = ref(false)
  let source: EventSource | null = null

  function open(): void {
    if (source) return
    source = new EventSource(path)
    source.addEventListener('message', (message: MessageEvent<string>) => {
      reading.value = JSON.parse(message.data) as Reading
      away.value = false
    })
    // The browser tries again by itself.
    source.addEventListener('error', () => {
      away.value = true
    })
  }

  const act = (what: Act): Promise<unknown> =>
    api(path, 'POST', what).catch(() => {
      away.value = true
    })

  onUnmounted(() => source?.close())
  return { reading, away, open, act }
}
