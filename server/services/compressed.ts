import { promisify } from 'node:util'
import { gzip } from 'node:zlib'
import { getRequestHeader, type H3Event, send, setResponseHeaders } from 'h3'

const squeeze = promisify(gzip)

/** Shorter replies are not worth the work. */
const leastBytes = 16 * 1024

/** What a compressed piece may take before another is begun: the default, 16 kB, goes back and forth ten times a reply. */
const chunkSize = 256 * 1024

/** Answer with what is JSON already, compressed when it is long and the browser takes that. */
export async function sendJsonBytes(event: H3Event, bytes: Buffer): Promise<void> {
  const takesGzip = /\bgzip\b/.test(getRequestHeader(event, 'accept-encoding') ?? '')
  setResponseHeaders(event, { 'content-type': 'application/json; charset=utf-8', vary: 'accept-encoding' })
  if (bytes.length < leastBytes || !takesGzip) return send(event, bytes)
  // The quickest level: a tenth of the bytes already, and the highest takes ten times as long for a third less.
  const squeezed = await squeeze(bytes, { level: 1, chunkSize })
  setResponseHeaders(event, { 'content-encoding': 'gzip' })
  return send(event, squeezed)
}
