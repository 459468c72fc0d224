import { getRequestIP, type H3Event } from 'h3'
import type { StudioState } from '#core/stores/studio/state'
import type { SessionReply } from '#shared/replies/replies'
import type { Person } from './people'
import type { Pressroom } from './pressroom'
import { openSession, signedIn } from './request'

const loopback = new Set(['127.0.0.1', '::1', '::ffff:127.0.0.1'])

export async function startSession(event: H3Event, room: Pressroom, person: Person): Promise<void> {
  const session = await openSession(event, room)
  await session.update({ personId: person.id, version: person.sessionVersion })
}

/** Who is here. The demo, on this machine alone, starts signed in as its manager. */
export async function describeSession(event: H3Event, room: Pressroom): Promise<SessionReply> {
  let person = await signedIn(event, room)
  if (!person && room.demo && loopback.has(getRequestIP(event) ?? '')) {
    const manager = room.people.all().find((p) => p.role === 'manager' && p.active)
    person = manager ? room.people.get(manager.id)! : null
    if (person) await startSession(event, room, person)
  }
  const studio = await room.ledger.read<StudioState>('studio')
  return {
    person: person && { id: person.id, name: person.name, role: person.role, active: person.active },
    demo: room.demo,
    needsSetup: room.people.isEmpty,
    studio: {
      name: studio.name,
      line: studio.line,
      destroyedNumber: studio.destroyedNumber,
      currency: studio.currency,
      unit: studio.unit,
      inkGram: studio.inkGram,
      pressHour: studio.pressHour,
      labourHour: studio.labourHour,
      confidence: studio.confidence,
    },
  }
}
