import type { Card } from '../../ink/draw-down'
import type { InkFamily } from '../../ink/family'
import type { InkNature } from '../../ink/pigments'
import type { Fault } from '../../ground/refusal'

export type Container = 'tub' | 'tube' | 'bottle'
export const containers: readonly Container[] = ['tub', 'tube', 'bottle']

/** How the ink in it stands: skin becomes specks, a dirty knife spoils it for everyone. */
export type TubCondition = 'clean' | 'skinned' | 'dirty'
export const tubConditions: readonly TubCondition[] = ['clean', 'skinned', 'dirty']

/** Ink, base, oil or drier as it is bought. */
export interface TubDescription {
  name: string
  maker: string
  container: Container
  family: InkFamily
  nature: InkNature
  /** g/cm³. */
  density: number
  /** How strongly it tints beside an ink of strength 1. */
  tinting: number
  /** Price of a gram in the studio's currency. */
  price: number
  /** Day it was opened, ISO date, or null while sealed. */
  openedOn: string | null
  condition: TubCondition
  /** Share of a mix the maker allows, in percent, or null when nothing is said. */
  limits: { least: number; most: number } | null
  keptAt: string
  /** Draw-down over white and over black, or null while there is none. */
  card: Card | null
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
