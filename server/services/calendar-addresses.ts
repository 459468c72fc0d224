import { instantAt } from '#core/time/instant'
import type { PersonReply } from '#shared/replies/replies'
import type { Beside } from '../database/writing'
import type { Pressroom } from './pressroom'
import { seal, unseal } from './sealed'

const purpose = 'calendar address'
const between = '~'

async function madeAt({ db }: Pressroom, personId: string): Promise<string | null> {
  const found = await db.reader.calendarAddresses.findByPk(personId)
  return found?.get().madeAt ?? null
}

const pathOf = ({ secret }: Pressroom, personId: string, made: string) =>
  `/api/calendar/feed/${encodeURIComponent(seal(secret, purpose, `${personId}${between}${made}`))}.ics`

/** The path under which a calendar program reads a person's bookings, or null while none was made. */
export async function addressOf(room: Pressroom, personId: string): Promise<string | null> {
  const made = await madeAt(room, personId)
  return made === null ? null : pathOf(room, personId, made)
}

/** A new one; the one before leads nowhere from now on. */
export async function makeAddress(room: Pressroom, personId: string): Promise<string> {
  const made = instantAt(Date.now())
  await room.db.writing(({ calendarAddresses }) => calendarAddresses.upsert({ personId, madeAt: made }))
  return pathOf(room, personId, made)
}

/** What to write to end a person's address for good: with another secret, another role, or when they leave. */
export const endingAddress =
  (personId: string): Beside =>
  ({ calendarAddresses }) =>
    calendarAddresses.destroy({ where: { personId } })

/** Whose address it is; null for one that never was, was replaced, or is of somebody who is gone. */
export async function personAt(room: Pressroom, token: string): Promise<PersonReply | null> {
  const text = unseal(room.secret, purpose, token)
  const [personId, made] = text?.split(between) ?? []
  if (!personId || !made || (await madeAt(room, personId)) !== made) return null
  const person = room.people.get(personId)
  return person?.active ? person : null
}
