import type { Doer, When } from '../../ground/envelope'
import type { Fault } from '../../ground/refusal'

export type RackKind = 'rack' | 'line' | 'shelf'
export const rackKinds: readonly RackKind[] = ['rack', 'line', 'shelf']

/** Where sheets dry. */
export interface RackDescription {
  name: string
  kind: RackKind
  /** Shelves of a rack, pegs of a line, places on a shelf, numbered from 1. */
  slots: number
  /** Pieces of paper that one slot takes side by side. */
  perSlot: number
  /** Where in the room it is. */
  place: string
}

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

export const mostSlots = 500
export const mostInSlot = 50

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
export function rackFault({ name, slots, perSlot }: RackDescription, lain: readonly Lain[]): Fault | null {
  if (name.trim() === '') return { field: 'name', message: 'Give the rack a name, as people call it.' }
  if (!Number.isInteger(slots) || slots < 1 || slots > mostSlots)
    return { field: 'slots', message: `A rack has 1 to ${mostSlots} slots; ${slots} was given.` }
  if (!Number.isInteger(perSlot) || perSlot < 1 || perSlot > mostInSlot)
    return { field: 'perSlot', message: `A slot takes 1 to ${mostInSlot} pieces; ${perSlot} was given.` }
  const beyond = lain.find(({ slot }) => slot > slots)
  if (!beyond) return null
  return { field: 'slots', message: `Something lies in slot ${beyond.slot}. Take it out first, then have fewer slots.` }
}
