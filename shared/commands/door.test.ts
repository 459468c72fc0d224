import { expect, it } from 'vitest'
import { isDay } from '#core/time/day'
import { isInstant } from '#core/time/instant'
import { samples } from '../../tests/fixtures/requests'
import { Dice } from '../../tests/fixtures/dice'
import { check } from '../check'
import { requestOf } from './requests'

/** What a hostile or broken program puts where a number, a text or a time is expected. */
const odd: readonly unknown[] = [
  1e308,
  -1e308,
  1e15,
  -1,
  0.1 + 0.2,
  2 ** 53,
  '1e9',
  'x'.repeat(20_001),
  'x'.repeat(5_000),
  '\u0000',
  '\ud800',
  '',
  null,
  true,
  [],
  {},
  '2026-335',
  '2026-W49-2',
  '2026-02-31',
  '12026-01-01',
  '2026-335T10:00:00.000Z',
  '2026-12-01T10:00:00,000Z',
  '2026-12-01T10:00:00.000',
  '2026-12-01T10:00:00.000+01:00',
  Array.from({ length: 6_000 }, (_, i) => i + 1),
]

type Path = (string | number)[]

/** Every place in a value where something stands. */
function pathsOf(value: unknown, at: Path = []): Path[] {
  if (typeof value !== 'object' || value === null) return [at]
  return [at, ...Object.entries(value).flatMap(([key, inner]) => pathsOf(inner, [...at, key]))].filter(
    (path) => path.length > 0,
  )
}

function withAt(value: unknown, [key, ...rest]: Path, put: unknown): unknown {
  if (key === undefined) return put
  if (Array.isArray(value)) return value.map((one, i) => (String(i) === String(key) ? withAt(one, rest, put) : one))
  const object = value as Record<string, unknown>
  return { ...object, [key]: withAt(object[key], rest, put) }
}

/** What got through that nothing behind the door is made for. */
function beyond(value: unknown, key = ''): string | null {
  if (typeof value === 'number') return Number.isFinite(value) && Math.abs(value) <= 1e9 ? null : `${key} ${value}`
  if (typeof value === 'string') {
    if (value.length > 20_000 || value.includes('\0') || !value.isWellFormed()) return `${key}: ${value.length} signs`
    const isTime =
      /^\d{4}-(\d{3}|W\d\d|\d\d-\d\d)/.test(value) && /^(on|due|opens|cutOn|openedOn|occurredAt)$/.test(key)
    return isTime && !isDay(value) && !isInstant(value) ? `${key} ${value}` : null
  }
  if (typeof value !== 'object' || value === null) return null
  for (const [inner, one] of Object.entries(value)) {
    const found = beyond(one, Array.isArray(value) ? key : inner)
    if (found) return found
  }
  return null
}

it('lets nothing odd through, wherever it stands, of ten thousand tried; and says what is expected', () => {
  const dice = new Dice(2026)
  const types = [...requestOf.keys()] as (keyof typeof samples)[]
  let refused = 0
  for (let i = 0; i < 10_000; i++) {
    const type = dice.pick(types)
    const paths = pathsOf(samples[type])
    if (paths.length === 0) continue
    const path = dice.pick(paths)
    const given = withAt(samples[type], path, dice.pick(odd))
    const result = check(requestOf.get(type)!, given)
    if ('refusal' in result) {
      refused += 1
      expect(result.refusal.message).toMatch(/Nothing was changed\.$/)
    } else expect([type, path.join('.'), beyond(result.value)]).toEqual([type, path.join('.'), null])
  }
  expect(refused).toBeGreaterThan(6_000)
})
