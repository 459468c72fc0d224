import { describe, expect, it } from 'vitest'
import { chanceBySheets, chanceOfStack, type PassGroup } from './odds'
import { startAnswers } from './start'
import { betaQuadrature } from './quadrature'

const answers = (groups: readonly PassGroup[], goal: number) =>
  startAnswers(groups, goal).answers.map(({ sheets }) => sheets)
const chanceOf = (groups: readonly PassGroup[], goal: number, sheets: number) =>
  chanceBySheets(groups, goal, sheets).at(-1)!

/** So many sheets, each with so many layers to go. */
const pile = (sheets: number, layers: number) => [...Array<number>(layers).fill(0), sheets]

describe('sheets to start', () => {
  it('meets the worked checks', () => {
    expect(answers([{ layers: 1, passed: 18, rejected: 2 }], 22)).toEqual([26, 28, 30])
    expect(answers([{ layers: 3, passed: 18, rejected: 2 }], 22)).toEqual([36, 42, 49])
    const reduction = [
      { layers: 4, passed: 23, rejected: 2 },
      { layers: 1, passed: 29, rejected: 1 },
    ]
    expect(answers(reduction, 30)).toEqual([52, 62, 72])
    expect(chanceOf(reduction, 30, 50)).toBeCloseTo(0.7683, 4)
  })

  it('says so when more than 600 sheets would be needed', () => {
    expect(answers([{ layers: 3, passed: 1, rejected: 9 }], 100)[1]).toBeNull()
  })

  it('agrees with the closed form of one layer, a beta-binomial', () => {
    // a = 1, b = 1 makes every number of survivors from 0 to n equally likely.
    const chance = chanceBySheets([{ layers: 1, passed: 1, rejected: 1 }], 5, 40)
    for (const n of [5, 11, 40]) expect(chance[n]).toBeCloseTo((n - 4) / (n + 1), 10)
  })

  it('treats one even pile as the chain of groups does', () => {
    const rate = { passed: 23, rejected: 2 }
    expect(chanceOfStack(rate, [0, 0, 0, 30], 22)).toBeCloseTo(chanceOf([{ ...rate, layers: 3 }], 22, 30), 9)
    expect(chanceOfStack(rate, [0, 2], 3)).toBe(0)
    expect(chanceOfStack(rate, [], 0)).toBe(1)
  })
})

describe('the Beta quadrature', () => {
  it('gives the moments of the distribution', () => {
    const { nodes, weights } = betaQuadrature(18.5, 2.25, 12)
    const moment = (k: number) => nodes.reduce((sum, p, i) => sum + weights[i]! * p ** k, 0)
    expect(moment(0)).toBeCloseTo(1, 12)
    expect(moment(1)).toBeCloseTo(18.5 / 20.75, 12)
    expect(moment(2)).toBeCloseTo((18.5 * 19.5) / (20.75 * 21.75), 12)
  })

  it('refuses what is no distribution', () => {
    expect(() => betaQuadrature(0, 1, 4)).toThrow(RangeError)
    expect(() => betaQuadrature(1, 1, 0)).toThrow(RangeError)
  })
})

/** P(at least `goal` survive), summed slowly in the plainest way: Simpson's rule over p on a fine grid. */
function slowChance(a: number, b: number, layers: number, goal: number, sheets: number): number {
  const steps = 20_000
  const density = (p: number) => p ** (a - 1) * (1 - p) ** (b - 1)
  const tail = (q: number) => {
    let sum = 0
    for (let k = goal; k <= sheets; k++) {
      let ways = 1
      for (let i = 0; i < k; i++) ways *= (sheets - i) / (i + 1)
      sum += ways * q ** k * (1 - q) ** (sheets - k)
    }
    return sum
  }
  let over = 0
  let under = 0
  for (let i = 0; i <= steps; i++) {
    const p = i / steps
    const weight = (i === 0 || i === steps ? 1 : i % 2 === 1 ? 4 : 2) * density(p)
    under += weight
    over += weight * tail(p ** layers)
  }
  return over / under
}

describe('the chance against an independent slow sum', () => {
  it.each([
    [18, 2, 1, 22, 26],
    [18, 2, 3, 22, 40],
    [23, 3, 4, 9, 20],
    [5, 5, 2, 3, 12],
    [40, 2, 2, 30, 33],
  ])('Beta(%d, %d), %d layers, %d of %d', (a, b, layers, goal, sheets) => {
    expect(
      Math.abs(chanceOf([{ layers, passed: a, rejected: b }], goal, sheets) - slowChance(a, b, layers, goal, sheets)),
    ).toBeLessThan(1e-9)
    expect(
      Math.abs(
        chanceOfStack({ passed: a, rejected: b }, pile(sheets, layers), goal) - slowChance(a, b, layers, goal, sheets),
      ),
    ).toBeLessThan(1e-9)
  })

  /** The same for many sheets: the binomial in logarithms, Simpson's rule only where the density is. */
  function slowLarge(a: number, b: number, layers: number, goal: number, sheets: number): number {
    const logs = [0]
    for (let n = 1; n <= sheets; n++) logs[n] = logs[n - 1]! + Math.log(n)
    const steps = 60_000
    let under = 0
    let over = 0
    for (let i = 1; i < steps; i++) {
      const p = i / steps
      const density = Math.exp(
        (a - 1) * Math.log(p) +
          (b - 1) * Math.log1p(-p) -
          (a - 1) * Math.log((a - 1) / (a + b - 2)) -
          (b - 1) * Math.log((b - 1) / (a + b - 2)),
      )
      if (density < 1e-16) continue
      const q = p ** layers
      let tail = 0
      for (let k = goal; k <= sheets; k++)
        tail += Math.exp(logs[sheets]! - logs[k]! - logs[sheets - k]! + k * Math.log(q) + (sheets - k) * Math.log1p(-q))
      const weight = i % 2 === 1 ? 4 : 2
      under += weight * density
      over += weight * density * tail
    }
    return over / under
  }

  it.each([
    [23, 2, 12, 200, 600],
    [180, 14, 12, 300, 590],
    [40, 3, 1, 500, 560],
  ])('Beta(%d, %d), %d layers, %d of %d, as many as are planned for', (a, b, layers, goal, sheets) => {
    expect(
      Math.abs(chanceOf([{ layers, passed: a, rejected: b }], goal, sheets) - slowLarge(a, b, layers, goal, sheets)),
    ).toBeLessThan(1e-9)
  })

  it('chains groups as summing over what each leaves does', () => {
    const [first, finishing] = [
      { layers: 3, passed: 23, rejected: 2 },
      { layers: 1, passed: 29, rejected: 1 },
    ]
    const exactly = (group: typeof first, k: number, n: number) =>
      slowChance(group.passed, group.rejected, group.layers, k, n) -
      (k < n ? slowChance(group.passed, group.rejected, group.layers, k + 1, n) : 0)
    let sum = 0
    for (let k = 4; k <= 7; k++) sum += exactly(first, k, 7) * slowChance(29, 1, 1, 4, k)
    expect(Math.abs(chanceOf([first, finishing], 4, 7) - sum)).toBeLessThan(1e-9)
    expect(Math.abs(chanceOfStack(first, [0, 0, 0, 7], 4, finishing) - sum)).toBeLessThan(1e-9)
  })

  it('grows with sheets and falls with layers', () => {
    const group = (layers: number) => [{ layers, passed: 23, rejected: 2 }]
    const chances = chanceBySheets(group(2), 12, 40)
    for (let n = 13; n <= 40; n++) expect(chances[n]!).toBeGreaterThan(chances[n - 1]!)
    expect(chanceOf(group(3), 12, 18)).toBeLessThan(chanceOf(group(2), 12, 18))
    expect(chanceOfStack({ passed: 23, rejected: 2 }, [0, 2, 1, 1], 3)).toBeGreaterThan(
      chanceOfStack({ passed: 23, rejected: 2 }, [0, 0, 0, 4], 3),
    )
  })

  it('refuses more sheets than it can hold', () => {
    expect(() => chanceBySheets([], 1, 601)).toThrow(RangeError)
  })
})
