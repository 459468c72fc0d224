import type { Context, Happening, NewEvent } from './envelope'
import { changed } from './fold'
import { type Refused, refuse } from './refusal'
import type { ActShape } from './shape'
import type { Who } from './who'

/** What every stream's folded state has. */
export interface Folded {
  stream: string
  seq: number
}

/** A stream's name that remembers its kind and what it folds to, so that whoever asks for it is given the right state. */
export interface Ref<State extends Folded = Folded, Kind extends string = string> {
  kind: Kind
  name: string
  empty: (name: string) => State
}

/** What a stream asks of every command before the act's own rule is heard. */
type Gate<State> = (state: State, act: Pick<AnyAct, 'begins' | 'late'>) => Refused | null

export interface Stream<Kind extends string, State extends Folded> {
  kind: Kind
  empty: (name: string) => State
  /** `lot.of('l1')` is the stream `lot:l1`; `studio.of()` is the studio, of which there is one. */
  of: (id?: string) => Ref<State, Kind>
  gate: Gate<State>
  /** What every event of the stream changes, known or not: `seq` at least. */
  stamp: (state: State, event: Happening, before: State) => State
}

export interface AnyStream {
  kind: string
  empty: (name: string) => Folded
  gate: (state: never, act: AnyAct) => Refused | null
  stamp: (state: never, event: Happening, before: never) => Folded
}

interface StreamOptions<State extends Folded> {
  gate?: Gate<State>
  stamp?: Stream<string, State>['stamp']
}

export function defineStream<const Kind extends string, State extends Folded>(
  kind: Kind,
  empty: (name: string) => State,
  options: StreamOptions<State> = {},
): Stream<Kind, State> {
  return {
    kind,
    empty,
    of: (id) => ({ kind, name: id === undefined ? kind : `${kind}:${id}`, empty }),
    gate: options.gate ?? (() => null),
    stamp: options.stamp ?? ((state, event) => changed(state, { seq: event.seq } as Partial<State>)),
  }
}

/** A gate for a stream that is begun once: what it says of a second beginning, and of an act on what is not there. */
export function begunOnce<State>(
  isBegun: (state: State) => boolean,
  already: string,
  missing: { code: string; message: string },
): Gate<State> {
  return (state, act) => {
    if (act.begins) return isBegun(state) ? refuse('already-there', already) : null
    return isBegun(state) ? null : refuse(missing.code, missing.message)
  }
}

/** Turns the data of one version of an event into that of the next. Pure. */
export type Upcast = (data: Record<string, unknown>) => Record<string, unknown>

interface EventDefinition<Kind extends string, Type extends string, Data, State> {
  kind: Kind
  type: Type
  /** The version it is written with today: one more than there are upcasts. */
  version: number
  /** Total: refuses nothing, reads no clock, chance or IO. */
  evolve: (state: State, data: Data, event: Happening) => State
  /** The first turns version 1 into 2, and so on. */
  upcasts: readonly Upcast[]
  /** This event, about to happen on that stream. */
  on: (target: State, data: Data) => NewEvent<Type, Data>
}

/** Any event at all. What goes in is `never` and what comes out is wide, so that every definition is one, without `any`. */
export interface AnyEvent {
  kind: string
  type: string
  version: number
  evolve: (state: never, data: never, event: Happening) => Folded
  upcasts: readonly Upcast[]
  on: (target: never, data: never) => NewEvent
}

/** What happened. The data's type is read off the evolver's second parameter. */
export function defineEvent<Kind extends string, State extends Folded, const Type extends string, Data>(
  stream: Stream<Kind, State>,
  type: Type,
  evolve: (state: State, data: Data, event: Happening) => State,
  upcasts: readonly Upcast[] = [],
): EventDefinition<Kind, Type, Data, State> {
  const version = upcasts.length + 1
  const on = (target: State, data: Data) => ({ stream: target.stream, type, version, data })
  return { kind: stream.kind, type, version, evolve, upcasts, on }
}

/** Other streams an act must see, by the names its rule knows them by. */
export type Needs = Record<string, Ref | readonly Ref[]>

type Folds<Need> = Need extends Ref<infer State> ? State : Need extends readonly Ref<infer State>[] ? State[] : never

/** Its own stream under its kind, and what it needs under the names it gave. */
export type StatesOf<Kind extends string, State, Need extends Needs> = { [K in Kind]: State } & {
  [K in keyof Need]: Folds<Need[K]>
}

type Emitted<Event> = Event extends { on: (target: never, data: never) => infer New } ? New : never

export interface ActOptions<
  Kind extends string,
  State extends Folded,
  Data,
  Events extends readonly AnyEvent[],
  Need extends Needs,
  Led extends Needs,
  Guarded extends boolean,
> {
  /** Refused when the stream has moved on since the person looked. */
  guarded?: Guarded
  /** The first act of a stream. */
  begins?: true
  /** Taken on a closed stream too: what happened at the press cannot be refused away. */
  late?: true
  /** Taken, as disputed, when it is said to be another's and nothing proves it; by whether that other might have done it. */
  bearsDoubt?: true
  /** The person gives the secret again first: it is said to others, or cannot be undone in silence. */
  asksAgain?: true
  /** The other streams whose states the rule is given, under the names it knows them by. */
  needs?: (data: Data, stream: string) => Need
  /** Which others those lead to: a block to the edition it was made for. The rule is given these as well. */
  leadsTo?: (states: StatesOf<Kind, State, Need>, data: Data) => Led
  /** Every event it may cause, of whatever stream; the rule can return no other. */
  events: Events
  rule: (
    states: StatesOf<Kind, State, Need & Led>,
    data: Data,
    context: Context,
  ) => readonly Emitted<Events[number]>[] | Refused
}

export interface Act<
  Kind extends string = string,
  Type extends string = string,
  Data = never,
  Events extends readonly AnyEvent[] = readonly AnyEvent[],
  Guarded extends boolean = boolean,
> {
  type: Type
  stream: AnyStream & { kind: Kind }
  /** The class of its data. */
  shape: ActShape
  guarded: Guarded
  begins: boolean
  late: boolean
  bearsDoubt: boolean
  asksAgain: boolean
  needs: (data: Data, stream: string) => Needs
  leadsTo: (states: never, data: Data) => Needs
  who: Who<never, Data>
  events: Events
  rule: (states: never, data: Data, context: Context) => readonly NewEvent[] | Refused
}
export type AnyAct = Act

/**
 * What a person can do. `shape` and `who` have places of their own, because a missing property would be reported as
 * something else, on the rule.
 * @param shape the class of its data; `needs`, `who` and `rule` are given instances of it
 */
export function defineAct<
  Kind extends string,
  State extends Folded,
  const Type extends string,
  Data extends object,
  const Events extends readonly AnyEvent[],
  Need extends Needs = Record<never, never>,
  Led extends Needs = Record<never, never>,
  const Guarded extends boolean = false,
>(
  stream: Stream<Kind, State>,
  type: Type,
  shape: ActShape<Data>,
  who: Who<StatesOf<NoInfer<Kind>, NoInfer<State>, NoInfer<Need>>, NoInfer<Data>>,
  options: ActOptions<NoInfer<Kind>, NoInfer<State>, NoInfer<Data>, Events, Need, Led, Guarded>,
): Act<Kind, Type, Data, Events, Guarded> & { shape: ActShape<Data> } {
  const { begins = false, late = false, bearsDoubt = false, asksAgain = false } = options
  const { needs = () => ({}), leadsTo = () => ({}), events, rule } = options
  const guarded = (options.guarded ?? false) as Guarded
  return { type, stream, shape, guarded, begins, late, bearsDoubt, asksAgain, needs, leadsTo, who, events, rule }
}

/** Data of one act or event out of a union of them. */
export type DataOf<Union, Type extends string> =
  Extract<Union, { type: Type }> extends infer Found
    ? Found extends { rule: (states: never, data: infer Data, context: Context) => unknown }
      ? Data
      : Found extends { evolve: (state: never, data: infer Data, event: Happening) => unknown }
        ? Data
        : never
    : never
