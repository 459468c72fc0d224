import { createHmac, timingSafeEqual } from 'node:crypto'

const sealOf = (secret: string, purpose: string, text: string) =>
  createHmac('sha256', secret).update(`${purpose} ${text}`).digest('base64url')

/** A text that only this room can have written, for one purpose. */
export const seal = (secret: string, purpose: string, text: string): string =>
  `${text}.${sealOf(secret, purpose, text)}`

/** The text, or null when the seal is none of ours or was made for something else. */
export function unseal(secret: string, purpose: string, sealed: string | undefined): string | null {
  const dot = sealed?.lastIndexOf('.') ?? -1
  if (!sealed || dot < 0) return null
  const text = sealed.slice(0, dot)
  const [given, expected] = [Buffer.from(sealed.slice(dot + 1)), Buffer.from(sealOf(secret, purpose, text))]
  return given.length === expected.length && timingSafeEqual(given, expected) ? text : null
}
