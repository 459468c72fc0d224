import { IsBoolean, IsIn, IsNumber, Length, Max, Min } from 'class-validator'
import { Part, Unit, Words } from '../../ground/shape'
import type { Fault } from '../../ground/refusal'
import { Edges, type Grain, grains } from '../../paper/tear-request'
import { lotDefaults } from './defaults'

/** What a paper is for: good paper for editions, or newsprint and offcuts for proofs. */
export type PaperUse = 'edition' | 'proof'
export const paperUses: readonly PaperUse[] = ['edition', 'proof']

/** Large sheets bought together; price for one large sheet in the studio's currency. */
export class LotDescription {
  static readonly sample: LotDescription = {
    maker: '',
    name: 'laid',
    width: 760,
    height: 560,
    weight: 200,
    price: 4.6,
    ...lotDefaults,
  }

  @Words(80) maker!: string
  @Length(1, 80) name!: string
  @IsNumber() @Min(20) @Max(5000) @Unit('mm') width!: number
  @IsNumber() @Min(20) @Max(5000) @Unit('mm') height!: number
  @IsNumber() @Min(5) @Max(2000) @Unit('g/m²') weight!: number
  @IsNumber() @Min(0) @Max(100_000) price!: number
  @IsIn(paperUses) use!: PaperUse
  @IsIn(grains) grain!: Grain
  /** How the better side is told, in words. */
  @Words(120) betterSide!: string
  @Part(() => Edges) deckles!: Edges
  /** How it is printed as a rule. */
  @IsBoolean() damp!: boolean
  @Words(120) keptAt!: string
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
