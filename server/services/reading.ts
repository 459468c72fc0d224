import type { H3Event } from 'h3'
import type { Reading } from '#shared/replies/reading'
import type { Pressroom } from './pressroom'
import { asking, type Signed } from './session'

interface How<Data> {
  /** Who may ask; everybody who is signed in, when not given. */
  admit?: (event: H3Event) => Promise<Signed & { room: Pressroom }>
  /** Kinds of stream, or streams, that the answer follows from, where they are fewer than the page knows. */
  on?: (data: Data) => readonly string[] | undefined
}

/**
 * Answer with a reading. The position is taken before anything is read: what is stored meanwhile is told once more, which
 * a browser that folds leaves out and one that asks again finds in its answer.
 */
export async function reading<Data>(
  event: H3Event,
  read: (room: Pressroom, signed: Signed) => Promise<Data>,
  { admit = asking, on }: How<Data> = {},
): Promise<Reading<Data>> {
  const { room, ...signed } = await admit(event)
  const { position } = room.ledger
  const data = await read(room, signed)
  const narrower = on?.(data)
  return { position, data, ...(narrower && { on: narrower }) }
}
