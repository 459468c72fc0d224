/** A Bernoulli CUSUM laid out for one planned share of pulls that are not good (models.md, M11). */
export interface DriftDesign {
  planned: number
  /** The share it is meant to notice. */
  bad: number
  /** What a pull that is not good adds to the score, and what a good one takes off it. */
  up: number
  down: number
  /** Grid that score and limit are counted on. */
  step: number
  /** Alarm at this score. */
  limit: number
  /** Pulls between two false alarms on average, at the planned share. */
  falseAfter: number
  /** Pulls until a run that has gone bad is noticed, on average. */
  foundAfter: number
}

/** Wanted pulls between two false alarms. */
export const wantedFalseAfter = 200

/** The grid is at least as fine as this. */
const finest = 0.015

/** The score after so many grid steps up or down: never below zero. */
interface Steps {
  up: number
  down: number
}

/**
 * Mean pulls until the score reaches `limit` grid steps from zero, by the Markov chain of the score. The equations
 * L_i = 1 + p·L_{i+up} + (1 − p)·L_{max(0, i−down)} are solved by elimination: each row is dominated by its diagonal.
 */
function runLength(limit: number, share: number, { up, down }: Steps): number {
  const width = down + up + 1
  // Row i holds columns i − down … i + up, so column j of it lies at i·width + j − i + down.
  const rows = new Float64Array(limit * width)
  const right = new Float64Array(limit).fill(1)
  for (let i = 0; i < limit; i++) {
    const own = i * width - i + down
    rows[own + i]! += 1
    rows[own + Math.max(0, i - down)]! -= 1 - share
    if (i + up < limit) rows[own + i + up]! -= share
  }
  for (let i = 0; i < limit; i++) {
    const own = i * width - i + down
    const pivot = rows[own + i]!
    const end = Math.min(limit - 1, i + up)
    const last = Math.min(limit - 1, i + down)
    for (let k = i + 1; k <= last; k++) {
      const other = k * width - k + down
      const factor = rows[other + i]! / pivot
      if (factor === 0) continue
      for (let j = i; j <= end; j++) rows[other + j]! -= factor * rows[own + j]!
      right[k]! -= factor * right[i]!
    }
  }
  for (let i = limit - 1; i >= 0; i--) {
    const own = i * width - i + down
    const end = Math.min(limit - 1, i + up)
    let sum = right[i]!
    for (let j = i + 1; j <= end; j++) sum -= rows[own + j]! * right[j]!
    right[i] = sum / rows[own + i]!
  }
  return right[0]!
}

/**
 * The smallest limit whose false alarms lie at least 200 pulls apart on average, for a planned share of pulls that are
 * not good. At a small share the run length jumps, since one bad pull is nearly an alarm: what is reached is told.
 * @param planned share not good, above 0 and below 1
 * @throws RangeError for 0, 1 and beyond: a run that is planned perfect or hopeless cannot drift
 */
export function driftDesign(planned: number, wanted = wantedFalseAfter): DriftDesign {
  if (!(planned > 0 && planned < 1))
    throw new RangeError(`A planned share of pulls that are not good lies between 0 and 1; ${planned} was given.`)
  const bad = Math.min(2 * planned, (1 + planned) / 2)
  const exactUp = Math.log(bad / planned)
  const exactDown = -Math.log((1 - bad) / (1 - planned))
  const smaller = Math.min(exactUp, exactDown)
  const step = smaller / Math.max(1, Math.ceil(smaller / finest))
  const steps = { up: Math.round(exactUp / step), down: Math.round(exactDown / step) }
  // One bad pull after another reaches any limit up to `up` at once: those are one and the same rule.
  let enough = steps.up
  let tooLow = 0
  while (runLength(enough, planned, steps) < wanted) {
    tooLow = enough
    enough *= 2
  }
  while (tooLow > 0 && enough - tooLow > 1) {
    const middle = (enough + tooLow) >> 1
    if (runLength(middle, planned, steps) < wanted) tooLow = middle
    else enough = middle
  }
  return {
    planned,
    bad,
    up: steps.up * step,
    down: steps.down * step,
    step,
    limit: enough * step,
    falseAfter: runLength(enough, planned, steps),
    foundAfter: runLength(enough, bad, steps),
  }
}

/** Designs that were asked for: a bench asks for the same at every stroke. */
const designs = new Map<string, DriftDesign>()

/** The same, kept for shares that differ by less than a thousandth; shares beyond 0.1 and 99.9 % are taken as these. */
export function designFor(planned: number): DriftDesign {
  const share = Math.min(0.999, Math.max(0.001, planned))
  const key = share.toFixed(3)
  const known = designs.get(key)
  if (known) return known
  const design = driftDesign(Number(key))
  designs.set(key, design)
  return design
}

/** How a run stands against its design. */
export interface Drift {
  score: number
  isAlarm: boolean
  /** Of the pulls since the score last left zero: how many, and how many of them not good. */
  pulls: number
  bad: number
}

/**
 * The score after pulls in their order; it stays over the limit until it is started anew.
 * @param isBad one entry a pull: true when it is doubtful or a reject
 */
export function driftOf({ up, down, limit }: DriftDesign, isBad: readonly boolean[]): Drift {
  let score = 0
  let pulls = 0
  let bad = 0
  let isAlarm = false
  for (const one of isBad) {
    score = Math.max(0, score + (one ? up : -down))
    if (score < 1e-9 && !isAlarm) {
      score = 0
      pulls = 0
      bad = 0
      continue
    }
    pulls += 1
    if (one) bad += 1
    if (score >= limit - 1e-9) isAlarm = true
  }
  return { score, isAlarm, pulls, bad }
}
