import { getRequestHeader, getRequestHost, setResponseHeaders } from 'h3'
import { failure } from '../services/failure'

const reading = new Set(['GET', 'HEAD', 'OPTIONS'])

/** Writes must come from our own pages; every answer says what a browser may do with it. */
export default defineEventHandler((event) => {
  setResponseHeaders(event, {
    'x-content-type-options': 'nosniff',
    'x-frame-options': 'DENY',
    'referrer-policy': 'no-referrer',
    'permissions-policy': 'camera=(), microphone=(), geolocation=()',
    'cross-origin-opener-policy': 'same-origin',
  })
  if (!event.path.startsWith('/api/')) return
  setResponseHeaders(event, { 'cache-control': 'no-store' })
  if (reading.has(event.method)) return
  const origin = getRequestHeader(event, 'origin')
  if (origin !== undefined && new URL(origin).host !== getRequestHost(event)) {
    throw failure({ code: 'not-allowed', message: 'This request came from another site and was not carried out.' })
  }
})
