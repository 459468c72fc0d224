import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto'
import { promisify } from 'node:util'

const derive = promisify(scrypt) as (secret: string, salt: Buffer, length: number) => Promise<Buffer>

/** A PIN or passphrase as it is kept: salt and scrypt hash. */
export async function hashSecret(secret: string): Promise<string> {
  const salt = randomBytes(16)
  const hash = await derive(secret.normalize('NFKC'), salt, 32)
  return `${salt.toString('base64url')}.${hash.toString('base64url')}`
}

export async function secretMatches(secret: string, kept: string): Promise<boolean> {
  const [salt, hash] = kept.split('.').map((part) => Buffer.from(part, 'base64url'))
  if (!salt || !hash) return false
  return timingSafeEqual(await derive(secret.normalize('NFKC'), salt, 32), hash)
}

/** Slows guessing: after five misses a person waits, twice as long for each miss more, up to fifteen minutes. */
export class Attempts {
  private readonly misses = new Map<string, { count: number; until: number }>()

  /** Seconds still to wait, 0 when an attempt may be made. */
  wait(key: string, now: number): number {
    return Math.max(0, Math.ceil(((this.misses.get(key)?.until ?? 0) - now) / 1000))
  }

  miss(key: string, now: number): void {
    const count = (this.misses.get(key)?.count ?? 0) + 1
    const pause = count < 5 ? 0 : Math.min(15 * 60_000, 5_000 * 2 ** (count - 5))
    this.misses.set(key, { count, until: now + pause })
  }

  hit(key: string): void {
    this.misses.delete(key)
  }
}
