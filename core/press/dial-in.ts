/** What is tried step by step at the press: how far the gap is set below the stack, packing, and how the roller is charged. */
export type Quantity = 'nip' | 'packing' | 'charges' | 'passes'
export const quantities: readonly Quantity[] = ['nip', 'packing', 'charges', 'passes']

/** How a print came out: −2 far too light to 2 far too heavy, 0 right. */
export type Grade = -2 | -1 | 0 | 1 | 2
export const grades: readonly Grade[] = [-2, -1, 0, 1, 2]

/** One proof as a test. A greater quantity prints heavier. */
export interface ProofTest {
  /** The proof's pull. */
  id: string
  /** What a bracket belongs to: one paper, block state and batch. */
  paper: string
  isNewsprint: boolean
  state: string
  batch: string
  quantities: Record<Quantity, number>
  /** The impression, for nip and packing; null when it was not judged. */
  pressure: Grade | null
  /** The ink, for charges and passes; null when it was not judged. */
  ink: Grade | null
}

/** What the proofs say of one quantity. */
export interface Bracket {
  /** The heaviest setting that was too light, and the lightest that was too heavy. */
  light: number | null
  heavy: number | null
  right: number | null
  /** The light bound was right on newsprint: good paper wants a little more. */
  fromNewsprint: boolean
  /** Proofs that contradict one another, by id: one too light at a setting where another was too heavy. */
  contradict: string[]
}

export type NextTest =
  | { kind: 'right'; value: number }
  | { kind: 'try'; value: number }
  | { kind: 'between'; light: number; heavy: number }
  | { kind: 'contradiction'; proofs: string[] }
  | { kind: 'unknown' }

const gradeOf = (test: ProofTest, quantity: Quantity) =>
  quantity === 'nip' || quantity === 'packing' ? test.pressure : test.ink

const near = (a: number, b: number) => Math.abs(a - b) < 1e-9

/** What differs between two proofs. */
function changedBetween(before: ProofTest, after: ProofTest): Quantity[] {
  return quantities.filter((quantity) => !near(before.quantities[quantity], after.quantities[quantity]))
}

/** Proofs that changed more than one thing since the one before: they bound nothing. */
export function changedSeveral(tests: readonly ProofTest[]): string[] {
  return tests.flatMap((test, i) => (i > 0 && changedBetween(tests[i - 1]!, test).length > 1 ? [test.id] : []))
}

/** Proofs that tell of this quantity as the newest proof stands: same paper, state, batch and all else at the press alike. */
function telling(tests: readonly ProofTest[], quantity: Quantity): ProofTest[] {
  const last = tests.at(-1)
  if (!last) return []
  const several = new Set(changedSeveral(tests))
  return tests.filter(
    (test) =>
      !several.has(test.id) &&
      test.state === last.state &&
      test.batch === last.batch &&
      (test.paper === last.paper || (test.isNewsprint && !last.isNewsprint)) &&
      changedBetween(test, last).every((changed) => changed === quantity) &&
      gradeOf(test, quantity) !== null,
  )
}

/**
 * Where the right setting lies, by what was judged (models.md, M10). What was right on newsprint is the good paper's first lower
 * bound; nothing else of newsprint counts for it.
 */
export function bracketOf(tests: readonly ProofTest[], quantity: Quantity): Bracket {
  const last = tests.at(-1)
  const told = telling(tests, quantity)
  const own = told.filter((test) => test.paper === last?.paper)
  const value = (test: ProofTest) => test.quantities[quantity]
  const graded = (fits: (grade: Grade) => boolean) => own.filter((test) => fits(gradeOf(test, quantity)!))
  const lights = graded((grade) => grade < 0)
  const heavies = graded((grade) => grade > 0)
  const rights = graded((grade) => grade === 0)
  const newsprint = told.filter((test) => test.paper !== last?.paper && gradeOf(test, quantity) === 0)
  const lightest = highest(lights.map(value))
  const carried = highest(newsprint.map(value))
  const heavy = lowest(heavies.map(value))
  // A guess carried over gives way to what the paper itself says.
  const fromNewsprint =
    carried !== null && (lightest === null || carried > lightest) && (heavy === null || carried < heavy)
  const light = fromNewsprint ? carried : lightest
  const against = (test: ProofTest) =>
    lights.some((one) => value(one) >= value(test)) ? lights.filter((one) => value(one) >= value(test)) : []
  const contradict = [
    ...heavies.flatMap((test) => [...against(test), ...(against(test).length > 0 ? [test] : [])]),
    ...rights.filter(
      (test) => (lightest !== null && value(test) < lightest) || (heavy !== null && value(test) > heavy),
    ),
  ]
  return {
    light,
    heavy,
    right: rights.length > 0 ? value(rights.at(-1)!) : null,
    fromNewsprint,
    contradict: [...new Set(contradict.map(({ id }) => id))],
  }
}

const highest = (values: number[]) => (values.length === 0 ? null : Math.max(...values))
const lowest = (values: number[]) => (values.length === 0 ? null : Math.min(...values))

/**
 * The next setting worth trying: between both bounds the middle, to the press's smallest step; beyond a single bound a step of
 * twice the last. Contradictions are shown and not averaged.
 * @param step the smallest the press can do
 */
export function nextTest(tests: readonly ProofTest[], quantity: Quantity, step: number): NextTest {
  const bracket = bracketOf(tests, quantity)
  if (bracket.contradict.length > 0) return { kind: 'contradiction', proofs: bracket.contradict }
  if (bracket.right !== null) return { kind: 'right', value: bracket.right }
  const { light, heavy } = bracket
  // In whole steps from where one has been: those are the marks of the screw, whatever the stack is high.
  const toStep = (value: number, from: number) => from + Math.round((value - from) / step + 1e-9) * step
  if (light !== null && heavy !== null) {
    const middle = toStep((light + heavy) / 2, light)
    return middle > light + 1e-9 && middle < heavy - 1e-9
      ? { kind: 'try', value: middle }
      : { kind: 'between', light, heavy }
  }
  const further = 2 * lastStep(tests, quantity, step)
  if (light !== null) return { kind: 'try', value: toStep(light + further, light) }
  if (heavy !== null) return { kind: 'try', value: Math.max(0, toStep(heavy - further, heavy)) }
  return { kind: 'unknown' }
}

/** How far this quantity was moved last, at least the smallest step. */
function lastStep(tests: readonly ProofTest[], quantity: Quantity, step: number): number {
  const moves = tests
    .slice(1)
    .map((test, i) => Math.abs(test.quantities[quantity] - tests[i]!.quantities[quantity]))
    .filter((move) => move > 1e-9)
  return Math.max(step, moves.at(-1) ?? step)
}
