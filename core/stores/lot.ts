import { type Context, type Decision, type Happening, type NewEvent, refuse } from '../ledger/envelope'
import { versionOf } from '../ledger/versions'
import { type Edges, type Grain, noEdges } from '../paper/tear-plan'

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
}

export interface LotEvents {
  'lot-added': LotDescription & { sheets: number }
  'lot-described': LotDescription
  'lot-bought': { sheets: number; price: number }
  'lot-torn': { editionStream: string; sheets: number; pieces: number; rationId: string | null }
  'lot-counted': { sheets: number; reason: string }
  'paper-rationed': { rationId: string; personId: string; sheets: number }
  'paper-released': { rationId: string; sheets: number }
  'paper-returned': { rationId: string; sheets: number }
}

export interface LotCommands {
  'add-lot': LotEvents['lot-added']
  'describe-lot': LotDescription
  'buy-paper': LotEvents['lot-bought']
  'count-lot': LotEvents['lot-counted']
  'ration-paper': { personId: string; sheets: number }
  'release-paper': LotEvents['paper-released']
  'return-paper': LotEvents['paper-returned']
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

export function lotEvent<T extends keyof LotEvents>(
  stream: string,
  type: T,
  data: LotEvents[T],
): NewEvent<T, LotEvents[T]> {
  return { stream, type, version: versionOf(type), data }
}

/** Sheets a person has in hand from a ration. */
export function inHand(ration: Ration): number {
  return ration.released - ration.returned - ration.used
}

/** Sheets on the shelf that are put aside for somebody and not yet given out. */
export function putAside(lot: Pick<LotState, 'rations'>): number {
  return lot.rations.reduce((sum, ration) => sum + ration.sheets - ration.released, 0)
}

function changeRation(state: LotState, id: string, change: (ration: Ration) => Ration): Ration[] {
  return state.rations.map((ration) => (ration.id === id ? change(ration) : ration))
}

/** Total: an unknown event only moves the sequence. */
export function evolveLot(state: LotState, event: Happening): LotState {
  const next = { ...state, seq: event.seq }
  switch (event.type) {
    case 'lot-added': {
      const { sheets, ...description } = event.data as LotEvents['lot-added']
      return { ...next, ...description, left: sheets, bought: sheets }
    }
    case 'lot-described':
      return { ...next, ...(event.data as LotDescription) }
    case 'lot-bought': {
      const { sheets, price } = event.data as LotEvents['lot-bought']
      return { ...next, left: state.left + sheets, bought: state.bought + sheets, price }
    }
    case 'lot-torn': {
      const { sheets, rationId } = event.data as LotEvents['lot-torn']
      // Sheets given out left the shelf then, so tearing them takes nothing more from it.
      return rationId === null
        ? { ...next, left: state.left - sheets }
        : { ...next, rations: changeRation(state, rationId, (ration) => ({ ...ration, used: ration.used + sheets })) }
    }
    case 'lot-counted': {
      const { sheets, reason } = event.data as LotEvents['lot-counted']
      return {
        ...next,
        left: sheets,
        counts: [...state.counts, { before: state.left, after: sheets, reason, at: event.occurredAt }],
      }
    }
    case 'paper-rationed': {
      const { rationId, personId, sheets } = event.data as LotEvents['paper-rationed']
      return {
        ...next,
        rations: [...state.rations, { id: rationId, personId, sheets, released: 0, returned: 0, used: 0 }],
      }
    }
    case 'paper-released': {
      const { rationId, sheets } = event.data as LotEvents['paper-released']
      return {
        ...next,
        left: state.left - sheets,
        rations: changeRation(state, rationId, (ration) => ({ ...ration, released: ration.released + sheets })),
      }
    }
    case 'paper-returned': {
      const { rationId, sheets } = event.data as LotEvents['paper-returned']
      return {
        ...next,
        left: state.left + sheets,
        rations: changeRation(state, rationId, (ration) => ({ ...ration, returned: ration.returned + sheets })),
      }
    }
    default:
      return next
  }
}

function descriptionFault(data: LotDescription): Decision | null {
  if (data.name.trim() === '') return refuse('name-missing', 'Give the paper a name to find it by.', 'name')
  return null
}

function decideRation(state: LotState, type: string, data: unknown, context: Context): Decision {
  if (type === 'ration-paper') {
    const { personId, sheets } = data as LotCommands['ration-paper']
    const free = state.left - putAside(state)
    if (sheets > free)
      return refuse(
        'stock-short',
        `${free} sheets of ${state.name} are on the shelf and not put aside; ${sheets} were asked for. Count the lot if the book is wrong.`,
        'sheets',
      )
    return { events: [lotEvent(state.stream, 'paper-rationed', { rationId: context.commandId, personId, sheets })] }
  }
  const { rationId, sheets } = data as LotCommands['release-paper']
  const ration = state.rations.find((known) => known.id === rationId)
  if (!ration)
    return refuse(
      'unknown-ration',
      'That paper was not put aside here. Reload the page and choose from the list.',
      'rationId',
    )
  if (type === 'release-paper') {
    const kept = ration.sheets - ration.released
    if (sheets > kept)
      return refuse(
        'more-than-put-aside',
        `${kept} sheets are still put aside; ${sheets} cannot be given out.`,
        'sheets',
      )
    return { events: [lotEvent(state.stream, 'paper-released', { rationId, sheets })] }
  }
  if (sheets > inHand(ration))
    return refuse(
      'more-than-in-hand',
      `${inHand(ration)} sheets are in the person’s hands; ${sheets} cannot come back.`,
      'sheets',
    )
  return { events: [lotEvent(state.stream, 'paper-returned', { rationId, sheets })] }
}

export function decideLot(state: LotState, command: { type: string; data: unknown }, context: Context): Decision {
  if (command.type === 'add-lot') {
    const data = command.data as LotCommands['add-lot']
    if (state.name !== '') return refuse('already-there', 'This lot is in the store already.')
    return descriptionFault(data) ?? { events: [lotEvent(state.stream, 'lot-added', data)] }
  }
  if (state.name === '') return refuse('unknown-lot', 'That paper lot is not here.')
  switch (command.type) {
    case 'describe-lot': {
      const data = command.data as LotDescription
      return descriptionFault(data) ?? { events: [lotEvent(state.stream, 'lot-described', data)] }
    }
    case 'buy-paper':
      return { events: [lotEvent(state.stream, 'lot-bought', command.data as LotCommands['buy-paper'])] }
    case 'count-lot': {
      const data = command.data as LotCommands['count-lot']
      if (data.reason.trim() === '')
        return refuse('reason-missing', `The book shows ${state.left}; say why the count differs.`, 'reason')
      return { events: [lotEvent(state.stream, 'lot-counted', data)] }
    }
    default:
      return decideRation(state, command.type, command.data, context)
  }
}
