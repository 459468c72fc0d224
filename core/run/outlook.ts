import { isAlive, standings } from '../edition/places'
import type { EditionState } from '../edition/state'
import { isLive } from '../edition/pull'
import { layerNumber } from '../edition/layer'
import { goal, planDefaults } from '../plan/plan'
import { noRecord, type Passes, type ShopRecord } from '../plan/shop-record'
import { chanceOfStack } from '../plan/odds'
import { finishingRate, layerRate, type RateBasis } from '../plan/pass-rate'
import { pace } from './pace'

/** The stack in hand as the chance of reaching the goal sees it. */
export interface Stack {
  /** Prints wanted: edition and proofs. */
  goal: number
  /** Prints that nothing can take any more: numbered, or curated good with every layer on them. */
  certain: number
  /** For every other sheet alive, doubtful ones too, the layers it still has to meet; all have finishing before them. */
  layersToGo: number[]
  /** This edition's own pulls. */
  own: Passes
  /** Who pulled last, whose own rate is then reckoned with. */
  printer: string | null
}

export interface Outlook {
  goal: number
  /** Sheets that have come through every layer and stand as good. */
  good: number
  /** Chance that the stack in hand reaches the goal, 0 to 1. */
  chance: number
  /** The same when the doubtful sheets are given up. */
  chanceWithoutDoubtful: number
  rate: RateBasis
  /** Minutes a pull takes, or null while unknown. */
  pace: number | null
}

/** What the chance rests on, from the edition's own ledger. Layers planned and not yet added are reckoned with. */
export function stackOf(state: EditionState, withDoubtful = true): Stack {
  const pulls = state.pulls.filter((pull) => isLive(pull) && pull.kind === 'pull')
  const rejected = pulls.filter((pull) => pull.verdict === 'reject').length
  const still = Math.max(0, (state.plan?.layersPlanned ?? 1) - state.layers.length)
  let certain = 0
  const layersToGo: number[] = []
  for (const { sheet, place, layers } of standings(state)) {
    if (!isAlive(place) || (place.kind === 'doubtful' && !withDoubtful)) continue
    if (sheet.mark || (place.kind === 'good' && place.curated && still === 0)) certain += 1
    else layersToGo.push(state.layers.filter((layer) => !layers.includes(layer.id)).length + still)
  }
  return {
    goal: state.plan ? goal(state.plan) : 0,
    certain,
    layersToGo,
    own: { passed: pulls.length - rejected, rejected },
    printer: pulls.at(-1)?.by ?? null,
  }
}

/** The chance that a stack reaches its goal. */
export function chanceFor(
  stack: Stack,
  plan: Parameters<typeof layerRate>[0] & Parameters<typeof finishingRate>[0],
  record: ShopRecord,
): number {
  const finishing = finishingRate(plan, record)
  return chanceOfStack(
    layerRate(plan, record, stack.printer, stack.own),
    stack.layersToGo,
    stack.goal - stack.certain,
    { layers: 1, passed: finishing.passed, rejected: finishing.rejected },
  )
}

/**
 * Where a run stands. The pass rate is the guess updated by the shop's past and this edition's own pulls (MODELS M3);
 * warm-up, proofs and void pulls are left out, and doubtful sheets count as alive.
 * @param record the shop's past without this edition
 */
export function outlook(state: EditionState, record: ShopRecord = noRecord, layerId?: string): Outlook {
  const plan = state.plan ?? { ...planDefaults, method: 'single' as const }
  const stack = stackOf(state)
  const doubtful = standings(state).some(({ place }) => place.kind === 'doubtful')
  const chance = chanceFor(stack, plan, record)
  const times = state.pulls
    .filter((pull) => isLive(pull) && pull.kind === 'pull' && (!layerId || pull.layerId === layerId))
    .map((pull) => Date.parse(pull.at))
  return {
    goal: stack.goal,
    good: standings(state).filter(
      ({ place, verdict }) => (place.kind === 'good' || place.kind === 'marked') && verdict === 'good',
    ).length,
    chance,
    chanceWithoutDoubtful: doubtful ? chanceFor(stackOf(state, false), plan, record) : chance,
    rate: layerRate(plan, record, stack.printer, stack.own),
    pace: pace(times),
  }
}

/**
 * How many more sheets of this layer, of those in hand that carry every layer before it, would lift the chance to a
 * confidence: what a gate asks before the block is cut further.
 * @param waiting sheets that wait for the layer
 * @param layersAfter layers after it
 * @returns the fewest more pulls, 0 when there are enough already, or null when all of them would not do
 */
export function morePullsFor(
  stack: Stack,
  waiting: number,
  layersAfter: number,
  plan: Parameters<typeof chanceFor>[1],
  record: ShopRecord,
  confidence: number,
): number | null {
  // Sheets left unpulled at the gate can never become prints, so they are taken out and added one by one.
  const others = [...stack.layersToGo]
  for (let i = 0; i < waiting; i++) others.splice(others.lastIndexOf(layersAfter + 1), 1)
  for (let more = 0; more <= waiting; more++) {
    const layersToGo = [...others, ...Array<number>(more).fill(layersAfter + 1)]
    if (chanceFor({ ...stack, layersToGo }, plan, record) >= confidence) return more
  }
  return null
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
