import { roomAccount } from '../account/state'
import type { CourseState } from '../course/state'
import type { EditionState } from '../edition/state'
import type { Folded } from '../ground/act'
import { type LedgerEvent, type Role, type SentEvent, streamKind } from '../ground/envelope'
import { isStaff } from '../ground/who'
import type { StreamKind } from './streams'

/** Whoever looks. */
export interface Viewer {
  personId: string
  role: Role
}

/**
 * How much of a stream somebody sees: all of it; all but some; that it changed, without what changed; or nothing, not
 * even that.
 */
export type Share = 'whole' | Without | 'bare' | 'nothing'

/** What is left out. A field has its empty value then, as the evolver gives it before anything was said. */
export interface Without {
  /** Events that say nothing of what they say. */
  events: readonly string[]
  /** What those events alone fill in the folded state, empty. */
  state: Readonly<Record<string, unknown>>
}

/** Those whose stream it is, and those whose it is not; staff apart, whose the room is. */
interface Shares {
  staff: Share
  own: Share
  others: Share
}

const shown: Shares = { staff: 'whole', own: 'whole', others: 'whole' }

/** What is between a student and those who teach: work handed in, what is said of it, what is asked and answered. */
const withoutTalk: Without = {
  events: ['handed-in', 'work-commented', 'asked', 'ask-answered'],
  state: { handedIn: null, comments: [], asks: [] },
}

/** Who sees what: everything that leaves the server goes by this table. Its type asks for every kind of stream. */
export const whoSees: Readonly<Record<StreamKind, Shares>> & Readonly<Record<`account:${string}`, Shares>> = {
  edition: { staff: 'whole', own: 'whole', others: withoutTalk },
  block: shown,
  lot: shown,
  batch: shown,
  tub: shown,
  press: shown,
  rack: shown,
  climate: shown,
  station: shown,
  studio: shown,
  calendar: shown,
  course: { staff: 'whole', own: 'whole', others: 'nothing' },
  account: { staff: 'whole', own: 'whole', others: 'nothing' },
  // Which editions are the room’s own bears on what their printers owe, so that they hear when it changes.
  [`account:${roomAccount}`]: { staff: 'whole', own: 'bare', others: 'bare' },
}

/** Whose a stream is, read off its folded state; null where it is nobody’s, or its name says it. */
export function ownersOf(state: Folded): readonly string[] | null {
  switch (streamKind(state.stream)) {
    case 'edition': {
      const { artistId, printerIds } = state as EditionState
      return artistId === null ? printerIds : [artistId, ...printerIds]
    }
    case 'course':
      return (state as CourseState).studentIds
    default:
      return null
  }
}

/** Says whose a stream is without folding it. */
export type IsOwn = (stream: string, personId: string) => boolean

const sharesOf = (stream: string): Shares =>
  whoSees[stream as `account:${string}`] ?? (whoSees as Record<string, Shares>)[streamKind(stream)] ?? nobody

/** True where somebody sees another share of a stream once it is theirs. */
export const hangsOnOwner = ({ role }: Viewer, stream: string): boolean =>
  !isStaff(role) && sharesOf(stream).own !== sharesOf(stream).others

export function shareOf({ personId, role }: Viewer, stream: string, isOwn: IsOwn): Share {
  const shares = sharesOf(stream)
  if (isStaff(role)) return shares.staff
  return shares.own !== shares.others && isOwn(stream, personId) ? shares.own : shares.others
}

const nobody: Shares = { staff: 'nothing', own: 'nothing', others: 'nothing' }

/** An event that only moves its stream’s sequence: `evolve` is total, and knows no such type. */
export const withheld = 'withheld'

/** An event as somebody sees it, or null where even that it happened is not theirs to know. */
export function seenEvent(event: LedgerEvent, share: Share): LedgerEvent | null {
  if (share === 'whole') return event
  if (share === 'nothing') return null
  if (share !== 'bare' && !share.events.includes(event.type)) return event
  // Who and when stay: a stream’s stamp reads them of every event, whatever its type.
  return { ...event, type: withheld, version: 1, data: {}, device: '', commandId: '', hash: '' }
}

/** The same on its way to a browser, which hears thirty of them a second: nothing goes along that no page reads. */
export function sentEvent(event: LedgerEvent, share: Share): SentEvent | null {
  const seen = seenEvent(event, share)
  if (!seen) return null
  const { device: _device, recordedAt: _recordedAt, hash: _hash, ...sent } = seen
  return sent
}

/** A folded state as somebody sees it: what `evolve` makes of the events as they see them; null where they see nothing. */
export function seenState<State extends Folded>(state: State, share: Share): State | null {
  if (share === 'whole') return state
  if (share === 'nothing' || share === 'bare') return null
  return { ...state, ...share.state }
}
