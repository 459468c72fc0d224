import { randomUUID } from 'node:crypto'
import { type H3Event } from 'h3'
import { readSealed, writeSealed } from './cookies'
import type { Pressroom } from './pressroom'

const year = 365 * 24 * 60 * 60

/** The browser that asks, by the name we gave it, or null: one it made up is none. */
export function deviceOf(event: H3Event, room: Pressroom): string | null {
  return (event.context.device as string | undefined) ?? readSealed(event, room, 'device')
}

/** The browser that asks, given a name when it has none yet. */
export function giveDevice(event: H3Event, room: Pressroom): string {
  const known = deviceOf(event, room)
  if (known) return known
  const id = randomUUID()
  event.context.device = id
  writeSealed(event, room, 'device', id, year)
  return id
}

/** The device of a station: each tab of a browser is a station of its own, `device~tab`. */
export const deviceOfStation = (station: string): string => station.split('~')[0]!
