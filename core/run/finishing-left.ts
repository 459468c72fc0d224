import { batchesOf, stepsLeft } from '../edition/finishing'
import { isAlive, placeOf } from '../edition/places'
import type { EditionState } from '../edition/state'
import { stepsOf } from '../finish/plan'
import { paceOver } from './pace'

/** How one step after the press stands. */
export interface StepStanding {
  key: string
  words: string
  done: number
  of: number
  /** Minutes a print takes, from the batches done, pauses left out; null while fewer than two were. */
  minutes: number | null
}

export interface FinishingStanding {
  steps: StepStanding[]
  /** Prints alive that lack nothing any more. */
  finished: number
  of: number
  /** Minutes still for the steps that have shown their pace. */
  minutesLeft: number
  /** Steps that are left and whose pace nobody knows yet. */
  unknown: string[]
}

/** How far the prints are after the press. Prints lost since are left out: nothing more is done on them. */
export function finishingStanding(state: EditionState): FinishingStanding {
  const alive = batchesOf(state)
    .flatMap(({ sheets }) => sheets)
    .filter((sheet) => isAlive(placeOf(state, sheet)))
  const steps = stepsOf(state.finishing).map(({ key, words }) => ({
    key,
    words,
    done: alive.filter(({ finished }) => finished.includes(key)).length,
    of: alive.length,
    minutes: minutesAPrint(state, key),
  }))
  const left = steps.filter(({ done, of }) => done < of)
  return {
    steps,
    finished: alive.filter((sheet) => stepsLeft(state, sheet).length === 0).length,
    of: alive.length,
    minutesLeft: left.reduce((sum, { done, of, minutes }) => sum + (of - done) * (minutes ?? 0), 0),
    unknown: left.flatMap(({ minutes, words }) => (minutes === null ? [words] : [])),
  }
}

/** The pace of a step: from one batch done to the next, spread over the prints of the later one. */
function minutesAPrint({ finishLog }: EditionState, step: string): number | null {
  const entries = finishLog.filter((entry) => entry.step === step)
  // Each print is given its share of the time since the batch before, so that batches of any size weigh as their prints do.
  const times = entries.flatMap(({ at, sheets }, i) => {
    const end = Date.parse(at)
    const before = entries[i - 1]
    if (!before) return [end]
    const start = Date.parse(before.at)
    return Array.from({ length: sheets }, (_, n) => start + ((end - start) * (n + 1)) / sheets)
  })
  return paceOver(times)
}
