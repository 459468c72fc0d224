import { type Context, type Decision, type Happening, type NewEvent, refuse } from '../ledger/envelope'

/** Large sheets bought together. Sizes in mm, weight in g/m², price for one large sheet in the studio's currency. */
export interface LotDescription {
  maker: string
  name: string
  width: number
  height: number
  weight: number
  price: number
}

export interface LotEvents {
  'lot-added': LotDescription & { sheets: number }
  'lot-torn': { editionStream: string, sheets: number, pieces: number }
  'lot-counted': { sheets: number, reason: string }
}

export interface LotCommands {
  'add-lot': LotEvents['lot-added']
  'count-lot': LotEvents['lot-counted']
}

export interface LotState extends LotDescription {
  stream: string
  seq: number
  /** Large sheets left by the book. */
  left: number
  bought: number
  counts: { before: number, after: number, reason: string, at: string }[]
}

export function emptyLot(stream: string): LotState {
  return { stream, seq: 0, maker: '', name: '', width: 0, height: 0, weight: 0, price: 0, left: 0, bought: 0, counts: [] }
}

export function lotEvent<T extends keyof LotEvents>(stream: string, type: T, data: LotEvents[T]): NewEvent<T, LotEvents[T]> {
  return { stream, type, version: 1, data }
}

/** Total: an unknown event only moves the sequence. */
export function evolveLot(state: LotState, event: Happening): LotState {
  const next = { ...state, seq: event.seq }
  switch (event.type) {
    case 'lot-added': {
      const { sheets, ...description } = event.data as LotEvents['lot-added']
      return { ...next, ...description, left: sheets, bought: sheets }
    }
    case 'lot-torn': return { ...next, left: state.left - (event.data as LotEvents['lot-torn']).sheets }
    case 'lot-counted': {
      const { sheets, reason } = event.data as LotEvents['lot-counted']
      return { ...next, left: sheets, counts: [...state.counts, { before: state.left, after: sheets, reason, at: event.occurredAt }] }
    }
    default: return next
  }
}

export function decideLot(state: LotState, command: { type: string, data: unknown }, _context: Context): Decision {
  if (command.type === 'add-lot') {
    const data = command.data as LotCommands['add-lot']
    if (state.name !== '') return refuse('already-there', 'This lot is in the store already.')
    if (data.name.trim() === '') return refuse('name-missing', 'Give the paper a name to find it by.', 'name')
    return { events: [lotEvent(state.stream, 'lot-added', data)] }
  }
  const data = command.data as LotCommands['count-lot']
  if (state.name === '') return refuse('unknown-lot', 'That paper lot is not here.')
  if (data.reason.trim() === '') return refuse('reason-missing', `The book shows ${state.left}; say why the count differs.`, 'reason')
  return { events: [lotEvent(state.stream, 'lot-counted', data)] }
}
