import { instantAt } from '#core/time/instant'
import type { Context } from '#core/ground/envelope'
import { tapped } from '#core/house/acts'
import { clampInstant } from '#core/time/instant'
import type { CommandRequest } from '#shared/commands/envelope'
import { deviceOfStation } from './device'
import type { Person } from './people'
import type { Pressroom } from './pressroom'
import type { SignIn } from '../database/tables'

/** Who hands a command in, from where. */
export interface Sender {
  person: Person
  /** Null for what the room itself hands in: a history, stored as of when it happened. */
  signIn: SignIn | null
}

/** Whose act a command is, as far as it is proved. */
export interface Giver {
  person: Person
  station: string
  /** When it counts as given. */
  occurredAt: string
  /** What the browser's clock said, where that could not be. */
  claimedAt: string | null
  /** Whom the tap names when nothing proves it: it is its sender's then. */
  claimed: Context['claimed']
}

/** A clock that is off by less goes without remark. ms. */
const clocksDiffer = 60_000

/**
 * Whose act it is, at which station, and when. A tap may be handed in by another, who signed in since: it is its giver's
 * when its seal proves it, from the very browser it was given at. Without a seal it is its sender's, and says whose it
 * claims to be.
 */
export function giverOf(room: Pressroom, { person, signIn }: Sender, request: CommandRequest, now: number): Giver {
  const { occurredAt } = request
  if (!signIn) return { person, station: request.device, occurredAt, claimedAt: null, claimed: undefined }
  const isTap = tapped.has(request.type)
  const vouching = isTap && request.proof ? room.signIns.vouching(request, signIn.device) : null
  const named = request.by === person.id ? person : room.people.get(request.by)
  const times = timesOf(request, isTap ? (vouching ?? signIn).startedAt : null, now)
  const station = deviceOfStation(request.device) === signIn.device ? request.device : signIn.device
  if (vouching && named?.active && named.id !== person.id) {
    room.log.note({
      kind: 'in another’s name',
      person: named.id,
      by: person.id,
      device: signIn.device,
      detail: request.type,
    })
    return { person: named, station, ...times, claimed: undefined }
  }
  const isClaimed = isTap && named?.active && named.id !== person.id
  const claimed = isClaimed
    ? { personId: named.id, role: named.role, wasHere: room.signIns.knows(named.id, signIn.device) }
    : undefined
  return { person, station, ...times, claimed }
}

/**
 * When it happened. A tap may be an afternoon old: it counts as given between the sign-in it was given under and now.
 * Everything else waits for its answer, and so happens now.
 * @param since the start of that sign-in, or null where it happens now
 */
function timesOf({ occurredAt }: CommandRequest, since: string | null, now: number) {
  const latest = instantAt(now)
  const at = clampInstant(occurredAt, since ?? latest, latest)
  const isOff = Math.abs(Date.parse(at) - Date.parse(occurredAt)) > clocksDiffer
  return { occurredAt: at, claimedAt: isOff ? occurredAt : null }
}
