import { decideEdition } from '../edition/decide'
import { evolveEdition, foldEdition } from '../edition/evolve'
import { emptyEdition, type EditionState } from '../edition/state'
import type { EditionCommands, EditionCommandType } from '../edition/commands'
import { type BatchCommands, type BatchState, decideBatch, emptyBatch, evolveBatch } from '../stores/batch'
import { decideLot, emptyLot, evolveLot, type LotState } from '../stores/lot'
import { decidePress, emptyPress, evolvePress, type PressState } from '../stores/press'
import { decideStudio, emptyStudio, evolveStudio, type StudioState } from '../stores/studio'
import { decideTub, emptyTub, evolveTub, type TubState } from '../stores/tub'
import { type Context, type Decision, type Happening, refuse, streamId, streamKind } from './envelope'
import { may } from './roles'

export type StreamState = EditionState | LotState | BatchState | TubState | PressState | StudioState

/** A command as the ledger takes it: one main stream, and whatever else it needs to read or write. */
export interface Command {
  type: string
  stream: string
  data: unknown
  expectedSeq?: number
}

export const streamKinds = ['edition', 'lot', 'batch', 'tub', 'press', 'studio'] as const

export function emptyState(stream: string): StreamState {
  switch (streamKind(stream)) {
    case 'edition':
      return emptyEdition(stream)
    case 'lot':
      return emptyLot(stream)
    case 'batch':
      return emptyBatch(stream)
    case 'tub':
      return emptyTub(stream)
    case 'press':
      return emptyPress(stream)
    default:
      return emptyStudio(stream)
  }
}

/** One event more on whichever stream it belongs to. Total. */
export function evolve(state: StreamState, event: Happening): StreamState {
  switch (streamKind(event.stream)) {
    case 'edition':
      return evolveEdition(state as EditionState, event)
    case 'lot':
      return evolveLot(state as LotState, event)
    case 'batch':
      return evolveBatch(state as BatchState, event)
    case 'tub':
      return evolveTub(state as TubState, event)
    case 'press':
      return evolvePress(state as PressState, event)
    default:
      return evolveStudio(state as StudioState, event)
  }
}

/** Many events of one stream at once. */
export function fold(from: StreamState, events: readonly Happening[]): StreamState {
  return streamKind(from.stream) === 'edition' ? foldEdition(from as EditionState, events) : events.reduce(evolve, from)
}

/** Streams whose states a command must see, its own first. */
export function streamsFor(command: Command): string[] {
  const extra: string[] = []
  if (streamKind(command.stream) === 'edition') {
    extra.push('studio')
    if (command.type === 'tear') {
      const { lotId, offcuts } = command.data as EditionCommands['tear']
      extra.push(`lot:${lotId}`, ...offcuts.map((offcut) => `lot:${offcut.lotId}`))
    }
    if (command.type === 'set-press') extra.push(`press:${(command.data as EditionCommands['set-press']).pressId}`)
    if (command.type === 'set-zones') {
      for (const zone of (command.data as EditionCommands['set-zones']).zones)
        if (zone.batchId !== null) extra.push(`batch:${zone.batchId}`)
    }
  }
  if (command.type === 'mix-batch' || command.type === 'add-ink') {
    for (const { tubId, batchId } of (command.data as BatchCommands['add-ink']).components) {
      if (tubId !== null) extra.push(`tub:${tubId}`)
      if (batchId !== null) extra.push(`batch:${batchId}`)
    }
  }
  return [...new Set([command.stream, ...extra])]
}

/** The lots a tear takes from and keeps its offcuts in. */
function lotsIn(
  states: ReadonlyMap<string, StreamState>,
  command: Command,
): { lot?: LotState; offcutLots?: LotState[] } {
  if (command.type !== 'tear') return {}
  const { lotId, offcuts } = command.data as EditionCommands['tear']
  const lotOf = (id: string) => (states.get(`lot:${id}`) ?? emptyLot(`lot:${id}`)) as LotState
  return { lot: lotOf(lotId), offcutLots: offcuts.map((offcut) => lotOf(offcut.lotId)) }
}

/** States of one kind by their ids. */
function statesOf<State extends StreamState>(
  states: ReadonlyMap<string, StreamState>,
  kind: string,
): Map<string, State> {
  return new Map(
    [...states]
      .filter(([stream]) => streamKind(stream) === kind)
      .map(([stream, state]) => [streamId(stream), state as State]),
  )
}

/**
 * The one gate every command goes through, in the browser for the instant stroke and on the server for the truth.
 * `states` must hold a state for every stream of `streamsFor(command)`.
 */
export function decide(states: ReadonlyMap<string, StreamState>, command: Command, context: Context): Decision {
  if (!may(context.role, command.type)) {
    return refuse('not-allowed', `A ${context.role} may not do this. Ask an instructor or the manager.`)
  }
  const own = states.get(command.stream) ?? emptyState(command.stream)
  switch (streamKind(command.stream)) {
    case 'edition':
      return decideEdition(
        {
          edition: own as EditionState,
          studio: (states.get('studio') ?? emptyStudio()) as StudioState,
          ...lotsIn(states, command),
          press: [...states.values()].find((state) => state.stream.startsWith('press:')) as PressState | undefined,
          batches: statesOf<BatchState>(states, 'batch'),
        },
        { type: command.type as EditionCommandType, data: command.data as never, expectedSeq: command.expectedSeq },
        context,
      )
    case 'lot':
      return decideLot(own as LotState, command, context)
    case 'batch':
      return decideBatch(
        own as BatchState,
        command,
        { tubs: statesOf<TubState>(states, 'tub'), batches: statesOf<BatchState>(states, 'batch') },
        context,
      )
    case 'tub':
      return decideTub(own as TubState, command, context)
    case 'press':
      return decidePress(own as PressState, command, context)
    default:
      return decideStudio(own as StudioState, command, context)
  }
}
