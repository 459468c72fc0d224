import { deleteCookie, getCookie, type H3Event, setCookie } from 'h3'
import type { Pressroom } from './pressroom'
import { seal, unseal } from './sealed'
import { isSecure } from './secure'

/** What cookies there are: a browser's own name, and the sign-in of whoever stands at it. */
type Kind = 'device' | 'sign-in'

/** Named for its room: two rooms of one machine, or the demo beside one, have the same host. */
const nameOf = (room: Pressroom, kind: Kind) => `ample-tally-${kind}-${room.name.slice(0, 8)}`

/** Same site, unreadable by scripts, over HTTPS only when we are. */
const options = (event: H3Event) =>
  ({ httpOnly: true, sameSite: 'strict', secure: isSecure(event), path: '/' }) as const

/** What we wrote into a cookie of this browser, or null when it is not there or not ours. */
export const readSealed = (event: H3Event, room: Pressroom, kind: Kind): string | null =>
  unseal(room.secret, kind, getCookie(event, nameOf(room, kind)))

export function writeSealed(event: H3Event, room: Pressroom, kind: Kind, text: string, maxAge: number): void {
  setCookie(event, nameOf(room, kind), seal(room.secret, kind, text), { ...options(event), maxAge })
}

export function takeAway(event: H3Event, room: Pressroom, kind: Kind): void {
  deleteCookie(event, nameOf(room, kind), options(event))
}
