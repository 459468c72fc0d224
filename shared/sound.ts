import type { Refusal } from '#core/ground/refusal'

/** Bounds of a request's JSON, wide enough for the largest edition and narrow enough to be looked through at once. */
const most = { depth: 12, values: 60_000, text: 20_000, key: 64 }

/** Keys that mean something to the language itself. */
const reserved: ReadonlySet<string> = new Set(['__proto__', 'constructor', 'prototype'])

// NUL ends a text in places below us, and half a surrogate pair cannot be written as UTF-8: either would be stored as
// something else than was hashed.
const isSound = (text: string) => !text.includes('\0') && text.isWellFormed()

const refusal = (field: string, what: string): Refusal => ({
  code: 'invalid',
  ...(field === '' ? {} : { field }),
  message: `${field === '' ? 'the request' : field} ${what}. Nothing was changed.`,
})

/**
 * What is wrong with parsed JSON before anything is made of it: too deep, too much, or texts that storage would change.
 * Looks at each value once and stops at the first fault.
 */
export function unsound(given: unknown): Refusal | null {
  let values = 0
  const look = (value: unknown, field: string, depth: number): Refusal | null => {
    if (++values > most.values) return refusal('', `holds more than ${most.values} values`)
    if (typeof value === 'string') {
      if (value.length > most.text) return refusal(field, `has more than ${most.text} characters`)
      return isSound(value) ? null : refusal(field, 'holds a character that cannot be stored; type it again')
    }
    // No browser sends it, and it is stored as 0.
    if (Object.is(value, -0)) return refusal(field, 'is −0; send 0')
    if (typeof value !== 'object' || value === null) return null
    if (depth === most.depth) return refusal(field, 'is nested too deep')
    for (const [key, inner] of Object.entries(value)) {
      if (!Array.isArray(value) && (key.length > most.key || reserved.has(key) || !isSound(key)))
        return refusal(field, 'has a key that is not taken here')
      const fault = look(inner, field === '' ? key : `${field}.${key}`, depth + 1)
      if (fault) return fault
    }
    return null
  }
  return look(given, '', 0)
}
