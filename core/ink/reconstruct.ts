import { linearOfHex } from './colour'
import { bands, type Spectrum, toLinear } from './spectrum'

/**
 * A smooth reflectance that looks like a screen colour. Of all that do, the one whose z = artanh(2R − 1) changes least
 * from band to band; as R = (1 + tanh z)/2, no value can leave 0 to 1.
 *
 * Source: S. A. Burns, Numerical methods for smoothest reflectance reconstruction, Color Research and Application 45
 * (2020); least hyperbolic tangent slope squared. The constrained least squares are solved by Newton's method.
 */
const known = new Map<string, Spectrum>()

/** Darker or lighter than these no pigment on paper comes, and Newton's method would run off towards infinity. */
const darkest = 0.0001
const lightest = 0.9975

const size = bands + 3

/**
 * Reflectance of a colour as seen on paper.
 * @param hex screen colour, `#rrggbb`
 * @returns 31 values strictly between 0 and 1
 * @throws RangeError when it is no colour
 */
export function reflectanceOf(hex: string): Spectrum {
  const key = hex.toLowerCase()
  let found = known.get(key)
  if (!found)
    known.set(key, (found = smoothest(linearOfHex(key).map((part) => Math.min(lightest, Math.max(darkest, part))))))
  return found.slice()
}

function smoothest(wanted: readonly number[]): Spectrum {
  const z = new Float64Array(bands)
  const multipliers = [0, 0, 0]
  for (let round = 0; round < 60; round++) {
    const step = newtonStep(z, multipliers, wanted)
    // Far from the answer a full step overshoots; z beyond ±9 is black or white within a hundred-millionth.
    const longest = step.reduce((most, value, i) => (i < bands ? Math.max(most, Math.abs(value)) : most), 0)
    const share = longest > 3 ? 3 / longest : 1
    for (let i = 0; i < bands; i++) z[i] = Math.min(9, Math.max(-9, z[i]! + share * step[i]!))
    for (let k = 0; k < 3; k++) multipliers[k]! += share * step[bands + k]!
    if (longest < 1e-9) break
  }
  return Float64Array.from(z, (value) => (1 + Math.tanh(value)) / 2)
}

/** One step of Newton's method on the conditions for least slope under the three colour constraints. */
function newtonStep(z: Float64Array, multipliers: readonly number[], wanted: readonly number[]): Float64Array {
  const rows = Array.from({ length: size }, () => new Float64Array(size + 1))
  const missed = [...wanted]
  for (let i = 0; i < bands; i++) {
    const row = rows[i]!
    const bend = Math.tanh(z[i]!)
    const slope = (1 - bend * bend) / 2
    const pull =
      toLinear[0]![i]! * multipliers[0]! + toLinear[1]![i]! * multipliers[1]! + toLinear[2]![i]! * multipliers[2]!
    const ends = i === 0 || i === bands - 1
    row[i] = (ends ? 2 : 4) - 2 * slope * bend * pull
    let gradient = (ends ? 2 : 4) * z[i]! + slope * pull
    for (const j of [i - 1, i + 1]) {
      if (j < 0 || j >= bands) continue
      row[j] = -2
      gradient -= 2 * z[j]!
    }
    row[size] = -gradient
    for (let k = 0; k < 3; k++) {
      row[bands + k] = rows[bands + k]![i] = slope * toLinear[k]![i]!
      missed[k]! -= (toLinear[k]![i]! * (1 + bend)) / 2
    }
  }
  for (let k = 0; k < 3; k++) rows[bands + k]![size] = missed[k]!
  return solved(rows)
}

/** Gaussian elimination with row exchange; the last column is the right side. */
function solved(rows: Float64Array[]): Float64Array {
  for (let column = 0; column < size; column++) {
    let pivot = column
    for (let i = column + 1; i < size; i++) if (Math.abs(rows[i]![column]!) > Math.abs(rows[pivot]![column]!)) pivot = i
    ;[rows[column], rows[pivot]] = [rows[pivot]!, rows[column]!]
    const top = rows[column]!
    for (let i = column + 1; i < size; i++) {
      const factor = rows[i]![column]! / top[column]!
      if (factor !== 0) for (let j = column; j <= size; j++) rows[i]![j]! -= factor * top[j]!
    }
  }
  const answer = new Float64Array(size)
  for (let i = size - 1; i >= 0; i--) {
    let sum = rows[i]![size]!
    for (let j = i + 1; j < size; j++) sum -= rows[i]![j]! * answer[j]!
    answer[i] = sum / rows[i]![i]!
  }
  return answer
}
