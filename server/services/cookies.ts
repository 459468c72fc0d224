import { deleteCookie, getCookie, type H3Event, setCookie } from 'h3'
import { LRUCache } from 'lru-cache'
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

/** Cookies whose seal was found right, with their text: a browser sends them with every request, and checking a seal is slow. */
const fitted = new WeakMap<Pressroom, LRUCache<string, string>>()

/** What we wrote into a cookie of this browser, or null when it is not there or not ours. */
export function readSealed(event: H3Event, room: Pressroom, kind: Kind): string | null {
  const cookie = getCookie(event, nameOf(room, kind))
  if (cookie === undefined) return null
  const known = fitted.get(room) ?? new LRUCache<string, string>({ max: 500 })
  fitted.set(room, known)
  const key = `${kind} ${cookie}`
  const text = known.get(key) ?? unseal(room.secret, kind, cookie)
  if (text !== null) known.set(key, text)
  return text
}

export function writeSealed(event: H3Event, room: Pressroom, kind: Kind, text: string, maxAge: number): void {
  setCookie(event, nameOf(room, kind), seal(room.secret, kind, text), { ...options(event), maxAge })
}

export function takeAway(event: H3Event, room: Pressroom, kind: Kind): void {
  deleteCookie(event, nameOf(room, kind), options(event))
}
