import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { guesses } from './guesses'
import { sessionsFor } from './sessions'

const asked = { pulls: 40, minutesPerPull: 4, proving: 20, isSetUp: false, most: 300, mostPulls: null, booked: [] }
const first = guesses.setUp.first + 20 + guesses.washUp

describe('times at the press', () => {
  it('are one where all goes into it, with setting up, proving and washing', () => {
    expect(sessionsFor(asked)).toEqual([{ minutes: first + 160, at: null, bookingId: null, pulls: 40 }])
  })

  it('are as few as hold it where it does not', () => {
    const pulls = sessionsFor({ ...asked, pulls: 120 }).map((session) => session.pulls)
    expect(pulls).toEqual([55, 65])
  })

  it('take what is booked first, and only the rest is placed', () => {
    const booked = [{ from: 1000, to: 1180, bookingId: 'b' }]
    const sessions = sessionsFor({ ...asked, booked })
    expect(sessions[0]).toEqual({ minutes: 180, at: 1000, bookingId: 'b', pulls: (180 - first) / 4 })
    expect(sessions.slice(1)).toEqual([
      { minutes: guesses.setUp.again + guesses.washUp + 15 * 4, at: null, bookingId: null, pulls: 15 },
    ])
  })

  it('hold every pull once, none longer than one goes on, whatever is asked', () => {
    const someTime = fc.record({ from: fc.nat(5000), long: fc.integer({ min: 10, max: 400 }) })
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 400 }),
        fc.integer({ min: 1, max: 20 }),
        fc.nat(80),
        fc.boolean(),
        fc.integer({ min: 60, max: 600 }),
        fc.array(someTime, { maxLength: 3 }),
        fc.option(fc.integer({ min: 1, max: 90 })),
        (pulls, minutesPerPull, proving, isSetUp, most, times, mostPulls) => {
          const booked = times.map(({ from, long }, i) => ({ from, to: from + long, bookingId: String(i) }))
          const sessions = sessionsFor({ pulls, minutesPerPull, proving, isSetUp, most, mostPulls, booked })
          expect(sessions.reduce((sum, session) => sum + session.pulls, 0)).toBe(pulls)
          for (const { at, minutes, pulls: held } of sessions) {
            if (at !== null) continue
            expect(minutes).toBeLessThanOrEqual(most)
            expect(held).toBeGreaterThan(0)
            expect(held).toBeLessThanOrEqual(mostPulls ?? Infinity)
          }
        },
      ),
      { numRuns: 300 },
    )
  })
})
