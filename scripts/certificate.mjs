import { existsSync, readFileSync } from 'node:fs'
import { createSecureContext } from 'node:tls'
import { stop } from './ready.mjs'

/** A PEM as it is given: its text, or the path of a file that holds it. */
function text(name) {
  const given = process.env[name]
  if (!given || given.includes('-----BEGIN')) return given
  if (!existsSync(given))
    stop(`${name} names ${given}, and there is no such file. Give a PEM file's path, or its text.`)
  try {
    return readFileSync(given, 'utf8')
  } catch (error) {
    return stop(`${given}, named in ${name}, cannot be read (${error.code}). Check its permissions.`)
  }
}

/** The certificate and key that were given, proved, as the server takes them. */
export function certificateOf() {
  const [cert, key] = [text('NITRO_SSL_CERT'), text('NITRO_SSL_KEY')]
  if (!cert && !key) return {}
  if (!cert || !key) stop('A certificate needs its key: give both NITRO_SSL_CERT and NITRO_SSL_KEY, or neither.')
  try {
    createSecureContext({ cert, key })
  } catch (error) {
    stop(`The certificate in NITRO_SSL_CERT and the key in NITRO_SSL_KEY cannot be used: ${error.message}`)
  }
  return { NITRO_SSL_CERT: cert, NITRO_SSL_KEY: key }
}
