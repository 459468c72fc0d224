import { type BetaRate, chanceOf, chancesBySheets, type Chance, type Course, mostSheets } from './odds'
import { confidences } from './plan'
import { roughChance } from './rough-chance'

/** What the sheets of an edition meet from the first layer on. */
export interface StartCourse {
  rate: BetaRate
  /** Sheets that the proofs of each layer take, in order. */
  proofs: readonly number[]
  finishing: BetaRate | null
  needed: number
}

export interface StartAnswers {
  /** The fewest sheets for each confidence, or null when more than 600 would be needed. */
  answers: { confidence: number; sheets: number | null }[]
  /** Chance of reaching the goal for every number of sheets from 0 as far as it is worth drawing. */
  chances: Float64Array
}

/** Beyond this the curve has nothing more to tell. */
const nearlyCertain = 0.995

/** The course of so many sheets that are still blank. */
export const courseFrom = ({ rate, proofs, finishing, needed }: StartCourse, sheets: number): Course => ({
  rate,
  layers: proofs.map((taken, i) => ({ waiting: i === 0 ? sheets : 0, proofs: taken })),
  printed: 0,
  finishing,
  needed,
})

/** The fewest sheets for a confidence, or null when more would be needed than the chances tell of. */
export function fewestSheets(chances: Float64Array, needed: number, confidence: number): number | null {
  const found = chances.findIndex((chance, sheets) => sheets >= needed && chance >= confidence)
  return found < 0 ? null : found
}

/** How many sheets to start for 80, 90 and 95 %, with the curve they were read from (models.md, M3). */
export function startAnswers(course: StartCourse): StartAnswers {
  const { needed } = course
  if (needed > mostSheets)
    return { answers: confidences.map((confidence) => ({ confidence, sheets: null })), chances: new Float64Array(0) }
  for (let most = farEnough(course); ; most = Math.min(mostSheets, Math.ceil(most * 1.25))) {
    const chances = chancesBySheets(courseFrom(course, 0), most)
    if (chances.at(-1)! < nearlyCertain && most < mostSheets) continue
    const enough = (confidence: number) => fewestSheets(chances, needed, confidence)
    const end = enough(nearlyCertain) ?? most
    return {
      answers: confidences.map((confidence) => ({ confidence, sheets: enough(confidence) })),
      chances: chances.slice(0, Math.min(most, end + 4) + 1),
    }
  }
}

/** As many sheets as the rough chance takes to be nearly certain, and some more. */
function farEnough(course: StartCourse): number {
  let least = course.needed
  let most = mostSheets
  while (least < most) {
    const middle = (least + most) >> 1
    if (roughChance(courseFrom(course, middle), 24) >= nearlyCertain) most = middle
    else least = middle + 1
  }
  return Math.min(mostSheets, least + 16)
}

/** The chance of reaching what is needed from that many sheets. */
export function chanceFrom(course: StartCourse, sheets: number): Chance {
  return chanceOf(courseFrom(course, sheets))
}
