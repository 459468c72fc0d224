import { hmac } from '@noble/hashes/hmac.js'
import { sha256 } from '@noble/hashes/sha2.js'
import type { CommandRequest } from '#shared/commands/envelope'
import { sealedText } from '#shared/commands/sealed'
import type { TapKey } from '#shared/replies/replies'

/** In memory alone: what lies on a shared tablet's disk must not make whoever finds it somebody else. */
let held: { signInId: string; key: Uint8Array } | null = null

const bytesOf = (base64url: string): Uint8Array =>
  Uint8Array.from(atob(base64url.replaceAll('-', '+').replaceAll('_', '/')), (char) => char.charCodeAt(0))

const base64url = (bytes: Uint8Array): string =>
  btoa(String.fromCharCode(...bytes))
    .replaceAll('+', '-')
    .replaceAll('/', '_')
    .replaceAll('=', '')

/** Seal with this key from now on; null when nobody is signed in. */
export function holdTapKey(given: TapKey | null): void {
  held = given && { signInId: given.signInId, key: bytesOf(given.key) }
}

/**
 * A tap with its seal: it proves who gave it, and fits no other tap. Without a key, after a start without the server, it
 * goes unsealed: its person sends it while signed in.
 */
export function sealed(command: CommandRequest): CommandRequest {
  const plain = JSON.parse(JSON.stringify(command)) as CommandRequest
  if (!held) return plain
  const seal = hmac(sha256, held.key, new TextEncoder().encode(sealedText(plain)))
  return { ...plain, proof: `${held.signInId}.${base64url(seal)}` }
}
