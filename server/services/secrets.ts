import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto'
import { promisify } from 'node:util'
import { failure } from './failure'

const derive = promisify(scrypt) as (secret: string, salt: Buffer, length: number) => Promise<Buffer>

/** How many may wait for the one that is reckoned: each takes a twentieth of a second and a thread of four. */
const mostWaiting = 32

let waiting = 0
let turn: Promise<unknown> = Promise.resolve()

/**
 * One derivation at a time, so that disk and pictures keep the other threads.
 * @throws a failure when too many wait already
 */
async function inTurn<Result>(act: () => Promise<Result>): Promise<Result> {
  if (waiting >= mostWaiting)
    throw failure({ code: 'wait', message: 'Many people sign in at this moment. Wait a little, then try again.' })
  waiting += 1
  const result = turn.then(act)
  turn = result.catch(() => undefined)
  return await result.finally(() => {
    waiting -= 1
  })
}

/** A PIN or passphrase as it is kept: salt and scrypt hash. */
export async function hashSecret(secret: string): Promise<string> {
  const salt = randomBytes(16)
  const hash = await inTurn(() => derive(secret.normalize('NFKC'), salt, 32))
  return `${salt.toString('base64url')}.${hash.toString('base64url')}`
}

export async function secretMatches(secret: string, kept: string): Promise<boolean> {
  const [salt, hash] = kept.split('.').map((part) => Buffer.from(part, 'base64url'))
  if (!salt || !hash) return false
  return timingSafeEqual(await inTurn(() => derive(secret.normalize('NFKC'), salt, 32)), hash)
}
