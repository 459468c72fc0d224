import { describe, expect, it } from 'vitest'
import { Dice } from '../../tests/fixtures/dice'
import { type BetaRate, chanceOf, chancesBySheets, chancesUpTo, type Course, mostSheets } from './odds'
import { betaQuadrature } from './quadrature'
import { roughChance } from './rough-chance'
import { chanceFrom, startAnswers } from './start'

const rate = (passed: number, rejected: number): BetaRate => ({ passed, rejected })
const answers = (beta: BetaRate, proofs: number[], needed: number, finishing: BetaRate | null = null) =>
  startAnswers({ rate: beta, proofs, needed, finishing }).answers.map(({ sheets }) => sheets)

/** So many sheets before so many layers alike, whose proofs take nothing. */
const before = (beta: BetaRate, layers: number, needed: number, sheets: number, finishing: BetaRate | null = null) =>
  chanceFrom({ rate: beta, proofs: Array(layers).fill(0), needed, finishing }, sheets).chance

/** A stack in piles: how many sheets wait for each layer, and how many carry all. */
const stack = (beta: BetaRate, waiting: number[], printed: number, needed: number): Course => ({
  rate: beta,
  layers: waiting.map((sheets) => ({ waiting: sheets, proofs: 0 })),
  printed,
  finishing: null,
  needed,
})

describe('sheets to start', () => {
  it('meets the worked checks', () => {
    expect(answers(rate(18, 2), [0], 22)).toEqual([26, 28, 30])
    expect(answers(rate(18, 2), [0, 0, 0], 22)).toEqual([36, 42, 49])
    expect(answers(rate(23, 2), [0, 0, 0, 0], 30, rate(29, 1))).toEqual([52, 62, 72])
    expect(before(rate(23, 2), 4, 30, 50, rate(29, 1))).toBeCloseTo(0.7683, 4)
  })

  it('counts the sheets that proofs of later layers eat', () => {
    expect(answers(rate(18, 2), [0, 2, 2], 22)).toEqual([41, 48, 55])
    expect(chanceFrom({ rate: rate(18, 2), proofs: [0, 2, 2], needed: 22, finishing: null }, 42).chance).toBeCloseTo(
      0.8243,
      4,
    )
  })

  it('says so when more than 600 sheets would be needed', () => {
    expect(answers(rate(1, 9), [0, 0, 0], 100)[1]).toBeNull()
  })

  it('agrees with the closed form of one layer, a beta-binomial', () => {
    // a = 1, b = 1 makes every number of survivors from 0 to n equally likely.
    const chance = chancesBySheets(stack(rate(1, 1), [0], 0, 5), 40)
    for (const n of [5, 11, 40]) expect(chance[n]).toBeCloseTo((n - 4) / (n + 1), 9)
  })

  it('needs no sheet for nothing, and cannot make more of fewer', () => {
    expect(chanceOf(stack(rate(23, 2), [2], 0, 3)).chance).toBe(0)
    expect(chanceOf(stack(rate(23, 2), [], 0, 0)).chance).toBe(1)
    expect(chanceOf({ ...stack(rate(23, 2), [], 4, 4), finishing: rate(1, 1) }).chance).toBeCloseTo(1 / 5, 12)
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
    expect(Math.abs(before(rate(a, b), layers, goal, sheets) - slowChance(a, b, layers, goal, sheets))).toBeLessThan(
      1e-9,
    )
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
    expect(Math.abs(before(rate(a, b), layers, goal, sheets) - slowLarge(a, b, layers, goal, sheets))).toBeLessThan(
      1e-9,
    )
  })

  it('chains finishing after the layers as summing over what they leave does', () => {
    const exactly = (k: number, n: number) => slowChance(23, 2, 3, k, n) - (k < n ? slowChance(23, 2, 3, k + 1, n) : 0)
    let sum = 0
    for (let k = 4; k <= 7; k++) sum += exactly(k, 7) * slowChance(29, 1, 1, 4, k)
    expect(Math.abs(before(rate(23, 2), 3, 4, 7, rate(29, 1)) - sum)).toBeLessThan(1e-9)
  })

  it('grows with sheets and falls with layers, and with proofs', () => {
    const chances = chancesBySheets(stack(rate(23, 2), [0, 0], 0, 12), 40)
    for (let n = 13; n <= 40; n++) expect(chances[n]!).toBeGreaterThan(chances[n - 1]!)
    expect(before(rate(23, 2), 3, 12, 18)).toBeLessThan(before(rate(23, 2), 2, 12, 18))
    expect(chanceOf(stack(rate(23, 2), [0, 1, 1], 2, 3)).chance).toBeGreaterThan(
      chanceOf(stack(rate(23, 2), [4, 0, 0], 0, 3)).chance,
    )
  })
})

/** What happens when so many stacks really go their way, by dice. */
function played({ rate: beta, layers, printed, finishing, needed }: Course, times: number): number {
  const chance = new Dice(11)
  const dice = () => chance.throw()
  // Beta(a, b) of whole a and b: the a-th smallest of a + b − 1 throws.
  const drawn = ({ passed, rejected }: BetaRate) =>
    Array.from({ length: passed + rejected - 1 }, dice).sort((a, b) => a - b)[passed - 1]!
  const pass = (sheets: number, p: number) => {
    let passed = 0
    for (let i = 0; i < sheets; i++) if (dice() < p) passed += 1
    return passed
  }
  let reached = 0
  for (let time = 0; time < times; time++) {
    const p = drawn(beta)
    let sheets = layers[0]?.waiting ?? printed
    layers.forEach(({ proofs }, i) => {
      sheets = pass(Math.max(0, sheets - proofs), p) + (layers[i + 1]?.waiting ?? printed)
    })
    if ((finishing ? pass(sheets, drawn(finishing)) : sheets) >= needed) reached += 1
  }
  return reached / times
}

describe('the chance against what really happens', () => {
  const layers = (...waiting: [waiting: number, proofs: number][]) =>
    waiting.map(([sheets, proofs]) => ({ waiting: sheets, proofs }))
  const course = (beta: BetaRate, ahead: Course['layers'], printed: number, needed: number): Course => ({
    rate: beta,
    layers: ahead,
    printed,
    finishing: rate(29, 1),
    needed,
  })
  it.each<[string, Course]>([
    ['one layer', course(rate(23, 2), layers([26, 0]), 0, 22)],
    ['four layers', course(rate(23, 2), layers([50, 0], [0, 0], [0, 0], [0, 0]), 0, 30)],
    ['proofs of every later layer', course(rate(18, 2), layers([42, 0], [0, 2], [0, 2]), 0, 22)],
    ['many proofs, few sheets', course(rate(18, 2), layers([9, 0], [0, 3], [0, 3]), 0, 2)],
    ['proofs that eat the whole stack', course(rate(10, 2), layers([5, 0], [0, 3], [0, 3]), 0, 1)],
    ['a stack in three piles', course(rate(23, 2), layers([8, 0], [6, 2], [4, 2]), 5, 14)],
    ['piles of which one is empty', course(rate(23, 2), layers([0, 0], [12, 1], [0, 2]), 6, 10)],
    ['beginners', course(rate(20, 5), layers([30, 0], [0, 2], [0, 2]), 0, 12)],
    ['an unsteady hand', course(rate(2, 1), layers([20, 0], [0, 2]), 0, 8)],
    ['all but done', course(rate(23, 2), layers([2, 0]), 10, 11)],
  ])('%s', (_, given) => {
    expect(Math.abs(chanceOf(given).chance - played(given, 40_000))).toBeLessThan(0.01)
  })
})

describe('many sheets', () => {
  it('are reckoned roughly, within a tenth of a point of the exact sum, and it is said', () => {
    for (const beta of [rate(18, 2), rate(230, 20), rate(5, 1), rate(920, 80)])
      for (const count of [1, 3, 8])
        for (const finishing of [null, rate(29, 1)])
          for (const share of [0.8, 1]) {
            const needed = Math.round(share * mostSheets * (beta.passed / (beta.passed + beta.rejected)) ** count)
            const ahead = Array.from({ length: count }, (_, i) => ({
              waiting: i === 0 ? mostSheets : 0,
              proofs: i === 0 ? 0 : 2,
            }))
            const course = { rate: beta, layers: ahead, printed: 0, finishing, needed }
            expect(Math.abs(roughChance(course) - chanceOf(course).chance)).toBeLessThan(0.001)
          }
    const many = stack(rate(23, 2), [601], 0, 500)
    expect(chanceOf(many)).toEqual({ chance: roughChance(many), isRough: true })
    expect(chanceOf(stack(rate(23, 2), [600], 0, 500)).isRough).toBe(false)
  })

  it('are told for every number that may be pulled first', () => {
    const few = stack(rate(23, 2), [20, 30], 4, 40)
    expect(chancesUpTo(few, 20)).toMatchObject({ isRough: false })
    expect(chancesUpTo(few, 20).of[20]).toBeCloseTo(chanceOf(few).chance, 9)
    const many = stack(rate(23, 2), [100, 300], 250, 560)
    const { of, isRough } = chancesUpTo(many, 100)
    expect(isRough).toBe(true)
    expect(of[100]).toBeCloseTo(chanceOf(many).chance, 3)
    expect(of[0]!).toBeLessThan(of[100]!)
  })

  it('are refused where an exact sum is asked for', () => {
    expect(() => chancesBySheets(stack(rate(1, 1), [0], 0, 1), 601)).toThrow(RangeError)
  })
})
