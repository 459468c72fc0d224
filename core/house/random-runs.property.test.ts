import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { type Theme, themes } from '../../tests/fixtures/random-themes'
import { play, told } from '../../tests/fixtures/random-run'

/** A run whose rules hold, or the run in words. */
const broken = (seed: number, length: number, theme?: Theme) => {
  const run = play(seed, length, theme)
  return run.broken.length === 0 ? '' : told(run)
}

describe('whatever is done, with every act there is', () => {
  it('no rule that never breaks is broken', () => {
    fc.assert(
      fc.property(fc.integer(), fc.integer({ min: 1, max: 120 }), (seed, length) => {
        expect(broken(seed, length)).toBe('')
      }),
      { numRuns: 150 },
    )
  })

  it.each(Object.keys(themes) as Theme[])('nor when it is mostly %s', (theme) => {
    fc.assert(
      fc.property(fc.integer(), fc.integer({ min: 1, max: 80 }), (seed, length) => {
        expect(broken(seed, length, theme)).toBe('')
      }),
      { numRuns: 40 },
    )
  })
})
