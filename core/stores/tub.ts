import type { Card } from '../ink/draw-down'
import type { InkNature } from '../ink/pigments'
import { type Context, type Decision, type Happening, type NewEvent, refuse } from '../ledger/envelope'
import type { InkFamily } from './batch'

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

export interface TubEvents {
  'tub-added': TubDescription & { milligrams: number }
  'tub-described': TubDescription
  'tub-weighed': { milligrams: number; reason: string }
  'ink-taken': { milligrams: number; batchStream: string }
}

export interface TubCommands {
  'add-tub': TubEvents['tub-added']
  'describe-tub': TubDescription
  'weigh-tub': TubEvents['tub-weighed']
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

export function tubEvent<T extends keyof TubEvents>(
  stream: string,
  type: T,
  data: TubEvents[T],
): NewEvent<T, TubEvents[T]> {
  return { stream, type, version: 1, data }
}

/** Total: an unknown event only moves the sequence. */
export function evolveTub(state: TubState, event: Happening): TubState {
  const next = { ...state, seq: event.seq }
  switch (event.type) {
    case 'tub-added': {
      const { milligrams, ...description } = event.data as TubEvents['tub-added']
      return { ...next, ...description, left: milligrams }
    }
    case 'tub-described':
      return { ...next, ...(event.data as TubDescription) }
    case 'tub-weighed': {
      const { milligrams, reason } = event.data as TubEvents['tub-weighed']
      return {
        ...next,
        left: milligrams,
        weighings: [...state.weighings, { before: state.left, after: milligrams, reason, at: event.occurredAt }],
      }
    }
    case 'ink-taken':
      return { ...next, left: state.left - (event.data as TubEvents['ink-taken']).milligrams }
    default:
      return next
  }
}

/** Why a tub cannot be as it is described, or null. */
export function tubFault(tub: TubDescription): { field: string; message: string } | null {
  if (tub.name.trim() === '') return { field: 'name', message: 'Give the ink a name to find it by, as on its label.' }
  if (!(tub.density > 0))
    return { field: 'density', message: 'The density is above zero; about 1.1 g/cm³ for most inks, 1.6 for white.' }
  if (!(tub.tinting > 0))
    return { field: 'tinting', message: 'The tinting strength is above zero; 1 when you do not know.' }
  if (tub.limits && !(tub.limits.least >= 0 && tub.limits.most > tub.limits.least && tub.limits.most <= 100))
    return { field: 'limits', message: 'The maker’s range goes from a smaller to a larger percentage, 0 to 100.' }
  return null
}

export function decideTub(state: TubState, command: { type: string; data: unknown }, _context: Context): Decision {
  if (command.type === 'add-tub') {
    const data = command.data as TubCommands['add-tub']
    if (state.name !== '') return refuse('already-there', 'This ink is in the store already.')
    const fault = tubFault(data)
    return fault
      ? refuse('tub-unfit', fault.message, fault.field)
      : { events: [tubEvent(state.stream, 'tub-added', { ...data, name: data.name.trim() })] }
  }
  if (state.name === '')
    return refuse('unknown-tub', 'That ink is not in the store. Reload the page and choose it from the list.')
  if (command.type === 'describe-tub') {
    const data = command.data as TubCommands['describe-tub']
    const fault = tubFault(data)
    return fault
      ? refuse('tub-unfit', fault.message, fault.field)
      : { events: [tubEvent(state.stream, 'tub-described', { ...data, name: data.name.trim() })] }
  }
  const data = command.data as TubCommands['weigh-tub']
  if (data.reason.trim() === '')
    return refuse(
      'reason-missing',
      `The book shows ${(state.left / 1000).toFixed(1)} g of ${state.name}; say why the weight differs.`,
      'reason',
    )
  return { events: [tubEvent(state.stream, 'tub-weighed', data)] }
}
