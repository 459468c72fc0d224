import type { AirReading } from '#shared/replies/replies'
import { useDevice } from './device'

type AirAct = 'warm' | 'cool' | 'damp' | 'dry' | 'unplug' | 'plug'

/** The sensor on the wall. */
export function useRoomAir() {
  const { act, ...sensor } = useDevice<AirReading, { act: AirAct }>('/api/climate')
  return { ...sensor, act: (what: AirAct) => act({ act: what }) }
}
