import type { Folded } from '../ground/act'
import type { Context } from '../ground/envelope'
import type { Refused } from '../ground/refusal'
import { type Command, decide, evolve, type States } from './streams'

/**
 * What a stream will look like once a command is stored, for the stroke that appears before the server answers.
 * Events get the next sequence numbers.
 * @param others states of the other streams the command must see
 */
export function foresee<State extends Folded>(
  state: State,
  others: States,
  command: Command,
  context: Context,
): { state: State } | Refused {
  const decision = decide(new Map(others).set(command.stream, state), command, context)
  if ('refusal' in decision) return decision
  const own = decision.events.filter((event) => event.stream === command.stream)
  return {
    state: own.reduce<State>(
      (folded, event) =>
        evolve(folded, {
          ...event,
          seq: folded.seq + 1,
          actor: context.personId,
          occurredAt: context.occurredAt,
        }),
      state,
    ),
  }
}
