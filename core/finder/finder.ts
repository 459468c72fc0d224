import { type FaultLine, usualLine } from '../print/fault-table'
import { type TrialRecord, type Trials, trialKey } from '../print/remedies'
import { type Factor, factorsFor, type Situation } from './factors'

export interface WeighedCause {
  words: string
  /** Among all causes of the fault, 0 to 1. */
  weight: number
  factors: Factor[]
}

export interface RankedRemedy {
  words: string
  cause: string
  /** Weight of its cause times its chance to work: what it is ranked by. */
  worth: number
  trials: Trials
}

export interface Finding {
  causes: WeighedCause[]
  remedies: RankedRemedy[]
}

/** Chance that a remedy works before anyone tried it here, by its place; worth so many trials. */
const priorMeans = [0.6, 0.45, 0.35, 0.3]
const priorStrength = 4

/**
 * Causes in order, and one thing to try first (models.md, M16): the table's order as 2^−rank, what the situation says, and what
 * worked in this room. A remedy of several causes counts for all of them.
 * @param line the room's own causes and remedies, where it has them
 * @returns nothing for a fault without causes
 */
export function findCause(
  fault: string,
  situation: Situation,
  record: TrialRecord,
  { causes: known }: Pick<FaultLine, 'causes'> = usualLine(fault),
): Finding {
  const raw = known.map((cause, rank) => {
    const factors = factorsFor(cause, situation)
    return { cause, factors, weight: factors.reduce((weight, { by }) => weight * by, 2 ** -rank) }
  })
  const sum = raw.reduce((all, { weight }) => all + weight, 0)
  const causes = raw
    .map(({ cause, factors, weight }) => ({ words: cause.words, weight: weight / sum, factors }))
    .sort((a, b) => b.weight - a.weight)
  const ranked = new Map<string, RankedRemedy>()
  for (const { cause, weight } of raw)
    for (const words of cause.remedies) {
      const remedy = ranked.get(words) ?? {
        words,
        cause: cause.words,
        worth: 0,
        trials: record[trialKey(fault, words)] ?? none,
      }
      ranked.set(words, remedy)
      remedy.worth += (weight / sum) * chanceToWork([...ranked.keys()].indexOf(words), remedy.trials)
    }
  return { causes, remedies: [...ranked.values()].sort((a, b) => b.worth - a.worth) }
}

const none: Trials = { worked: 0, tried: 0 }

/** By a remedy's place among those of its fault, and by what came of it here. */
function chanceToWork(place: number, { worked, tried }: Trials): number {
  const mean = priorMeans[Math.min(place, priorMeans.length - 1)]!
  return (priorStrength * mean + worked) / (priorStrength + tried)
}
