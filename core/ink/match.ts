import { deltaE, type Lab, labOf } from './colour'
import { film, type Pigment } from './kubelka-munk'
import { bands, type Spectrum } from './spectrum'

/** A tub that may go into a mix. */
export interface Tub {
  pigment: Pigment
  tinting: number
}

export interface Match {
  /** Indices of the tubs, and the share of each by weight, adding up to 1. */
  tubs: number[]
  shares: number[]
  /** ΔE00 from the wanted colour. */
  miss: number
}

/** More tubs than this in a mix nobody keeps apart by eye. */
export const mostTubs = 4

/** A difference nobody sees: no larger set is tried for less. */
const unseen = 0.05

/** Every set takes so few steps; by then it shows which come near, and only those go on to the end. */
const stepsOfAll = 2
const stepsOfNearest = 12
const nearest = 500

/** Search by squared difference in CIELAB, then polish by ΔE00; so many sets of tubs are polished. */
const polished = 24

/**
 * Mixes of some tubs that come nearest a wanted colour as a film on a paper (models.md, M6): every set of up to four is tried,
 * its shares found by damped least squares (Levenberg 1944, Marquardt 1963) in the logarithms of the shares, so that none
 * falls below zero; a share that would is found again in a smaller set.
 * @param wanted CIELAB of the colour wanted
 * @param progress told how many sets are done and how many there are
 * @returns the best of different sets, nearest first; of those within a tenth of a ΔE00 the one with fewer tubs
 */
export function matchColour(
  wanted: Lab,
  paper: Spectrum,
  thickness: number,
  tubs: readonly Tub[],
  progress: (done: number, all: number) => void = () => {},
): Match[] {
  const mix = new Film(paper, thickness, tubs)
  const found: Descent[] = []
  const sizes = Array.from({ length: Math.min(mostTubs, tubs.length) }, (_, i) => i + 1)
  const all = sizes.reduce((sum, size) => sum + choices(tubs.length, size), 0)
  let done = 0
  for (const size of sizes) {
    const tried: Descent[] = []
    for (const set of subsets(tubs.length, size)) {
      tried.push(mix.descend(mix.evenly(set, wanted), wanted, stepsOfAll))
      done += 1
      if (done % 256 === 0) progress(done, all)
    }
    tried.sort((a, b) => a.square - b.square)
    for (const one of tried.slice(0, nearest)) found.push(mix.descend(one, wanted, stepsOfNearest))
    found.sort((a, b) => a.square - b.square)
    found.length = Math.min(found.length, polished * 4)
    if (found.length > 0 && deltaE(mix.lab(found[0]!.tubs, found[0]!.weights), wanted) < unseen) break
  }
  progress(all, all)
  // Some of each size, so that a mix of fewer tubs that is as good for the eye is not lost among the many of four.
  const best = sizes.flatMap((size) => found.filter((one) => one.tubs.length === size).slice(0, polished / 4))
  return best
    .map(({ tubs: set, weights }) => mix.polish(set, weights, wanted))
    .sort(
      (a, b) => Math.round(a.miss * 10) - Math.round(b.miss * 10) || a.tubs.length - b.tubs.length || a.miss - b.miss,
    )
}

/** How far the shares of a set have come towards the colour. */
interface Descent {
  tubs: number[]
  weights: number[]
  /** Differences in CIELAB, and the sum of their squares. */
  miss: [number, number, number]
  square: number
  damping: number
  isDone: boolean
}

function choices(n: number, k: number): number {
  let count = 1
  for (let i = 0; i < k; i++) count = (count * (n - i)) / (i + 1)
  return Math.round(count)
}

function* subsets(n: number, k: number, from = 0): Generator<number[]> {
  if (k === 0) {
    yield []
    return
  }
  for (let first = from; first <= n - k; first++)
    for (const rest of subsets(n, k - 1, first + 1)) yield [first, ...rest]
}

/** Weights of a softmax: any numbers give shares above zero that add up to 1. */
function sharesOf(weights: readonly number[]): number[] {
  const most = Math.max(...weights)
  const powers = weights.map((weight) => Math.exp(weight - most))
  const sum = powers.reduce((a, b) => a + b, 0)
  return powers.map((power) => power / sum)
}

/** Films of mixes on one paper, made again and again. */
class Film {
  private readonly mixed: Pigment = { k: new Float64Array(bands), s: new Float64Array(bands) }
  private readonly seen = new Float64Array(bands)

  constructor(
    private readonly paper: Spectrum,
    private readonly thickness: number,
    private readonly tubs: readonly Tub[],
  ) {}

  /** Colour of a set of tubs; shares are of mass × tinting strength. */
  lab(set: readonly number[], weights: readonly number[]): Lab {
    const { k, s } = this.mixed
    const shares = sharesOf(weights)
    k.fill(0)
    s.fill(0)
    for (let j = 0; j < set.length; j++) {
      const { pigment } = this.tubs[set[j]!]!
      const share = shares[j]!
      for (let i = 0; i < bands; i++) {
        k[i]! += share * pigment.k[i]!
        s[i]! += share * pigment.s[i]!
      }
    }
    return labOf(film(this.paper, this.mixed, this.thickness, this.seen))
  }

  /** Even shares of a set: where a descent begins. */
  evenly(tubs: number[], wanted: Lab): Descent {
    const weights = tubs.map(() => 0)
    const miss = missOf(this.lab(tubs, weights), wanted)
    return { tubs, weights, miss, square: squareOf(miss), damping: 1, isDone: tubs.length < 2 }
  }

  /** Nearer by least squares, so many steps at most. */
  descend(from: Descent, wanted: Lab, steps: number): Descent {
    let { weights, miss, square, damping, isDone } = from
    const { tubs } = from
    const free = tubs.length - 1
    for (let step = 0; step < steps && !isDone && square > 1e-4; step++) {
      const slopes = Array.from({ length: free }, (_, j) => {
        const moved = missOf(
          this.lab(
            tubs,
            weights.map((weight, i) => (i === j ? weight + 1e-4 : weight)),
          ),
          wanted,
        )
        return moved.map((value, i) => (value - miss[i]!) / 1e-4)
      })
      const by = dampedStep(slopes, miss, damping)
      const next = weights.map((weight, i) => weight + Math.max(-2, Math.min(2, by[i] ?? 0)))
      const nextMiss = missOf(this.lab(tubs, next), wanted)
      const nextSquare = squareOf(nextMiss)
      if (nextSquare < square) {
        const gained = square - nextSquare
        weights = next
        miss = nextMiss
        square = nextSquare
        damping = Math.max(1e-4, damping / 6)
        isDone = gained < square * 1e-3
      } else damping *= 8
    }
    return { tubs, weights, miss, square, damping, isDone }
  }

  /** The same shares nearer still by ΔE00, one weight after the other in ever smaller steps. */
  polish(set: number[], from: readonly number[], wanted: Lab): Match {
    let weights = [...from]
    let miss = deltaE(this.lab(set, weights), wanted)
    for (let step = 0.2; step > 0.0005 && miss > 0.005;) {
      let better = false
      for (let j = 0; j < set.length; j++) {
        for (const way of [step, -step]) {
          const tried = weights.map((weight, i) => (i === j ? weight + way : weight))
          const at = deltaE(this.lab(set, tried), wanted)
          if (at < miss) {
            miss = at
            weights = tried
            better = true
          }
        }
      }
      if (!better) step /= 2
    }
    const masses = sharesOf(weights).map((share, j) => share / this.tubs[set[j]!]!.tinting)
    const whole = masses.reduce((sum, mass) => sum + mass, 0)
    return { tubs: set, shares: masses.map((mass) => mass / whole), miss }
  }
}

const missOf = (seen: Lab, wanted: Lab): [number, number, number] => [
  seen.l - wanted.l,
  seen.a - wanted.a,
  seen.b - wanted.b,
]
const squareOf = (miss: readonly number[]) => miss[0]! * miss[0]! + miss[1]! * miss[1]! + miss[2]! * miss[2]!

/** The step that lessens the squares most, held short by the damping: (JᵀJ + μ·diag) δ = −Jᵀr, for at most three unknowns. */
function dampedStep(slopes: readonly number[][], miss: readonly number[], damping: number): number[] {
  const n = slopes.length
  const rows = slopes.map((one, i) => [
    ...slopes.map(
      (other, j) => one[0]! * other[0]! + one[1]! * other[1]! + one[2]! * other[2]! + (i === j ? damping : 0),
    ),
    -(one[0]! * miss[0]! + one[1]! * miss[1]! + one[2]! * miss[2]!),
  ])
  for (let c = 0; c < n; c++) {
    for (let i = c + 1; i < n; i++) {
      const factor = rows[i]![c]! / rows[c]![c]!
      for (let j = c; j <= n; j++) rows[i]![j]! -= factor * rows[c]![j]!
    }
  }
  const step = new Array<number>(n).fill(0)
  for (let i = n - 1; i >= 0; i--) {
    let sum = rows[i]![n]!
    for (let j = i + 1; j < n; j++) sum -= rows[i]![j]! * step[j]!
    step[i] = sum / rows[i]![i]!
  }
  return step
}
