import type { AccountState } from '../account/state'
import { account } from '../account/stream'
import type { CalendarState } from '../calendar/state'
import { calendar } from '../calendar/stream'
import type { CourseState } from '../course/state'
import { course } from '../course/stream'
import { edition } from '../edition/stream'
import type { EditionState } from '../edition/state'
import type { AnyAct, AnyStream, Folded, Needs, Ref } from '../ground/act'
import { type Context, type Decision, type Happening, streamKind } from '../ground/envelope'
import { folding } from '../ground/fold'
import { refuse } from '../ground/refusal'
import { isStaff } from '../ground/who'
import type { StationState } from '../station/state'
import { station } from '../station/stream'
import type { BatchState } from '../stores/batch/state'
import { batch } from '../stores/batch/stream'
import type { BlockState } from '../stores/block/state'
import { block } from '../stores/block/stream'
import type { RoomAirState } from '../stores/climate/state'
import { climate } from '../stores/climate/stream'
import type { LotState } from '../stores/lot/state'
import { lot } from '../stores/lot/stream'
import type { PressState } from '../stores/press/state'
import { press } from '../stores/press/stream'
import type { RackState } from '../stores/rack/state'
import { rack } from '../stores/rack/stream'
import type { StudioState } from '../stores/studio/state'
import { studio } from '../stores/studio/stream'
import type { TubState } from '../stores/tub/state'
import { tub } from '../stores/tub/stream'
import { actOf, eventOf } from './acts'

export type StreamState =
  | EditionState
  | BlockState
  | LotState
  | BatchState
  | TubState
  | PressState
  | RackState
  | RoomAirState
  | StationState
  | StudioState
  | CourseState
  | CalendarState
  | AccountState

const all = [edition, block, lot, batch, tub, press, rack, climate, station, studio, course, calendar, account] as const

export type StreamKind = (typeof all)[number]['kind']

/** The kinds of stream there are. */
export const streamKinds: readonly string[] = all.map((stream) => stream.kind)

/** Kinds of which the room has one stream, named by the kind alone. */
export const singleStreams: readonly string[] = [studio.kind, calendar.kind]

const streams: ReadonlyMap<string, AnyStream> = new Map(all.map((stream: AnyStream) => [stream.kind, stream]))

/** A command as the ledger takes it: one main stream, and whatever else its act needs to see. */
export interface Command {
  type: string
  stream: string
  data: unknown
  expectedSeq?: number
}

export type States = ReadonlyMap<string, Folded>

/**
 * A stream of which nothing is known yet.
 * @throws RangeError when there are no streams of that kind
 */
export function emptyState(name: string): StreamState {
  const stream = streams.get(streamKind(name))
  if (!stream) throw new RangeError(`There are no streams like “${name}”.`)
  return stream.empty(name) as StreamState
}

const namesOf = (needs: Needs): string[] => (Object.values(needs).flat() as Ref[]).map(({ name }) => name)

/** Streams whose states a command must see, its own first; those may lead to others, see `ledTo`. */
export function streamsFor(command: Command): string[] {
  const act = actOf.get(command.type)
  return [...new Set([command.stream, ...(act ? namesOf(act.needs(command.data as never, command.stream)) : [])])]
}

/** Streams that a command must see as well, once the states of `streamsFor` are there. */
export function ledTo(command: Command, states: States): string[] {
  const act = actOf.get(command.type)
  if (!act) return []
  const seen = neededBy(act, command, states)
  return [...new Set(namesOf(act.leadsTo(seen as never, command.data as never)))]
}

/** Everything a command must see, from where each stream's state is known. */
export function statesFor(command: Command, stateOf: (stream: string) => Folded): Map<string, Folded> {
  const states = new Map(streamsFor(command).map((stream) => [stream, stateOf(stream)]))
  for (const stream of ledTo(command, states)) if (!states.has(stream)) states.set(stream, stateOf(stream))
  return states
}

type Seen = Record<string, Folded | Folded[]>

function named(needs: Needs, states: States): Seen {
  const stateOf = (ref: Ref) => states.get(ref.name) ?? ref.empty(ref.name)
  return Object.fromEntries(
    Object.entries(needs).map(([name, need]) => [name, Array.isArray(need) ? need.map(stateOf) : stateOf(need as Ref)]),
  )
}

function neededBy(act: AnyAct, { stream, data }: Command, states: States): Seen {
  const own = states.get(stream) ?? act.stream.empty(stream)
  return { ...named(act.needs(data as never, stream), states), [act.stream.kind]: own }
}

/**
 * The one gate every command goes through, in the browser for the instant stroke and on the server for the truth: the
 * events to append, or a refusal that says what to do. Pure: reads no clock, chance or store.
 * @param states a state for every stream of `streamsFor` and `ledTo` that has one
 */
export function decide(states: States, command: Command, context: Context): Decision {
  const act = actOf.get(command.type)
  if (!act || act.stream.kind !== streamKind(command.stream))
    return refuse('unknown-command', 'This program does not know that command. Reload the page.')
  const own = states.get(command.stream) ?? act.stream.empty(command.stream)
  const needed = neededBy(act, command, states)
  const data = command.data as never
  const seen = { ...named(act.leadsTo(needed as never, data), states), ...needed } as never
  // Whoever was never there lends nobody rights.
  const asker = act.bearsDoubt && context.claimed?.wasHere ? { ...context, ...context.claimed } : context
  if (!act.who(asker, seen, data)) return notAllowed(act, context)
  const shut = act.stream.gate(own as never, act)
  if (shut) return shut
  if (act.guarded && command.expectedSeq !== own.seq)
    return refuse('stale', 'Someone changed this while you were looking. See how it stands now, then do it again.')
  const outcome = act.rule(seen, data, context)
  if ('refusal' in outcome) return outcome
  if (act.asksAgain && context.isSure === false)
    return refuse('give-secret-again', 'Give your PIN or passphrase once more for this.')
  return { events: [...outcome] }
}

function notAllowed({ stream }: AnyAct, { role }: Context) {
  return stream.kind === edition.kind && !isStaff(role)
    ? refuse('not-allowed', 'This is for staff, or for those named on the edition. Ask an instructor or the manager.')
    : refuse('not-allowed', `A ${role} may not do this. Ask an instructor or the manager.`)
}

function step(stream: AnyStream, state: Folded, event: Happening): Folded {
  const known = eventOf.get(event.type)
  const next = known && known.kind === stream.kind ? known.evolve(state as never, event.data as never, event) : state
  return stream.stamp(next as never, event, state as never)
}

function streamOf(state: Folded): AnyStream {
  return streams.get(streamKind(state.stream))!
}

/**
 * One event more. Total: an event it does not know, or one of another kind of stream, only moves the sequence, so that
 * an old ledger always loads however the rules have grown.
 */
export function evolve<State extends Folded>(state: State, event: Happening): State {
  return step(streamOf(state), state, event) as State
}

/** Many events of one stream at once, onto a state that is left as it was. */
export function fold<State extends Folded>(from: State, events: readonly Happening[]): State {
  const stream = streamOf(from)
  return folding(() => events.reduce((state, event) => step(stream, state, event), from as Folded)) as State
}
