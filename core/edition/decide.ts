import { type Context, type Decision, refuse } from '../ledger/envelope'
import type { EditionCommands, EditionCommandType } from './commands'
import { guardedCommands } from './commands'
import { curatingRules } from './decide-curating'
import { inkingRules } from './decide-inking'
import { numberingRules } from './decide-numbering'
import { planningRules } from './decide-planning'
import { preparingRules } from './decide-preparing'
import { pullingRules } from './decide-pulling'
import type { EditionStates, Rule, Rules } from './rule'

export interface EditionCommand<T extends EditionCommandType = EditionCommandType> {
  type: T
  data: EditionCommands[T]
  /** The edition's `seq` the person was looking at; needed by the guarded commands. */
  expectedSeq?: number
}

const rules: Rules<EditionCommandType> = {
  ...planningRules,
  ...preparingRules,
  ...inkingRules,
  ...pullingRules,
  ...curatingRules,
  ...numberingRules,
}

/** A late tap is stored all the same; everything else is refused on a closed edition. */
const takenWhenClosed: ReadonlySet<string> = new Set<EditionCommandType>(['pull', 'reopen', 'settle-dispute'])

/**
 * What an edition makes of a command: the events to append, or a refusal that says what to do. Pure: reads no clock,
 * chance or store. The browser runs it for the instant stroke, the server for the truth.
 */
export function decideEdition(states: EditionStates, command: EditionCommand, context: Context): Decision {
  const { edition } = states
  if (command.type === 'start-edition') {
    if (edition.plan !== null)
      return refuse('already-started', 'This edition has been started already. Open it from Editions.')
  } else if (edition.plan === null) {
    return refuse('unknown-edition', 'There is no such edition here. Go back to Editions and open it from the list.')
  }
  if (edition.closedAt !== null && !takenWhenClosed.has(command.type)) {
    return refuse(
      'closed',
      'This edition is closed and can only be read. Reopen it, with a reason, to change anything.',
    )
  }
  if (guardedCommands.has(command.type) && command.expectedSeq !== edition.seq) {
    return refuse(
      'stale',
      'Someone changed this edition while you were looking. See how it stands now, then do it again.',
    )
  }
  const rule = rules[command.type] as Rule<EditionCommandType>
  return rule(states, command.data, context)
}
