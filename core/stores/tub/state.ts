import { IsIn, IsNumber, Length, Max, Min } from 'class-validator'
import { OrNull, Part, Unit, Words } from '../../ground/shape'
import { IsDay } from '../../ground/written'
import { Card } from '../../ink/draw-down'
import { inkFamilies, type InkFamily } from '../../ink/family'
import { type InkNature, inkNatures } from '../../ink/pigments'
import type { Fault } from '../../ground/refusal'

export type Container = 'tub' | 'tube' | 'bottle'
export const containers: readonly Container[] = ['tub', 'tube', 'bottle']

/** How the ink in it stands: skin becomes specks, a dirty knife spoils it for everyone. */
export type TubCondition = 'clean' | 'skinned' | 'dirty'
export const tubConditions: readonly TubCondition[] = ['clean', 'skinned', 'dirty']

class Limits {
  @IsNumber() @Min(0) @Max(100) least!: number
  @IsNumber() @Min(0) @Max(100) most!: number
}

/** Ink, base, oil or drier as it is bought. */
export class TubDescription {
  static readonly sample: TubDescription = {
    name: 'warm red',
    maker: '',
    container: 'tub',
    family: 'oil',
    nature: 'pigment',
    density: 1.1,
    tinting: 1,
    price: 0.1,
    openedOn: '2026-11-02',
    condition: 'clean',
    limits: { least: 1, most: 5 },
    keptAt: 'shelf 1',
    card: { white: '#ffffff', overWhite: '#bb3333', overBlack: '#301010', thickness: 8 },
  }

  @Length(1, 80) name!: string
  @Words(80) maker!: string
  @IsIn(containers) container!: Container
  @IsIn(inkFamilies) family!: InkFamily
  @IsIn(inkNatures) nature!: InkNature
  @IsNumber() @Min(0) @Max(10) @Unit('g/cm³') density!: number
  /** How strongly it tints beside an ink of strength 1. */
  @IsNumber() @Min(0) @Max(100) tinting!: number
  /** Price of a gram in the studio's currency. */
  @IsNumber() @Min(0) @Max(10_000) price!: number
  /** Day it was opened, ISO date, or null while sealed. */
  @OrNull() @IsDay() openedOn!: string | null
  @IsIn(tubConditions) condition!: TubCondition
  /** Share of a mix the maker allows, in percent, or null when nothing is said. */
  @OrNull() @Part(() => Limits) limits!: Limits | null
  @Words(120) keptAt!: string
  /** Draw-down over white and over black, or null while there is none. */
  @OrNull() @Part(() => Card) card!: Card | null
}

export interface TubState extends TubDescription {
  stream: string
  seq: number
  /** Milligrams left by the book; below zero when more was taken than it knew of. */
  left: number
  weighings: { before: number; after: number; reason: string; at: string }[]
}

export function emptyTub(stream: string): TubState {
  return {
    stream,
    seq: 0,
    name: '',
    maker: '',
    container: 'tub',
    family: 'other',
    nature: 'pigment',
    density: 1.1,
    tinting: 1,
    price: 0,
    openedOn: null,
    condition: 'clean',
    limits: null,
    keptAt: '',
    card: null,
    left: 0,
    weighings: [],
  }
}

/** Why a tub cannot be as it is described, or null. */
export function tubFault(tub: TubDescription): Fault | null {
  if (tub.name.trim() === '') return { field: 'name', message: 'Give the ink a name to find it by, as on its label.' }
  if (!(tub.density > 0))
    return { field: 'density', message: 'The density is above zero; about 1.1 g/cm³ for most inks, 1.6 for white.' }
  if (!(tub.tinting > 0))
    return { field: 'tinting', message: 'The tinting strength is above zero; 1 when you do not know.' }
  if (tub.limits && !(tub.limits.least >= 0 && tub.limits.most > tub.limits.least && tub.limits.most <= 100))
    return { field: 'limits', message: 'The maker’s range goes from a smaller to a larger percentage, 0 to 100.' }
  return null
}
