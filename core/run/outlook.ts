import { passesOf } from '../edition/passes'
import type { EditionState } from '../edition/state'
import { isLive, newestPulls } from '../edition/pull'
import { layerNumber } from '../edition/layer'
import { planDefaults } from '../plan/defaults'
import { goal } from '../plan/plan'
import { noRecord, type Passes, type ShopRecord } from '../plan/shop-record'
import { type Chance, chanceOf, type Course } from '../plan/odds'
import { finishingRate, layerRate, proofsOfLayer, type RateBasis } from '../plan/pass-rate'
import { tallied, talliedUnder } from '../edition/tally'
import { pace, pacePulls } from './pace'

/** The stack in hand as the chance of reaching the goal sees it. */
export interface Stack {
  /** Prints wanted: edition and proofs. */
  goal: number
  /** Prints that nothing can take any more: numbered, or curated good with every layer on them. */
  certain: number
  /** Other sheets alive that carry every layer, doubtful ones too: only finishing lies before them. */
  printed: number
  /** Every layer of the edition, those planned and not yet added too, with the sheets alive that wait for it. */
  layers: LayerInHand[]
  /** This edition's own pulls. */
  own: Passes
  /** Who pulled last, whose own rate is then reckoned with. */
  printer: string | null
}

/** One layer as the stack in hand has it. */
export interface LayerInHand {
  waiting: number
  /** False of a layer that is laid without a press: nothing is lost there as at a press, and it takes no proofs. */
  isPulled: boolean
  /** True once it is being pulled: it needs no more proofs. */
  isBegun: boolean
  /** Sheets that its proofs took already. */
  proofed: number
}

export interface Outlook {
  goal: number
  /** Sheets that have come through every layer and stand as good. */
  good: number
  /** Chance that the stack in hand reaches the goal, 0 to 1. */
  chance: number
  /** The same when the doubtful sheets are given up. */
  chanceWithoutDoubtful: number
  /** True when the stack is so large that the chances are reckoned roughly. */
  isRough: boolean
  rate: RateBasis
  /** Minutes a pull takes, or null while unknown. */
  pace: number | null
}

/** What the chance rests on, from the edition's own ledger. Layers planned and not yet added are reckoned with. */
export function stackOf(state: EditionState, withDoubtful = true): Stack {
  const still = Math.max(0, (state.plan?.layersPlanned ?? 1) - state.layers.length)
  const kinds = ['to go', ...(withDoubtful ? ['doubtful, to go'] : []), ...(still > 0 ? ['curated, to go'] : [])]
  const layers: LayerInHand[] = Array.from({ length: state.layers.length + still }, (_, i) => {
    const id = state.layers[i]?.id
    return {
      waiting: 0,
      isPulled: !state.layers[i]?.withoutPull,
      isBegun: id !== undefined && tallied(state, `pulled ${id}`) > 0,
      proofed: id === undefined ? 0 : tallied(state, `proofed ${id}`),
    }
  })
  let printed = 0
  for (const kind of kinds)
    for (const [lacking, sheets] of talliedUnder(state, `${kind} `)) {
      const next = layers[state.layers.length - Number(lacking)]
      if (next) next.waiting += sheets
      else printed += sheets
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
    printed,
    layers,
    own,
    printer: newest?.by ?? null,
  }
}

export type Reckoning = Parameters<typeof layerRate>[0] & Parameters<typeof finishingRate>[0]

/** What a stack has yet to come through, from the layer of that place on. */
export function courseOf(stack: Stack, plan: Reckoning, record: ShopRecord, from = 0): Course {
  const layers: { waiting: number; proofs: number }[] = []
  // Sheets that wait for a layer without a pull have the next press before them as if it were laid.
  let waitingBefore = 0
  for (const [i, { waiting, isPulled, isBegun, proofed }] of stack.layers.slice(from).entries()) {
    waitingBefore += waiting
    if (!isPulled) continue
    const proofs = isBegun ? 0 : Math.max(0, proofsOfLayer(from + i + 1, record) - proofed)
    layers.push({ waiting: waitingBefore, proofs })
    waitingBefore = 0
  }
  return {
    rate: layerRate(plan, record, stack.printer, stack.own),
    layers,
    printed: stack.printed + waitingBefore,
    finishing: finishingRate(plan, record),
    needed: stack.goal - stack.certain,
  }
}

/** Layers that are pulled at a press, those planned and not yet added too. */
export const layersPulled = ({ layers }: EditionState, planned: number): number =>
  Math.max(layers.length, planned) - layers.filter(({ withoutPull }) => withoutPull).length

/** The chance that a stack reaches its goal. */
export function chanceFor(stack: Stack, plan: Reckoning, record: ShopRecord): Chance {
  return chanceOf(courseOf(stack, plan, record))
}

/**
 * Where a run stands. The pass rate is the guess updated by the shop's past and this edition's own pulls (models.md, M3);
 * warm-up, proofs and void pulls are left out, and doubtful sheets count as alive.
 * @param record the shop's past without this edition
 */
export function outlook(state: EditionState, record: ShopRecord = noRecord, layerId?: string): Outlook {
  const plan = state.plan ?? { ...planDefaults, method: 'single' as const }
  const stack = stackOf(state)
  const doubtful = tallied(state, 'is doubtful') > 0
  const { chance, isRough } = chanceFor(stack, plan, record)
  const times = newestPulls(
    state,
    pacePulls,
    (pull) => isLive(pull) && pull.kind === 'pull' && (!layerId || pull.layerId === layerId),
  )
  return {
    goal: stack.goal,
    good: tallied(state, 'good good') + tallied(state, 'good marked'),
    chance,
    chanceWithoutDoubtful: doubtful ? chanceFor(stackOf(state, false), plan, record).chance : chance,
    isRough,
    rate: layerRate(plan, record, stack.printer, stack.own),
    pace: pace(times.map((pull) => Date.parse(pull.at))),
  }
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
