import type { Doer, When } from '../../ground/envelope'
import type { Fault } from '../../ground/refusal'
import type { RackDescription } from './description'

/** What lies in one slot. */
export interface Lain extends When, Doer {
  slot: number
  editionId: string
  title: string
  layerId: string
  layerName: string
  sheetIds: number[]
}

export interface RackState extends RackDescription {
  stream: string
  seq: number
  /** What lies in it, by slot. */
  lain: Lain[]
}

export function emptyRack(stream: string): RackState {
  return { stream, seq: 0, name: '', kind: 'rack', slots: 0, perSlot: 1, place: '', lain: [] }
}

/** Slots in which nothing lies, in order. */
export function freeSlots({ slots, lain }: Pick<RackState, 'slots' | 'lain'>): number[] {
  const taken = new Set(lain.map(({ slot }) => slot))
  return Array.from({ length: slots }, (_, i) => i + 1).filter((slot) => !taken.has(slot))
}

/** Pieces that racks hold when they are empty. */
export const placesIn = (racks: readonly Pick<RackState, 'slots' | 'perSlot'>[]): number =>
  racks.reduce((sum, { slots, perSlot }) => sum + slots * perSlot, 0)

/** Pieces of paper that racks still take. */
export function roomIn(racks: readonly Pick<RackState, 'slots' | 'lain' | 'perSlot'>[]): number {
  return racks.reduce((sum, rack) => sum + freeSlots(rack).length * rack.perSlot, 0)
}

/** Why a rack cannot be so, or null. What lies in it stays in a slot. */
export function rackFault({ name, slots }: RackDescription, lain: readonly Lain[]): Fault | null {
  if (name.trim() === '') return { field: 'name', message: 'Give the rack a name, as people call it.' }
  const beyond = lain.find(({ slot }) => slot > slots)
  if (!beyond) return null
  return { field: 'slots', message: `Something lies in slot ${beyond.slot}. Take it out first, then have fewer slots.` }
}
