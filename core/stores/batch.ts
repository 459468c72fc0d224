import { type Context, type Decision, type Happening, type NewEvent, refuse } from '../ledger/envelope'

/** Ink families by how they dry and what cleans them. */
export type InkFamily = 'oil' | 'water-washable oil' | 'water-based' | 'rubber-based' | 'other'
export const inkFamilies: readonly InkFamily[] = ['oil', 'water-washable oil', 'water-based', 'rubber-based', 'other']

/** One ink in a batch. Weights are whole milligrams, so that sums are exact. */
export interface Component {
  name: string
  milligrams: number
}

export interface BatchEvents {
  'batch-mixed': { name: string, family: InkFamily, colour: string, components: Component[] }
  'ink-drawn': { milligrams: number, editionStream: string, note: string }
  'batch-reweighed': { milligrams: number, reason: string }
}

export interface BatchCommands {
  'mix-batch': BatchEvents['batch-mixed']
  'draw-ink': BatchEvents['ink-drawn']
  'reweigh-batch': BatchEvents['batch-reweighed']
}

export interface BatchState {
  stream: string
  seq: number
  name: string
  family: InkFamily
  /** Swatch as seen, `#rrggbb`. */
  colour: string
  components: Component[]
  /** Milligrams left. */
  left: number
  mixed: number
  reweighings: { before: number, after: number, reason: string, at: string }[]
}

export function emptyBatch(stream: string): BatchState {
  return { stream, seq: 0, name: '', family: 'other', colour: '#000000', components: [], left: 0, mixed: 0, reweighings: [] }
}

/** Share of each component in the whole, in the order given; they add up to 1. */
export function shares(components: readonly Component[]): number[] {
  const total = components.reduce((sum, component) => sum + component.milligrams, 0)
  return components.map(component => (total === 0 ? 0 : component.milligrams / total))
}

export function batchEvent<T extends keyof BatchEvents>(stream: string, type: T, data: BatchEvents[T]): NewEvent<T, BatchEvents[T]> {
  return { stream, type, version: 1, data }
}

/** Total: an unknown event only moves the sequence. */
export function evolveBatch(state: BatchState, event: Happening): BatchState {
  const next = { ...state, seq: event.seq }
  switch (event.type) {
    case 'batch-mixed': {
      const data = event.data as BatchEvents['batch-mixed']
      const mixed = data.components.reduce((sum, component) => sum + component.milligrams, 0)
      return { ...next, ...data, mixed, left: mixed }
    }
    case 'ink-drawn': return { ...next, left: state.left - (event.data as BatchEvents['ink-drawn']).milligrams }
    case 'batch-reweighed': {
      const { milligrams, reason } = event.data as BatchEvents['batch-reweighed']
      return { ...next, left: milligrams, reweighings: [...state.reweighings, { before: state.left, after: milligrams, reason, at: event.occurredAt }] }
    }
    default: return next
  }
}

const grams = (milligrams: number) => `${(milligrams / 1000).toFixed(1)} g`

export function decideBatch(state: BatchState, command: { type: string, data: unknown }, _context: Context): Decision {
  if (command.type === 'mix-batch') {
    const data = command.data as BatchCommands['mix-batch']
    if (state.name !== '') return refuse('already-there', 'This batch is on the slab already.')
    if (data.name.trim() === '') return refuse('name-missing', 'Give the batch a name to find it by.', 'name')
    if (data.components.length === 0) return refuse('no-component', 'Weigh in at least one ink.', 'components')
    const light = data.components.find(component => component.milligrams <= 0)
    if (light) return refuse('weight-range', `${light.name || 'A component'} weighs ${grams(light.milligrams)}; a weight is above zero.`, 'components')
    return { events: [batchEvent(state.stream, 'batch-mixed', data)] }
  }
  if (state.name === '') return refuse('unknown-batch', 'That ink batch is not here.')
  if (command.type === 'draw-ink') {
    const data = command.data as BatchCommands['draw-ink']
    if (data.milligrams > state.left) {
      return refuse('not-enough', `${grams(data.milligrams)} were to be drawn, but only ${grams(state.left)} of ${state.name} are left. Reweigh the batch if the book is wrong.`, 'milligrams')
    }
    return { events: [batchEvent(state.stream, 'ink-drawn', data)] }
  }
  const data = command.data as BatchCommands['reweigh-batch']
  if (data.reason.trim() === '') return refuse('reason-missing', `The book shows ${grams(state.left)}; say why the weight differs.`, 'reason')
  if (data.milligrams > state.mixed) return refuse('more-than-mixed', `Only ${grams(state.mixed)} were mixed; ${grams(data.milligrams)} cannot be left.`, 'milligrams')
  return { events: [batchEvent(state.stream, 'batch-reweighed', data)] }
}
