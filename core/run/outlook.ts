import { passesOf } from '../edition/passes'
import type { EditionState } from '../edition/state'
import { isLive, newestPulls } from '../edition/pull'
import { layerNumber } from '../edition/layer'
import { goal, planDefaults } from '../plan/plan'
import { noRecord, type Passes, type ShopRecord } from '../plan/shop-record'
import { chanceOfStack, type Piles } from '../plan/odds'
import { finishingRate, layerRate, type RateBasis } from '../plan/pass-rate'
import { tallied, talliedUnder } from '../edition/tally'
import { pace, pacePulls } from './pace'

/** The stack in hand as the chance of reaching the goal sees it. */
export interface Stack {
  /** Prints wanted: edition and proofs. */
  goal: number
  /** Prints that nothing can take any more: numbered, or curated good with every layer on them. */
  certain: number
  /** Every other sheet alive, doubtful ones too, by the layers it still has to meet; all have finishing before them. */
  piles: Piles
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
  const still = Math.max(0, (state.plan?.layersPlanned ?? 1) - state.layers.length)
  const kinds = ['to go', ...(withDoubtful ? ['doubtful, to go'] : []), ...(still > 0 ? ['curated, to go'] : [])]
  const piles: number[] = []
  for (const kind of kinds)
    for (const [layers, sheets] of talliedUnder(state, `${kind} `)) {
      const toGo = Number(layers) + still
      piles[toGo] = (piles[toGo] ?? 0) + sheets
    }
  const own = { passed: 0, rejected: 0 }
  for (const { passed, rejected } of Object.values(passesOf(state).printers)) {
    own.passed += passed
    own.rejected += rejected
  }
  const [newest] = newestPulls(state, 1, (pull) => isLive(pull) && pull.kind === 'pull')
  return {
    goal: state.plan ? goal(state.plan) : 0,
    certain: tallied(state, 'certain') + (still === 0 ? tallied(state, 'curated, to go 0') : 0),
    piles: Array.from(piles, (sheets) => sheets ?? 0),
    own,
    printer: newest?.by ?? null,
  }
}

/** The chance that a stack reaches its goal. */
export function chanceFor(
  stack: Stack,
  plan: Parameters<typeof layerRate>[0] & Parameters<typeof finishingRate>[0],
  record: ShopRecord,
): number {
  const finishing = finishingRate(plan, record)
  return chanceOfStack(layerRate(plan, record, stack.printer, stack.own), stack.piles, stack.goal - stack.certain, {
    layers: 1,
    passed: finishing.passed,
    rejected: finishing.rejected,
  })
}

/**
 * Where a run stands. The pass rate is the guess updated by the shop's past and this edition's own pulls (MODELS M3);
 * warm-up, proofs and void pulls are left out, and doubtful sheets count as alive.
 * @param record the shop's past without this edition
 */
export function outlook(state: EditionState, record: ShopRecord = noRecord, layerId?: string): Outlook {
  const plan = state.plan ?? { ...planDefaults, method: 'single' as const }
  const stack = stackOf(state)
  const doubtful = tallied(state, 'is doubtful') > 0
  const chance = chanceFor(stack, plan, record)
  const times = newestPulls(
    state,
    pacePulls,
    (pull) => isLive(pull) && pull.kind === 'pull' && (!layerId || pull.layerId === layerId),
  )
  return {
    goal: stack.goal,
    good: tallied(state, 'good good') + tallied(state, 'good marked'),
    chance,
    chanceWithoutDoubtful: doubtful ? chanceFor(stackOf(state, false), plan, record) : chance,
    rate: layerRate(plan, record, stack.printer, stack.own),
    pace: pace(times.map((pull) => Date.parse(pull.at))),
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
  const toGo = layersAfter + 1
  const others = (stack.piles[toGo] ?? 0) - waiting
  for (let more = 0; more <= waiting; more++) {
    const piles = [...stack.piles]
    piles[toGo] = others + more
    if (chanceFor({ ...stack, piles: Array.from(piles, (sheets) => sheets ?? 0) }, plan, record) >= confidence)
      return more
  }
  return null
}

/** Good sheets so far at one layer: alive and not doubtful, or further on. */
export function goodAt(state: EditionState, layerId: string): number {
  const number = layerNumber(state, layerId)
  const from = (kind: 'drying' | 'waiting', least: number) =>
    [...talliedUnder(state, `good ${kind} `)].reduce((sum, [at, sheets]) => sum + (Number(at) >= least ? sheets : 0), 0)
  return (
    tallied(state, 'good good') + tallied(state, 'good marked') + from('drying', number) + from('waiting', number + 1)
  )
}
