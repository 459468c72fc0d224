/** Weight of the newest grade, and how many spreads of the average make a warning (models.md, M11). */
const weight = 0.3
const spreads = 2.7
/** Grades that must be known before their own spread replaces 1. */
const knownFrom = 20

/** How pulls were graded against the standard: −2 far too little ink, 0 as the standard, +2 far too much. */
export interface InkTrend {
  /** Moving average of the grades since it was started anew. */
  average: number
  limit: number
  isAlarm: boolean
  /** Grades it rests on. */
  graded: number
}

/** A grade, or that something was adjusted, in the order they happened. */
export type Graded = number | 'adjusted'

/**
 * Where the ink is going. The average is started anew after each adjustment; the spread is that of the grades while they
 * were in control, 1 until twenty are known.
 */
export function inkTrend(grades: readonly Graded[]): InkTrend {
  const inControl: number[] = []
  let average = 0
  let graded = 0
  let limit = limitFor(inControl)
  let isAlarm = false
  for (const grade of grades) {
    if (grade === 'adjusted') {
      average = 0
      graded = 0
      isAlarm = false
      limit = limitFor(inControl)
      continue
    }
    average = weight * grade + (1 - weight) * average
    graded += 1
    if (Math.abs(average) > limit) isAlarm = true
    if (!isAlarm) inControl.push(grade)
  }
  return { average, limit, isAlarm: isAlarm && Math.abs(average) > limit, graded }
}

function limitFor(inControl: readonly number[]): number {
  return spreads * spreadOf(inControl) * Math.sqrt(weight / (2 - weight))
}

function spreadOf(grades: readonly number[]): number {
  if (grades.length < knownFrom) return 1
  const mean = grades.reduce((sum, grade) => sum + grade, 0) / grades.length
  const variance = grades.reduce((sum, grade) => sum + (grade - mean) ** 2, 0) / (grades.length - 1)
  // Grades that are all alike would call every other one a drift.
  return Math.max(0.25, Math.sqrt(variance))
}
