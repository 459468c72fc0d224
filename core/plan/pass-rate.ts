import type { EditionPlan } from './plan'
import type { Passes, ShopRecord } from './shop-record'
import { guessPulls, usualFinishing, usualRates } from './work'

/** A pass rate and what it rests on. */
export interface RateBasis {
  /** a and b of the Beta distribution: the guess's share and what was counted. */
  passed: number
  rejected: number
  /** The share expected to pass, 0 to 1. */
  rate: number
  /** Pulls (or sheets) that were counted; 0 while it is all a guess. */
  counted: number
  /** What the guess weighs, in pulls. */
  guess: number
  /** Whose guess, and whose pulls. */
  guessBy: 'usual' | 'printer'
  countedOf: 'nobody' | 'room' | 'printer'
}

/** Her own pulls say more than the room's once there are so many. */
export const ownPullsNeeded = 50

function basis(
  rate: number,
  guess: number,
  stated: boolean,
  past: Passes,
  own: Passes,
  countedOf: RateBasis['countedOf'],
): RateBasis {
  const passed = rate * guess + past.passed + own.passed
  const rejected = guess - rate * guess + past.rejected + own.rejected
  const counted = past.passed + past.rejected + own.passed + own.rejected
  return {
    passed,
    rejected,
    rate: passed / (passed + rejected),
    counted,
    guess,
    guessBy: stated ? 'printer' : 'usual',
    countedOf: counted === 0 ? 'nobody' : countedOf,
  }
}

const none: Passes = { passed: 0, rejected: 0 }

/**
 * The pass rate of one layer (models.md, M3): a guess, the printer's or the usual one, and past pulls of this method and
 * kind of work, the printer's own when there are fifty of them, else the room's.
 * @param record the shop's past without this edition
 * @param own this edition's own pulls so far
 */
export function layerRate(
  plan: Pick<EditionPlan, 'method' | 'work' | 'expected'>,
  record: ShopRecord,
  printer: string | null,
  own: Passes = none,
): RateBasis {
  const line = record.methods.find((known) => known.method === plan.method && known.work === plan.work)
  const hers = printer === null ? undefined : line?.printers[printer]
  const enough = hers !== undefined && hers.passed + hers.rejected >= ownPullsNeeded
  return basis(
    plan.expected?.rate ?? usualRates[plan.work],
    plan.expected?.pulls ?? guessPulls,
    plan.expected !== null,
    enough ? hers : (line?.passes ?? none),
    own,
    enough ? 'printer' : 'room',
  )
}

/** The share of sheets that finishing leaves: curating, colouring, signing. */
export function finishingRate(plan: Pick<EditionPlan, 'finishing'>, record: ShopRecord): RateBasis {
  const stated = plan.finishing ?? usualFinishing
  return basis(stated.rate, stated.pulls, plan.finishing !== null, record.finishing, none, 'room')
}

/** Sheets that the proofs of a later layer take, until the room has had three of them. */
const usualProofSheets = 2
const layersNeeded = 3

/** Sheets that the proofs of one layer take out of the stack: none of the first, which is proved on blank paper. */
export function proofsOfLayer(number: number, { proofs }: Pick<ShopRecord, 'proofs'>): number {
  if (number <= 1) return 0
  return proofs.layers < layersNeeded ? usualProofSheets : Math.max(0, Math.ceil(proofs.sheets / proofs.layers - 1e-9))
}

/** The same of every layer, in order. */
export function proofsOfLayers(layers: number, record: Pick<ShopRecord, 'proofs'>): number[] {
  return Array.from({ length: layers }, (_, i) => proofsOfLayer(i + 1, record))
}

/** What a rate rests on, in words: “a guess, worth 25 pulls”, “from 214 pulls in this room and a guess worth 25”. */
export function restsOn(basis: RateBasis, unit: 'pulls' | 'sheets' = 'pulls'): string {
  const guess = basis.guessBy === 'printer' ? 'the rate you stated' : 'a guess'
  if (basis.counted === 0) return `${guess}, worth ${basis.guess} ${unit}`
  return `from ${basis.counted} ${unit} ${basis.countedOf === 'printer' ? 'of the printer’s own' : 'in this room'} and ${guess} worth ${basis.guess}`
}
