import { describe, expect, it } from 'vitest'
import { chanceBySheets, chanceOf, chanceOfStack, sheetsToStart } from './odds'
import { betaQuadrature } from './quadrature'

const levels = [0.8, 0.9, 0.95]
const answers = (groups: Parameters<typeof sheetsToStart>[0], goal: number) => levels.map(level => sheetsToStart(groups, goal, level))

describe('sheets to start', () => {
  it('meets the worked checks', () => {
    expect(answers([{ layers: 1, passed: 18, rejected: 2 }], 22)).toEqual([26, 28, 30])
    expect(answers([{ layers: 3, passed: 18, rejected: 2 }], 22)).toEqual([36, 42, 49])
    const reduction = [{ layers: 4, passed: 23, rejected: 2 }, { layers: 1, passed: 29, rejected: 1 }]
    expect(answers(reduction, 30)).toEqual([52, 62, 72])
    expect(chanceOf(reduction, 30, 50)).toBeCloseTo(0.7683, 4)
  })

  it('says so when more than 600 sheets would be needed', () => {
    expect(sheetsToStart([{ layers: 3, passed: 1, rejected: 9 }], 100, 0.9)).toBeNull()
  })

  it('agrees with the closed form of one layer, a beta-binomial', () => {
    // a = 1, b = 1 makes every number of survivors from 0 to n equally likely.
    const chance = chanceBySheets([{ layers: 1, passed: 1, rejected: 1 }], 5, 40)
    for (const n of [5, 11, 40]) expect(chance[n]).toBeCloseTo((n - 4) / (n + 1), 10)
  })

  it('treats one even pile as the chain of groups does', () => {
    const rate = { passed: 23, rejected: 2 }
    expect(chanceOfStack(rate, Array(30).fill(3), 22)).toBeCloseTo(chanceOf([{ ...rate, layers: 3 }], 22, 30), 9)
    expect(chanceOfStack(rate, [1, 1], 3)).toBe(0)
    expect(chanceOfStack(rate, [], 0)).toBe(1)
  })
})

describe('the Beta quadrature', () => {
  it('gives the moments of the distribution', () => {
    const { nodes, weights } = betaQuadrature(18.5, 2.25, 12)
    const moment = (k: number) => nodes.reduce((sum, p, i) => sum + weights[i]! * p ** k, 0)
    expect(moment(0)).toBeCloseTo(1, 12)
    expect(moment(1)).toBeCloseTo(18.5 / 20.75, 12)
    expect(moment(2)).toBeCloseTo(18.5 * 19.5 / (20.75 * 21.75), 12)
  })

  it('refuses what is no distribution', () => {
    expect(() => betaQuadrature(0, 1, 4)).toThrow(RangeError)
    expect(() => betaQuadrature(1, 1, 0)).toThrow(RangeError)
  })
})
