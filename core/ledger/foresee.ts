import { type Context, type Refusal, streamKind } from './envelope'
import { type Command, decide, evolve, type StreamState } from './streams'

/**
 * What a stream will look like once a command is stored, for the stroke that appears before the server answers.
 * Events get the next sequence numbers.
 */
export function foresee<State extends StreamState>(
  state: State,
  others: ReadonlyMap<string, StreamState>,
  command: Command,
  context: Context,
): { state: State } | { refusal: Refusal } {
  const states = new Map(others).set(command.stream, state)
  const decision = decide(states, command, context)
  if ('refusal' in decision) return decision
  const own = decision.events.filter((event) => event.stream === command.stream)
  return {
    state: own.reduce<StreamState>(
      (folded, event) =>
        evolve(folded, {
          ...event,
          seq: folded.seq + 1,
          actor: context.personId,
          occurredAt: context.occurredAt,
        }),
      state,
    ) as State,
  }
}

/** True for commands that only touch their own stream, and so can be foreseen without asking the server. */
export function isForeseeable(command: Command): boolean {
  return streamKind(command.stream) === 'edition' && !['tear', 'set-press', 'set-zones'].includes(command.type)
}
