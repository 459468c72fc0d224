import { instantAt } from '#core/time/instant'
import sharp from 'sharp'
import { v7 as uuid } from 'uuid'
import { studioDefaults } from '#core/stores/studio/state'
import { fillPressroom } from '../../demo/pressroom'
import type { CommandRequest } from '#shared/commands/envelope'
import type { Pressroom } from './pressroom'
import { takeCommand } from './take-command'

/** What a room starts with before its own customs are set. */
const emptyRoom = {
  ...studioDefaults,
  line: 'number-title-signature',
  destroyedNumber: 'retired',
  currency: '€',
} as const

/** Random bytes that are the same on every start, so that the demo is too. */
function steadyRandom(seed: number): () => Uint8Array {
  let state = seed
  const byte = () => {
    // Mulberry32.
    state = (state + 0x6d2b79f5) | 0
    let t = Math.imul(state ^ (state >>> 15), 1 | state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) & 0xff
  }
  return () => Uint8Array.from({ length: 16 }, byte)
}

/** Fill an empty pressroom with the demo as of a moment, through the services that real use goes through. */
export async function loadDemo(room: Pressroom, now = Date.now()): Promise<void> {
  if (!room.people.isEmpty) return
  const random = steadyRandom(2026)
  let manager: { id: string; role: 'manager' } | null = null
  await fillPressroom({
    now,
    picture: async (svg) => (await room.pictures.keep(await sharp(Buffer.from(svg)).png().toBuffer())).id,
    newId: (at) => uuid({ msecs: at, random: random() }),
    person: async (name, role, secret) => {
      const result = manager
        ? await room.people.add(name, role, secret, manager, false)
        : await room.people.setUp(name, secret, { ...emptyRoom, name: 'The demo' })
      if ('refusal' in result) throw new Error(result.refusal.message)
      manager ??= { id: result.person.id, role: 'manager' }
      return result.person.id
    },
    give: async (by, stream, type, data, at, expectedSeq) => {
      const id = uuid({ msecs: at, random: random() })
      const request: CommandRequest = {
        commandId: id,
        device: 'demo',
        by,
        occurredAt: instantAt(at),
        type,
        stream,
        data,
        expectedSeq,
      }
      const reply = await takeCommand(room, { person: room.people.get(by)!, signIn: null }, request)
      return { seq: reply.seq, id }
    },
  })
  // Nobody of the demo stands at a press any more.
  room.handOuts.clear()
}
