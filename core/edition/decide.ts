import { type Context, type Decision, type NewEvent, refuse } from '../ledger/envelope'
import type { BatchState } from '../stores/batch'
import type { LotState } from '../stores/lot'
import type { PressState } from '../stores/press'
import type { StudioState } from '../stores/studio'
import type { EditionCommands, EditionCommandType } from './commands'
import { guardedCommands } from './commands'
import { curatingRules } from './decide-curating'
import { numberingRules } from './decide-numbering'
import { planningRules } from './decide-planning'
import { pullingRules } from './decide-pulling'
import type { EditionEvents, EditionEventType } from './events'
import type { EditionState } from './state'

/** The streams a command may read or write, folded. */
export interface EditionStates {
  edition: EditionState
  lot?: LotState
  batches?: Map<string, BatchState>
  press?: PressState
  studio: StudioState
}

export interface EditionCommand<T extends EditionCommandType = EditionCommandType> {
  type: T
  data: EditionCommands[T]
  /** The edition's `seq` the person was looking at; needed by the guarded commands. */
  expectedSeq?: number
}

export type Rule<T extends EditionCommandType> = (states: EditionStates, data: EditionCommands[T], context: Context) => Decision
export type Rules<T extends EditionCommandType> = { [K in T]: Rule<K> }

/** One edition event, ready for the ledger. */
export function editionEvent<T extends EditionEventType>(state: EditionState, type: T, data: EditionEvents[T]): NewEvent<T, EditionEvents[T]> {
  return { stream: state.stream, type, version: 1, data }
}

export function only<T extends EditionEventType>(state: EditionState, type: T, data: EditionEvents[T]): Decision {
  return { events: [editionEvent(state, type, data)] }
}

const rules: Rules<EditionCommandType> = { ...planningRules, ...pullingRules, ...curatingRules, ...numberingRules }

/** A late tap is stored all the same; everything else is refused on a closed edition. */
const takenWhenClosed: ReadonlySet<string> = new Set<EditionCommandType>(['pull', 'reopen', 'settle-dispute'])

/**
 * What an edition makes of a command: the events to append, or a refusal that says what to do. Pure: reads no clock,
 * chance or store. The browser runs it for the instant stroke, the server for the truth.
 */
export function decideEdition(states: EditionStates, command: EditionCommand, context: Context): Decision {
  const { edition } = states
  if (command.type === 'start-edition') {
    if (edition.plan !== null) return refuse('already-started', 'This edition has been started already. Open it from Editions.')
  } else if (edition.plan === null) {
    return refuse('unknown-edition', 'There is no such edition here. Go back to Editions and open it from the list.')
  }
  if (edition.closedAt !== null && !takenWhenClosed.has(command.type)) {
    return refuse('closed', 'This edition is closed and can only be read. Reopen it, with a reason, to change anything.')
  }
  if (guardedCommands.has(command.type) && command.expectedSeq !== edition.seq) {
    return refuse('stale', 'Someone changed this edition while you were looking. See how it stands now, then do it again.')
  }
  const rule = rules[command.type] as Rule<EditionCommandType>
  return rule(states, command.data, context)
}
