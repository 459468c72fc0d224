import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { isDay, readOldDay } from './day'
import { clampInstant, isInstant } from './instant'
import { hereZone } from './zone'

it('these tests run in the zone that is asked for', () => {
  const { TZ } = process.env
  // By the name it goes by here: some have two.
  const asked = new Intl.DateTimeFormat('en-GB', TZ ? { timeZone: TZ } : {})
  expect(hereZone()).toBe(asked.resolvedOptions().timeZone)
})

describe('a moment', () => {
  it('is written in one way', () => {
    for (const odd of [
      '2026-335T10:00:00.000Z',
      '2026-W49-2T10:00:00.000Z',
      '2026-12-01T10:00:00,000Z',
      '2026-12-01T10:00:00.000',
      '2026-12-01T10:00:00.000+01:00',
      '2026-12-01T10:00:00Z',
      '2026-02-31T10:00:00.000Z',
      '2026-12-01T24:00:00.000Z',
      '2026-12-01T23:59:60.000Z',
      '+002026-12-01T10:00:00.000Z',
      '2026-12-01 10:00:00.000Z',
      ' 2026-12-01T10:00:00.000Z',
      '',
      null,
      1764583200000,
    ])
      expect(isInstant(odd), String(odd)).toBe(false)
    expect(isInstant('2028-02-29T00:00:00.000Z')).toBe(true)
  })

  it('of ten thousand that a program writes, each is taken, and each comes back the same', () => {
    fc.assert(
      fc.property(
        fc.date({
          min: new Date('0000-01-01T00:00:00Z'),
          max: new Date('9999-12-31T23:59:59.999Z'),
          noInvalidDate: true,
        }),
        (date) => isInstant(date.toISOString()) && new Date(date.toISOString()).getTime() === date.getTime(),
      ),
      { numRuns: 10_000 },
    )
  })

  it('of ten thousand texts that look like one, none is taken that does not read back as written', () => {
    const digit = fc.constantFrom(...'0123456789')
    const looksLike = fc
      .tuple(fc.array(digit, { minLength: 17, maxLength: 17 }), fc.constantFrom('Z', '', '+01:00', 'z'))
      .map(([d, zone]) => {
        const [y, m, day, h, min, s, ms] = [
          [0, 4],
          [4, 6],
          [6, 8],
          [8, 10],
          [10, 12],
          [12, 14],
          [14, 17],
        ].map(([from, to]) => d.slice(from, to).join(''))
        return `${y}-${m}-${day}T${h}:${min}:${s}.${ms}${zone}`
      })
    fc.assert(
      fc.property(looksLike, (text) => !isInstant(text) || new Date(text).toISOString() === text),
      { numRuns: 10_000 },
    )
  })

  it('is brought within its bounds', () => {
    const [early, late] = ['2026-12-01T09:00:00.000Z', '2026-12-01T12:00:00.000Z']
    expect(clampInstant('2026-12-01T10:00:00.000Z', early, late)).toBe('2026-12-01T10:00:00.000Z')
    expect(clampInstant('1999-12-01T10:00:00.000Z', early, late)).toBe(early)
    expect(clampInstant('2027-06-01T10:00:00.000Z', early, late)).toBe(late)
    // The server's own clock was set back since the sign-in.
    expect(clampInstant('2026-12-01T10:00:00.000Z', late, early)).toBe(late)
  })
})

describe('a day', () => {
  it('is one that the calendar has', () => {
    for (const odd of ['2026-02-31', '2026-W45-1', '2026-335', '2026-1-1', '2026-12-01T00:00', '12026-01-01', '', null])
      expect(isDay(odd), String(odd)).toBe(false)
    expect(isDay('2028-02-29')).toBe(true)
  })

  it('that an earlier version accepted is read as the day that was meant', () => {
    expect(readOldDay('2026-335')).toBe('2026-12-01')
    expect(readOldDay('2026335')).toBe('2026-12-01')
    expect(readOldDay('2026-W49-2')).toBe('2026-12-01')
    expect(readOldDay('2026-W49')).toBe('2026-11-30')
    expect(readOldDay('2026-W01-1')).toBe('2025-12-29')
    expect(readOldDay('2026-02-31')).toBe('2026-02-28')
    expect(readOldDay('2026-12-01T10:00:00Z')).toBe('2026-12-01')
    expect(readOldDay('2026-13-01')).toBeNull()
    expect(readOldDay('soon')).toBeNull()
    expect(readOldDay(null)).toBeNull()
  })
})
