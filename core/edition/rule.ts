import type { Context, Decision, NewEvent } from '../ledger/envelope'
import { versionOf } from '../ledger/versions'
import type { BatchState } from '../stores/batch'
import type { LotState } from '../stores/lot'
import type { PressState } from '../stores/press'
import type { StudioState } from '../stores/studio'
import type { EditionCommands, EditionCommandType } from './commands'
import type { EditionEvents, EditionEventType } from './events'
import type { EditionState } from './state'

/** The streams a command may read or write, folded. */
export interface EditionStates {
  edition: EditionState
  lot?: LotState
  /** The lots that offcuts are kept in, empty as yet. */
  offcutLots?: LotState[]
  batches?: Map<string, BatchState>
  press?: PressState
  studio: StudioState
}

export type Rule<T extends EditionCommandType> = (
  states: EditionStates,
  data: EditionCommands[T],
  context: Context,
) => Decision
export type Rules<T extends EditionCommandType> = { [K in T]: Rule<K> }

/** One edition event, ready for the ledger. */
export function editionEvent<T extends EditionEventType>(
  state: EditionState,
  type: T,
  data: EditionEvents[T],
): NewEvent<T, EditionEvents[T]> {
  return { stream: state.stream, type, version: versionOf(type), data }
}

export function only<T extends EditionEventType>(state: EditionState, type: T, data: EditionEvents[T]): Decision {
  return { events: [editionEvent(state, type, data)] }
}
