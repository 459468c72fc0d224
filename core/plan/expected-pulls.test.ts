import { describe, expect, it } from 'vitest'
import { expected } from './expected-pulls'

const rate = { passed: 18, rejected: 2 }
const p = 18 / 20
const square = (p * 19) / 21

describe('what is to be expected of a stack', () => {
  it('thins at each layer, by the powers of one unknown rate', () => {
    const layers = [
      { waiting: 40, proofs: 0 },
      { waiting: 0, proofs: 0 },
    ]
    const { pulls, good } = expected({ rate, layers, printed: 0, finishing: null, needed: 20 })
    expect(pulls[0]).toBe(40)
    expect(pulls[1]).toBeCloseTo(40 * p, 12)
    expect(good).toBeCloseTo(40 * square, 12)
    // Not the square of the mean: a hand that passes more, passes more at both.
    expect(good).toBeGreaterThan(40 * p * p)
  })

  it('lets proofs take theirs, piles join where they wait, and finishing lose its share', () => {
    const layers = [
      { waiting: 10, proofs: 1 },
      { waiting: 6, proofs: 2 },
    ]
    const finishing = { passed: 29, rejected: 1 }
    const { pulls, good } = expected({ rate, layers, printed: 5, finishing, needed: 1 })
    expect(pulls[0]).toBe(9)
    expect(pulls[1]).toBeCloseTo(9 * p + 4, 12)
    expect(good).toBeCloseTo(((9 * square + 4 * p + 5) * 29) / 30, 12)
  })

  it('is never less than nothing', () => {
    const layers = [{ waiting: 1, proofs: 4 }]
    expect(expected({ rate, layers, printed: 0, finishing: null, needed: 1 })).toEqual({ pulls: [0], good: 0 })
  })
})
