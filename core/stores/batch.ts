import { heldOf } from '../ink/recipe'
import { type Context, type Decision, type Happening, type NewEvent, refuse } from '../ledger/envelope'
import { versionOf } from '../ledger/versions'
import { type TubState, tubEvent } from './tub'

/** Ink families by how they dry and what cleans them. */
export type InkFamily = 'oil' | 'water-washable oil' | 'water-based' | 'rubber-based' | 'other'
export const inkFamilies: readonly InkFamily[] = ['oil', 'water-washable oil', 'water-based', 'rubber-based', 'other']

/** One ink in a batch. Weights are whole milligrams, so that sums are exact. */
export interface Component {
  /** The tub it came from, or null when it was not in the store. */
  tubId: string | null
  /** The left-over batch it came from, or null. */
  batchId: string | null
  name: string
  milligrams: number
}

/** Why ink was added to a batch that stood already. */
export type Addition = 'over-pour' | 'top-up' | 'loosened' | 'changed'
export const additions: readonly Addition[] = ['over-pour', 'top-up', 'loosened', 'changed']

/** A draw-down of the batch beside what was predicted. */
export interface SeenDrawDown {
  ground: string
  colour: string
  thickness: number
}

/** What a run of pulls took, weighed before and after. */
export interface WeighedRun {
  editionStream: string
  layerId: string
  milligrams: number
  area: number
  film: number
}

export interface BatchEvents {
  'batch-mixed': { name: string; family: InkFamily; colour: string; components: Component[] }
  'ink-added': { components: Component[]; why: Addition }
  'ink-drawn': { milligrams: number; editionStream: string; note: string }
  'batch-reweighed': { milligrams: number; reason: string }
  'batch-kept': { milligrams: number; scraped: number; how: string }
  'draw-down-seen': SeenDrawDown
  'run-weighed': WeighedRun
}

export interface BatchCommands {
  'mix-batch': BatchEvents['batch-mixed']
  'add-ink': BatchEvents['ink-added']
  'draw-ink': BatchEvents['ink-drawn']
  'reweigh-batch': BatchEvents['batch-reweighed']
  'keep-batch': BatchEvents['batch-kept']
  'see-draw-down': BatchEvents['draw-down-seen']
  'weigh-run': BatchEvents['run-weighed']
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
  scraped: number
  draws: { milligrams: number; editionStream: string; at: string }[]
  additions: { milligrams: number; why: Addition; at: string }[]
  reweighings: { before: number; after: number; reason: string; at: string }[]
  keepings: { left: number; how: string; at: string }[]
  drawDown: SeenDrawDown | null
  runs: WeighedRun[]
}

export function emptyBatch(stream: string): BatchState {
  return {
    stream,
    seq: 0,
    name: '',
    family: 'other',
    colour: '#000000',
    components: [],
    left: 0,
    mixed: 0,
    scraped: 0,
    draws: [],
    additions: [],
    reweighings: [],
    keepings: [],
    drawDown: null,
    runs: [],
  }
}

/** Weight of some components, milligrams. */
export const weightOf = (components: readonly Pick<Component, 'milligrams'>[]): number =>
  components.reduce((sum, component) => sum + component.milligrams, 0)

/** Share of each component in the whole, in the order given; they add up to 1. */
export function shares(components: readonly Pick<Component, 'milligrams'>[]): number[] {
  const total = weightOf(components)
  return components.map((component) => (total === 0 ? 0 : component.milligrams / total))
}

export function batchEvent<T extends keyof BatchEvents>(
  stream: string,
  type: T,
  data: BatchEvents[T],
): NewEvent<T, BatchEvents[T]> {
  return { stream, type, version: versionOf(type), data }
}

/** Components with more of them stirred in; what comes from the same place is one. */
function stirred(components: readonly Component[], more: readonly Component[]): Component[] {
  const all = components.map((component) => ({ ...component }))
  for (const added of more) {
    const known = all.find(
      (one) => one.name === added.name && one.tubId === added.tubId && one.batchId === added.batchId,
    )
    if (known) known.milligrams += added.milligrams
    else all.push({ ...added })
  }
  return all
}

/** Total: an unknown event only moves the sequence. */
export function evolveBatch(state: BatchState, event: Happening): BatchState {
  const next = { ...state, seq: event.seq }
  const at = event.occurredAt
  switch (event.type) {
    case 'batch-mixed': {
      const data = event.data as BatchEvents['batch-mixed']
      const mixed = weightOf(data.components)
      return { ...next, ...data, mixed, left: mixed }
    }
    case 'ink-added': {
      const { components, why } = event.data as BatchEvents['ink-added']
      const milligrams = weightOf(components)
      const weights = heldOf(
        state.components.map((component) => component.milligrams),
        state.left,
      )
      const held = state.components.map((component, i) => ({ ...component, milligrams: weights[i]! }))
      return {
        ...next,
        components: stirred(state.left === state.mixed ? state.components : held, components),
        mixed: state.mixed + milligrams,
        left: state.left + milligrams,
        additions: [...state.additions, { milligrams, why, at }],
      }
    }
    case 'ink-drawn': {
      const { milligrams, editionStream } = event.data as BatchEvents['ink-drawn']
      return { ...next, left: state.left - milligrams, draws: [...state.draws, { milligrams, editionStream, at }] }
    }
    case 'batch-reweighed': {
      const { milligrams, reason } = event.data as BatchEvents['batch-reweighed']
      return {
        ...next,
        left: milligrams,
        reweighings: [...state.reweighings, { before: state.left, after: milligrams, reason, at }],
      }
    }
    case 'batch-kept': {
      const { milligrams, scraped, how } = event.data as BatchEvents['batch-kept']
      return {
        ...next,
        left: milligrams,
        scraped: state.scraped + scraped,
        keepings: [...state.keepings, { left: milligrams, how, at }],
      }
    }
    case 'draw-down-seen': {
      const drawDown = event.data as SeenDrawDown
      return { ...next, drawDown, colour: drawDown.colour }
    }
    case 'run-weighed':
      return { ...next, runs: [...state.runs, event.data as WeighedRun] }
    default:
      return next
  }
}

const grams = (milligrams: number) => `${(milligrams / 1000).toFixed(1)} g`

/** A scale for a slab shows a tenth of a gram; a draw may miss the book by as much and is then all there is. */
export const scaleTolerance = 100

/** Other streams a batch takes from. */
export interface BatchSources {
  tubs: ReadonlyMap<string, TubState>
  batches: ReadonlyMap<string, BatchState>
}

/** What pouring these into a batch takes from tubs and left-overs, or why it cannot be. */
function poured(
  state: BatchState,
  components: readonly Component[],
  { tubs, batches }: BatchSources,
): NewEvent[] | { refusal: { code: string; message: string; field?: string } } {
  if (components.length === 0) return refuse('no-component', 'Weigh in at least one ink.', 'components')
  const light = components.find((component) => component.milligrams <= 0)
  if (light)
    return refuse(
      'weight-range',
      `${light.name || 'A component'} weighs ${grams(light.milligrams)}; a weight is above zero.`,
      'components',
    )
  const taken: NewEvent[] = []
  for (const { tubId, batchId, name, milligrams } of components) {
    if (tubId !== null) {
      const tub = tubs.get(tubId)
      if (!tub || tub.name === '')
        return refuse('unknown-tub', `${name} is not in the store any more. Choose another ink.`, 'components')
      taken.push(tubEvent(tub.stream, 'ink-taken', { milligrams, batchStream: state.stream }))
    }
    if (batchId !== null) {
      const source = batches.get(batchId)
      if (!source || source.name === '' || source.stream === state.stream)
        return refuse(
          'unknown-batch',
          `The left-over ${name} is not on the slab any more. Choose another.`,
          'components',
        )
      if (milligrams > source.left + scaleTolerance)
        return refuse(
          'not-enough',
          `${grams(milligrams)} of ${source.name} were to be taken, but only ${grams(source.left)} are left. Reweigh it if the book is wrong.`,
          'components',
        )
      taken.push(
        batchEvent(source.stream, 'ink-drawn', {
          milligrams: Math.min(milligrams, source.left),
          editionStream: '',
          note: `into ${state.name || 'a new batch'}`,
        }),
      )
    }
  }
  return taken
}

export function decideBatch(
  state: BatchState,
  command: { type: string; data: unknown },
  sources: BatchSources,
  _context: Context,
): Decision {
  if (command.type === 'mix-batch') {
    const data = command.data as BatchCommands['mix-batch']
    if (state.name !== '') return refuse('already-there', 'This batch is on the slab already.')
    if (data.name.trim() === '') return refuse('name-missing', 'Give the batch a name to find it by.', 'name')
    const taken = poured(state, data.components, sources)
    return 'refusal' in taken ? taken : { events: [batchEvent(state.stream, 'batch-mixed', data), ...taken] }
  }
  if (state.name === '') return refuse('unknown-batch', 'That ink batch is not here.')
  switch (command.type) {
    case 'add-ink': {
      const data = command.data as BatchCommands['add-ink']
      const taken = poured(state, data.components, sources)
      return 'refusal' in taken ? taken : { events: [batchEvent(state.stream, 'ink-added', data), ...taken] }
    }
    case 'draw-ink': {
      const data = command.data as BatchCommands['draw-ink']
      if (data.milligrams > state.left + scaleTolerance) {
        return refuse(
          'not-enough',
          `${grams(data.milligrams)} were to be drawn, but only ${grams(state.left)} of ${state.name} are left. Reweigh the batch if the book is wrong.`,
          'milligrams',
        )
      }
      if (state.left <= 0)
        return refuse(
          'not-enough',
          `Nothing is left of ${state.name}. Reweigh the batch if the book is wrong.`,
          'milligrams',
        )
      return {
        events: [batchEvent(state.stream, 'ink-drawn', { ...data, milligrams: Math.min(data.milligrams, state.left) })],
      }
    }
    case 'keep-batch': {
      const data = command.data as BatchCommands['keep-batch']
      if (data.milligrams + data.scraped > state.left + scaleTolerance)
        return refuse(
          'more-than-left',
          `The book shows ${grams(state.left)} of ${state.name}; ${grams(data.milligrams + data.scraped)} kept and scraped off are more. Reweigh the batch first.`,
          'milligrams',
        )
      return {
        events: [
          batchEvent(state.stream, 'batch-kept', {
            ...data,
            milligrams: Math.min(data.milligrams, state.left - Math.min(data.scraped, state.left)),
          }),
        ],
      }
    }
    case 'see-draw-down': {
      const data = command.data as BatchCommands['see-draw-down']
      return data.thickness > 0
        ? { events: [batchEvent(state.stream, 'draw-down-seen', data)] }
        : refuse('thickness-range', 'Give the film thickness of the draw-down in µm, above zero.', 'thickness')
    }
    case 'weigh-run': {
      const data = command.data as BatchCommands['weigh-run']
      return data.film > 0 && data.area > 0
        ? { events: [batchEvent(state.stream, 'run-weighed', data)] }
        : refuse(
            'nothing-printed',
            'A run has a printed area and a film above zero. Check the weights and the number of pulls.',
            'milligrams',
          )
    }
    default: {
      const data = command.data as BatchCommands['reweigh-batch']
      if (data.reason.trim() === '')
        return refuse('reason-missing', `The book shows ${grams(state.left)}; say why the weight differs.`, 'reason')
      if (data.milligrams > state.mixed)
        return refuse(
          'more-than-mixed',
          `Only ${grams(state.mixed)} were mixed; ${grams(data.milligrams)} cannot be left.`,
          'milligrams',
        )
      return { events: [batchEvent(state.stream, 'batch-reweighed', data)] }
    }
  }
}
