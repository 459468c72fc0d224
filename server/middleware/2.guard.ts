import { getRequestHeader, getRequestIP, type H3Event, setResponseHeader, setResponseHeaders } from 'h3'
import { failure } from '../services/failure'
import { isOurs } from '../services/hosts'
import { isSecure } from '../services/secure'
import { usePressroom } from '../services/use-pressroom'

const reading = new Set(['GET', 'HEAD', 'OPTIONS'])

/** The origin a page of ours has, by the address it was asked for at. */
function isOwnOrigin(event: H3Event, origin: string): boolean {
  try {
    return new URL(origin).host === getRequestHeader(event, 'host')
  } catch {
    return false
  }
}

/** Writes come from our own pages: a browser says so by an origin it does not let a page choose. */
function isFromOwnPage(event: H3Event): boolean {
  const origin = getRequestHeader(event, 'origin')
  if (origin !== undefined) return isOwnOrigin(event, origin)
  return getRequestHeader(event, 'sec-fetch-site') === 'same-origin'
}

/** Where the bytes of a file are handed in. */
const takesBytes = new Set(['/api/pictures', '/api/bringing-in'])

/** JSON, or the bytes of a file where one is taken: what a form of another site could send is neither. */
function isOwnKind(event: H3Event): boolean {
  const kind = (getRequestHeader(event, 'content-type') ?? '').split(';')[0]!.trim().toLowerCase()
  if (takesBytes.has(event.path.split('?')[0]!)) return kind === 'application/octet-stream'
  return kind === 'application/json'
}

async function turnAway(event: H3Event, why: string, message: string): Promise<never> {
  const { log } = await usePressroom()
  log.note({ kind: 'turned away', address: getRequestIP(event) ?? '', detail: why })
  throw failure({ code: 'not-allowed', message })
}

/** Every answer says what a browser may do with it; what did not come from our own pages changes nothing. */
export default defineEventHandler(async (event) => {
  setResponseHeaders(event, {
    'x-content-type-options': 'nosniff',
    'x-frame-options': 'DENY',
    'referrer-policy': 'no-referrer',
    'permissions-policy': 'camera=(), microphone=(), geolocation=()',
    'cross-origin-opener-policy': 'same-origin',
    'cross-origin-resource-policy': 'same-origin',
  })
  if (isSecure(event)) setResponseHeader(event, 'strict-transport-security', 'max-age=31536000')
  if (!isOurs(getRequestHeader(event, 'host')))
    await turnAway(
      event,
      `asked for as ${getRequestHeader(event, 'host')}`,
      'This server does not go by that name. Use its own, or add the name in AMPLE_TALLY_HOSTS.',
    )
  if (!event.path.startsWith('/api/')) return
  setResponseHeaders(event, { 'cache-control': 'no-store' })
  if (reading.has(event.method)) return
  if (!isFromOwnPage(event))
    await turnAway(
      event,
      `a request from ${getRequestHeader(event, 'origin') ?? 'nowhere'}`,
      'This request came from another site and was not carried out.',
    )
  if (!isOwnKind(event))
    throw failure({
      code: 'wrong-kind',
      message:
        'Send JSON, as application/json (a picture or a studio file as application/octet-stream). Nothing was changed.',
    })
})
