import { getCookie, getQuery, getRequestHeader, type H3Event, readRawBody, useSession } from 'h3'
import { LRUCache } from 'lru-cache'
import { check } from '#shared/check'
import type { Person } from './people'
import { failure } from './failure'
import type { Pressroom } from './pressroom'
import { usePressroom } from './use-pressroom'

const mostBytes = 256 * 1024

/** A JSON body of bounded size, checked against a request class. */
export async function readChecked<T extends object>(event: H3Event, shape: new () => T): Promise<T> {
  const length = Number(getRequestHeader(event, 'content-length') ?? Number.NaN)
  if (!(length <= mostBytes)) {
    throw failure({
      code: 'too-large',
      message: `A request may hold ${mostBytes / 1024} kB; ${Number.isNaN(length) ? 'one of unknown size' : `${Math.round(length / 1024)} kB`} came. Nothing was changed.`,
    })
  }
  const raw = await readRawBody(event, 'utf8')
  let given: unknown
  try {
    given = JSON.parse(raw ?? '')
  } catch {
    throw failure({ code: 'invalid', message: 'The request is no JSON. Nothing was changed.' })
  }
  const result = check(shape, given)
  if ('refusal' in result) throw failure(result.refusal)
  return result.value
}

const sessionName = 'ample-tally'

export interface SessionData {
  personId?: string
  version?: number
}

/** The sealed cookie: same site, unreadable by scripts, over HTTPS only when we are. */
export async function openSession(event: H3Event, room: Pressroom) {
  return await useSession<SessionData>(event, {
    name: sessionName,
    password: room.secret,
    maxAge: 60 * 60 * 24 * 14,
    cookie: { httpOnly: true, sameSite: 'strict', secure: Boolean(process.env.NITRO_SSL_CERT), path: '/' },
  })
}

/** Cookies opened lately: unsealing costs more than the rest of a request. What they say is still checked each time. */
const opened = new LRUCache<string, SessionData>({ max: 500, ttl: 5 * 60_000 })

async function sessionData(event: H3Event, room: Pressroom): Promise<SessionData> {
  const sealed = getCookie(event, sessionName)
  const known = sealed === undefined ? {} : opened.get(sealed)
  if (known) return known
  const { data } = await openSession(event, room)
  if (data.personId) opened.set(sealed!, { ...data })
  return data
}

/** Who is signed in: an active person whose session has not been revoked. */
export async function signedIn(event: H3Event, room: Pressroom): Promise<Person | null> {
  const data = await sessionData(event, room)
  const person = data.personId ? room.people.get(data.personId) : undefined
  return person && person.active && person.sessionVersion === data.version ? person : null
}

/** The pressroom and the person asking, or a refusal to go on. */
export async function asking(event: H3Event): Promise<{ room: Pressroom; person: Person }> {
  const room = await usePressroom()
  const person = await signedIn(event, room)
  if (!person)
    throw failure({ code: 'not-signed-in', message: 'Sign in first. Taps made meanwhile are kept in this browser.' })
  return { room, person }
}

/** A query string, checked against a request class. */
export function queryChecked<T extends object>(event: H3Event, shape: new () => T): T {
  const result = check(shape, getQuery(event))
  if ('refusal' in result) throw failure(result.refusal)
  return result.value
}
