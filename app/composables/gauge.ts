import { onUnmounted, ref, watch, type Ref } from 'vue'
import type { GaugeReading } from '#shared/replies/replies'
import { api } from './api'

/** A screw that has moved by more than its waver, mm. */
const moved = 0.03

/** The gauge of a press as long as a page looks at it. `null`: nothing heard yet. */
export function useGauge(pressId: Ref<string>) {
  const reading = ref<GaugeReading | null>(null)
  const away = ref(false)
  /** From where each end came to where it is: the play of a screw lies on the other side. */
  const cameFrom = ref<{ left: 'above' | 'below' | null; right: 'above' | 'below' | null }>({ left: null, right: null })
  let turned: { left: number | null; right: number | null } = { left: null, right: null }
  let source: EventSource | null = null

  function take(now: GaugeReading): void {
    for (const side of ['left', 'right'] as const) {
      const [was, is] = [turned[side], now[side]]
      if (is === null) continue
      if (was !== null && Math.abs(is - was) < moved) continue
      if (was !== null) cameFrom.value[side] = is < was ? 'above' : 'below'
      turned[side] = is
    }
    reading.value = now
    away.value = false
  }

  function close(): void {
    source?.close()
    source = null
    reading.value = null
    turned = { left: null, right: null }
    cameFrom.value = { left: null, right: null }
  }

  function open(): void {
    close()
    source = new EventSource(`/api/presses/${pressId.value}/gauge`)
    source.addEventListener('message', (message: MessageEvent<string>) => {
      take(JSON.parse(message.data) as GaugeReading)
    })
    // The browser tries again by itself.
    source.addEventListener('error', () => {
      away.value = true
    })
  }

  function act(what: 'turn' | 'stop' | 'zero' | 'unplug' | 'plug', screw: 'left' | 'right' | 'both', rate = 0) {
    return api(`/api/presses/${pressId.value}/gauge`, 'POST', { act: what, screw, rate }).catch(() => {
      away.value = true
    })
  }

  watch(pressId, () => source && open())
  onUnmounted(close)
  return { reading, away, cameFrom, open, close, act }
}
