import { BinomialRows } from './binomial'
import { betaQuadrature } from './quadrature'
import { finishingChances } from './finishing-chances'
import { roughChance } from './rough-chance'

/** A pass rate nobody knows exactly: p ~ Beta(passed, rejected). */
export interface BetaRate {
  /** a: the guess's share plus pulls that passed. */
  passed: number
  /** b: the guess's share plus pulls that did not. */
  rejected: number
}

/** One layer that a stack still has to meet. */
export interface LayerAhead {
  /** Sheets that wait for it now, beside those that come to it from the layer before. */
  waiting: number
  /** Sheets its proofs take out of the stack before it is pulled. */
  proofs: number
}

/**
 * What a stack has yet to come through: its layers, printed the same way by the same hands and so sharing one unknown
 * rate, then finishing with a rate of its own.
 */
export interface Course {
  rate: BetaRate
  layers: readonly LayerAhead[]
  /** Sheets that carry every layer and have only finishing before them. */
  printed: number
  finishing: BetaRate | null
  /** Good prints wanted of it. */
  needed: number
}

/** Above this many sheets the chance is reckoned roughly, and said so. */
export const mostSheets = 600

/** What each step at each node may miss of the average, so that all together stay below the error promised (1e-9). */
const mayMiss = 8e-14

/** Layers met one after another with nothing between them, as one step: p to that power. */
interface Step {
  power: number
  proofs: number
  /** Sheets that join those which come through: they wait for the next layer, or carry all. */
  joining: number
}

function stepsOf({ layers, printed }: Course): Step[] {
  const steps: Step[] = []
  layers.forEach(({ waiting, proofs }, i) => {
    const joining = layers[i + 1]?.waiting ?? printed
    const last = steps.at(-1)
    if (last && waiting === 0 && proofs === 0) {
      last.power += 1
      last.joining = joining
    } else steps.push({ power: 1, proofs, joining })
  })
  return steps
}

/**
 * Nodes for averaging over p what becomes of so many sheets over so many layers: its peak in p narrows with the square
 * root of the two, and the nodes must lie closer than that. Half the degree is always enough, being exact.
 */
function nodesFor(sheets: number, layers: number): number {
  const degree = sheets * layers
  return Math.max(1, Math.min(Math.ceil((degree + 1) / 2), Math.ceil(20 + 2.25 * Math.sqrt(degree))))
}

/** Σ a[i] · b[i − from + fromB], i = from … to − 1. Four sums side by side: a single one waits for itself at every step. */
function overlap(a: Float64Array, from: number, to: number, b: Float64Array, fromB: number): number {
  let [one, two, three, four] = [0, 0, 0, 0]
  let i = from
  let j = fromB
  for (; i + 3 < to; i += 4, j += 4) {
    one += a[i]! * b[j]!
    two += a[i + 1]! * b[j + 1]!
    three += a[i + 2]! * b[j + 2]!
    four += a[i + 3]! * b[j + 3]!
  }
  let rest = 0
  for (; i < to; i++, j++) rest += a[i]! * b[j]!
  return one + two + (three + four) + rest
}

/** Chances by sheets before a step, from those after it: Σ_j P(j of x − proofs pass) · after(j + joining). */
function before(
  after: Float64Array,
  { proofs, joining }: Step,
  rows: BinomialRows,
  most: number,
  nothing: number,
): Float64Array {
  const chances = new Float64Array(most + 1)
  const least = after.findIndex((chance) => chance > nothing)
  if (least < 0) return chances
  const { values, offsets, starts, ends } = rows
  for (let x = least > joining ? least - joining + proofs : 0; x <= most; x++) {
    const sheets = x > proofs ? x - proofs : 0
    rows.prepare(sheets)
    const start = starts[sheets]!
    const first = start > least - joining ? start : least - joining
    const row = offsets[sheets]!
    const sum = overlap(values, row + first, row + ends[sheets]!, after, first + joining)
    chances[x] = sum
    if (sum > 1 - nothing) return chances.fill(1, x)
  }
  return chances
}

/**
 * The chance of reaching what is needed by the number of sheets that come to the first layer, for 0 … `most` in place of
 * those that wait for it (models.md, M3). Given p the sheets of each layer are independent; each step is reckoned backward,
 * and the whole is averaged over p by quadrature.
 * @throws RangeError when more than 600 sheets would take part
 */
export function chancesBySheets(course: Course, most: number): Float64Array {
  const steps = stepsOf(course)
  const reach = [most]
  for (const { proofs, joining } of steps) reach.push(Math.max(0, reach.at(-1)! - proofs) + joining)
  const largest = Math.max(...reach, course.printed)
  if (largest > mostSheets) throw new RangeError(`At most ${mostSheets} sheets; ${largest} were asked for.`)
  const printed = finishingChances(course.finishing, course.needed, largest)
  if (steps.length === 0) return new Float64Array(most + 1).fill(printed[course.printed]!)
  const { passed, rejected } = course.rate
  const { nodes, weights } = betaQuadrature(passed, rejected, nodesFor(largest, course.layers.length))
  const rows = new Map(steps.map(({ power }) => [power, new BinomialRows(largest)]))
  const sum = new Float64Array(most + 1)
  nodes.forEach((p, node) => {
    // The less a rate weighs, the less of it matters.
    const nothing = mayMiss / weights[node]!
    if (nothing > 0.01) return
    for (const [power, one] of rows) one.use(p ** power, nothing)
    let chances = printed
    for (let k = steps.length - 1; k >= 0; k--)
      chances = before(chances, steps[k]!, rows.get(steps[k]!.power)!, reach[k]!, nothing)
    for (let x = 0; x <= most; x++) sum[x]! += weights[node]! * chances[x]!
  })
  return sum.map((chance) => Math.min(1, chance))
}

/** A chance, and whether it was reckoned roughly: `≈` stands before it then. */
export interface Chance {
  chance: number
  isRough: boolean
}

const sheetsIn = ({ layers, printed }: Course) => layers.reduce((sum, { waiting }) => sum + waiting, printed)

/** The chance that a stack reaches what is needed. */
export function chanceOf(course: Course): Chance {
  const sheets = sheetsIn(course)
  if (course.needed <= 0) return { chance: 1, isRough: false }
  if (sheets < course.needed) return { chance: 0, isRough: false }
  if (sheets > mostSheets) return { chance: roughChance(course), isRough: true }
  return { chance: chancesBySheets(course, course.layers[0]?.waiting ?? 0).at(-1)!, isRough: false }
}

/** The chance by the number of sheets that the first layer is given, 0 … `most`, in place of those that wait for it. */
export function chancesUpTo(course: Course, most: number): { of: Float64Array; isRough: boolean } {
  const [first, ...after] = course.layers
  const others = sheetsIn(course) - (first?.waiting ?? 0)
  if (others + most <= mostSheets) return { of: chancesBySheets(course, most), isRough: false }
  const given = (waiting: number) => ({ ...course, layers: [{ waiting, proofs: first?.proofs ?? 0 }, ...after] })
  return { of: Float64Array.from({ length: most + 1 }, (_, waiting) => roughChance(given(waiting), 24)), isRough: true }
}
