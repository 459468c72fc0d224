import { getRequestHeader, getRequestIP, type H3Event } from 'h3'
import { isStaff } from '#core/ground/who'
import { studioDefaults, type StudioSettings, type StudioState } from '#core/stores/studio/state'
import type { SessionReply } from '#shared/replies/replies'
import { readSealed, writeSealed } from './cookies'
import { deviceOf, giveDevice } from './device'
import { failure } from './failure'
import type { Person } from './people'
import type { Pressroom } from './pressroom'
import { plainLine } from './security-log'
import type { SignIn } from '../database/tables'
import { longestSignIn } from './sign-ins'
import { openStationsOf } from './stations'
import { usePressroom } from './use-pressroom'

/** Who is signed in, and by what. */
export interface Signed {
  person: Person
  signIn: SignIn
}

const loopback = new Set(['127.0.0.1', '::1', '::ffff:127.0.0.1'])

/** Who is signed in: an active person by a sign-in that is open. */
export async function signedIn(event: H3Event, room: Pressroom): Promise<Signed | null> {
  const id = readSealed(event, room, 'sign-in')
  if (id === null) return null
  const { idleMinutes } = await room.ledger.read<StudioState>('studio')
  const signIn = room.signIns.open(id, idleMinutes)
  const person = signIn ? room.people.get(signIn.personId) : undefined
  return signIn && person?.active ? { person, signIn } : null
}

/**
 * The pressroom and the person asking, or a refusal to go on.
 * @param whileNew true for what a person may do before choosing a secret of their own
 */
export async function asking(event: H3Event, whileNew = false): Promise<Signed & { room: Pressroom }> {
  const room = await usePressroom()
  const signed = await signedIn(event, room)
  if (!signed)
    throw failure({ code: 'not-signed-in', message: 'Sign in first. Taps made meanwhile are kept in this browser.' })
  if (signed.person.mustChange && !whileNew)
    throw failure({ code: 'change-secret', message: 'Choose a PIN or passphrase of your own first.' })
  return { room, ...signed }
}

/** The same for staff alone. */
export async function staffAsking(event: H3Event): Promise<Signed & { room: Pressroom }> {
  const asked = await asking(event)
  if (isStaff(asked.person.role)) return asked
  throw failure({ code: 'not-allowed', message: 'This is for the manager and instructors. Ask one of them.' })
}

/** And for the manager: asked at the door, since a look at the list or a hash of a secret is nobody else's to cause. */
export async function managerAsking(event: H3Event): Promise<Signed & { room: Pressroom }> {
  const asked = await asking(event)
  if (asked.person.role === 'manager') return asked
  throw failure({ code: 'not-allowed', message: 'People are added and changed by the manager. Ask them.' })
}

export const addressOf = (event: H3Event): string => getRequestIP(event) ?? ''

/** Sign a person in at this browser; whoever was signed in here before has left. */
export async function startSession(event: H3Event, room: Pressroom, person: Person, own: boolean): Promise<Signed> {
  const before = await signedIn(event, room)
  const signIn = await room.signIns.begin(
    person.id,
    {
      device: giveDevice(event, room),
      own,
      address: addressOf(event),
      agent: plainLine(getRequestHeader(event, 'user-agent') ?? '', 160),
    },
    before?.signIn ?? null,
  )
  writeSealed(event, room, 'sign-in', signIn.id, longestSignIn / 1000)
  room.log.note({ kind: 'signed in', person: person.id, address: signIn.address, device: signIn.device })
  return { person, signIn }
}

/** The demo, on this machine alone, starts signed in as its manager. */
async function demoSession(event: H3Event, room: Pressroom): Promise<Signed | null> {
  if (!room.demo || !loopback.has(addressOf(event)) || deviceOf(event, room) !== null) return null
  const manager = room.people.all().find((p) => p.role === 'manager' && p.active)
  return manager ? await startSession(event, room, room.people.get(manager.id)!, true) : null
}

/** What of the room's settings somebody is told: at the door its name and unit; prices to people, how it is run to staff. */
function settingsFor(person: Person | null, studio: StudioState): StudioSettings {
  const { name, unit, line, currency, destroyedNumber, confidence, inkGram, pressHour, labourHour } = studio
  const { idleMinutes, backupsKept, bookedHours, tarers } = studio
  const atTheDoor = { ...studioDefaults, name, unit, line, currency, destroyedNumber }
  if (!person) return atTheDoor
  const people = { ...atTheDoor, confidence, inkGram, pressHour, labourHour, idleMinutes, bookedHours, tarers }
  return isStaff(person.role) ? { ...people, backupsKept } : people
}

/** Who is here. @param fresh a sign-in begun by this very request, whose cookie is only now on its way */
export async function describeSession(
  event: H3Event,
  room: Pressroom,
  fresh: Signed | null = null,
): Promise<SessionReply> {
  const signed = fresh ?? (await signedIn(event, room)) ?? (await demoSession(event, room))
  const studio = await room.ledger.read<StudioState>('studio')
  return {
    person: signed && {
      id: signed.person.id,
      name: signed.person.name,
      role: signed.person.role,
      active: signed.person.active,
    },
    device: giveDevice(event, room),
    tapKey: signed && room.signIns.tapKeyOf(signed.signIn),
    lineage: room.lineage,
    mustChange: signed?.person.mustChange ?? false,
    own: signed?.signIn.own ?? false,
    demo: room.demo,
    zone: room.zone.zone,
    now: Date.now(),
    openAt: signed ? await openStationsOf(room, signed.person.id) : [],
    needsSetup: room.people.isEmpty,
    studio: settingsFor(signed?.person ?? null, studio),
  }
}
