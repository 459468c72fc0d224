import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { type Theme, themes } from '../../tests/fixtures/random-themes'
import { play, told } from '../../tests/fixtures/random-run'
import { acts } from './acts'

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

  it('every act is taken now and then', () => {
    // The edition itself was begun before the first random command.
    const taken = new Set<string>(['start-edition'])
    for (let seed = 1; seed <= 900 && taken.size < acts.length; seed++)
      for (const { type, refused } of play(seed, 120).steps) if (refused === null) taken.add(type)
    expect(acts.map((act) => act.type).filter((type) => !taken.has(type))).toEqual([])
  })
})
