import type { ScaleReading } from '#shared/replies/replies'
import { useDevice } from './device'

type ScaleAct = 'tare' | 'pour' | 'stop' | 'clear' | 'unplug' | 'plug'

/** The scale at the slab. */
export function useScale() {
  const { act, ...scale } = useDevice<ScaleReading, { act: ScaleAct; rate: number }>('/api/scale')
  return { ...scale, act: (what: ScaleAct, rate = 0) => act({ act: what, rate }) }
}
