import type { Fault } from '../../ground/refusal'
import { type Edges, type Grain, noEdges } from '../../paper/tear-request'

/** What a paper is for: good paper for editions, or newsprint and offcuts for proofs. */
export type PaperUse = 'edition' | 'proof'
export const paperUses: readonly PaperUse[] = ['edition', 'proof']

/** Large sheets bought together. Sizes in mm, weight in g/m², price for one large sheet in the studio's currency. */
export interface LotDescription {
  maker: string
  name: string
  width: number
  height: number
  weight: number
  price: number
  use: PaperUse
  grain: Grain
  /** How the better side is told, in words. */
  betterSide: string
  deckles: Edges
  /** How it is printed as a rule. */
  damp: boolean
  keptAt: string
}

/** What was not asked of a lot before. */
export const lotDefaults: Pick<LotDescription, 'use' | 'grain' | 'betterSide' | 'deckles' | 'damp' | 'keptAt'> = {
  use: 'edition',
  grain: 'unknown',
  betterSide: '',
  deckles: noEdges,
  damp: false,
  keptAt: '',
}

/** A description as ledgers hold it: what was not asked before may be missing. */
export type WrittenDescription = Omit<LotDescription, keyof typeof lotDefaults> & Partial<typeof lotDefaults>

/** Good sheets put aside for a person, and given out when a proof has passed. */
export interface Ration {
  id: string
  personId: string
  sheets: number
  /** Of those, given out so far. */
  released: number
  /** Of those given out, brought back. */
  returned: number
  /** Of those given out, torn for an edition. */
  used: number
  /** The edition it is for, by id, where a class gives it; such paper is torn for that edition. */
  editionId?: string
}

export interface LotState extends LotDescription {
  stream: string
  seq: number
  /** Large sheets on the shelf by the book; below zero when more were torn than it knew of, which asks for a count. */
  left: number
  bought: number
  counts: { before: number; after: number; reason: string; at: string }[]
  rations: Ration[]
}

export function emptyLot(stream: string): LotState {
  return {
    stream,
    seq: 0,
    maker: '',
    name: '',
    width: 0,
    height: 0,
    weight: 0,
    price: 0,
    ...lotDefaults,
    left: 0,
    bought: 0,
    counts: [],
    rations: [],
  }
}

/** Sheets a person has in hand from a ration. */
export function inHand(ration: Ration): number {
  return ration.released - ration.returned - ration.used
}

/** Sheets on the shelf that are put aside for somebody and not yet given out. */
export function putAside(lot: Pick<LotState, 'rations'>): number {
  return lot.rations.reduce((sum, ration) => sum + ration.sheets - ration.released, 0)
}

export function rationOf(lot: Pick<LotState, 'rations'>, rationId: string | null): Ration | undefined {
  return lot.rations.find((ration) => ration.id === rationId)
}

/** Why a lot cannot be as it is described, or null. */
export function lotFault(lot: LotDescription): Fault | null {
  return lot.name.trim() === '' ? { field: 'name', message: 'Give the paper a name to find it by.' } : null
}
