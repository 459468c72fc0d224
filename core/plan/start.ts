import { chanceBySheets, mostSheets, type PassGroup } from './odds'
import { confidences } from './plan'

export interface StartAnswers {
  /** The fewest sheets for each confidence, or null when more than 600 would be needed. */
  answers: { confidence: number; sheets: number | null }[]
  /** Chance of reaching the goal for every number of sheets from 0 as far as it is worth drawing. */
  chances: Float64Array
}

/** Beyond this the curve has nothing more to tell. */
const nearlyCertain = 0.995

/** How many sheets to start for 80, 90 and 95 %, with the curve they were read from (MODELS M3). */
export function startAnswers(groups: readonly PassGroup[], goal: number): StartAnswers {
  if (goal > mostSheets)
    return { answers: confidences.map((confidence) => ({ confidence, sheets: null })), chances: new Float64Array(0) }
  for (let most = Math.min(mostSheets, Math.max(16, Math.ceil(goal * 1.6))); ; most = Math.min(mostSheets, most * 2)) {
    const chances = chanceBySheets(groups, goal, most)
    if (chances.at(-1)! < nearlyCertain && most < mostSheets) continue
    const enough = (confidence: number) => {
      const found = chances.findIndex((chance, n) => n >= goal && chance >= confidence)
      return found < 0 ? null : found
    }
    const end = enough(nearlyCertain) ?? most
    return {
      answers: confidences.map((confidence) => ({ confidence, sheets: enough(confidence) })),
      chances: chances.slice(0, Math.min(most, end + 4) + 1),
    }
  }
}
