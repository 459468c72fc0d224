import { standings } from '../edition/places'
import type { EditionState } from '../edition/state'
import { isLive, layerNumber } from '../edition/state'
import { awaitingLayers } from '../edition/stack'
import { chanceOfStack, guess, guesses } from '../plan/odds'
import { goal } from '../plan/plan'
import { pace } from './pace'

export interface Outlook {
  /** Prints wanted: edition and proofs. */
  goal: number
  /** Sheets that have come through every layer and stand as good. */
  good: number
  /** Chance that the stack in hand reaches the goal, 0 to 1. */
  chance: number
  /** Pulls of this edition the pass rate rests on, beside the guess worth 25. */
  restsOn: number
  /** Minutes a pull takes, or null while unknown. */
  pace: number | null
}

/**
 * Where a run stands. The pass rate is the starting guess (MODELS M3) updated by this edition's own pulls; warm-up,
 * proofs and void pulls are left out, and doubtful sheets count as alive.
 */
export function outlook(state: EditionState, layerId?: string): Outlook {
  const wanted = state.plan ? goal(state.plan) : 0
  const pulls = state.pulls.filter(pull => isLive(pull) && pull.kind === 'pull')
  const rejected = pulls.filter(pull => pull.verdict === 'reject').length
  const start = guess(guesses.press.rate, guesses.press.strength)
  const rate = { passed: start.passed + pulls.length - rejected, rejected: start.rejected + rejected }
  const waiting = awaitingLayers(state)
  const unfinished = new Set(waiting.map(pile => pile.sheet.id))
  const finishedGood = standings(state).filter(({ place, verdict }) => (place.kind === 'good' || place.kind === 'marked') && verdict === 'good').length
  const doubtfulDone = standings(state).filter(({ sheet, place }) => place.kind === 'doubtful' && !unfinished.has(sheet.id)).length
  const minutes = pace(pulls.filter(pull => !layerId || pull.layerId === layerId).map(pull => Date.parse(pull.at)))
  return {
    goal: wanted,
    good: finishedGood,
    chance: chanceOfStack(rate, waiting.map(pile => pile.layers), wanted - finishedGood - doubtfulDone),
    restsOn: pulls.length,
    pace: minutes,
  }
}

/** Good sheets so far at one layer: alive and not doubtful, or further on. */
export function goodAt(state: EditionState, layerId: string): number {
  const number = layerNumber(state, layerId)
  return standings(state).filter(({ place, verdict }) => {
    if (verdict !== 'good') return false
    if (place.kind === 'good' || place.kind === 'marked') return true
    return (place.kind === 'drying' && place.layer >= number) || (place.kind === 'waiting' && place.layer > number)
  }).length
}
