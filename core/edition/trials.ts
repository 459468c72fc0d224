import { trialKey, type TrialRecord, type Trials } from '../print/remedies'
import { type TrialOutcome, trialOutcome } from '../finder/trials'
import { isLive, type Pull } from './pull'
import type { EditionState, Trial } from './state'

/** Pulls that settle a trial or show how often the fault came: those of its layer that somebody judged. */
const isJudged = (pull: Pull, layerId: string) =>
  pull.layerId === layerId && isLive(pull) && (pull.kind === 'pull' || pull.kind === 'proof')

/** At most so many pulls are asked for before and after. */
const lookedAt = 16

function judgedFrom(pulls: readonly Pull[], from: number, step: 1 | -1, layerId: string): Pull[] {
  const found: Pull[] = []
  for (let i = from; i >= 0 && i < pulls.length && found.length < lookedAt; i += step)
    if (isJudged(pulls[i]!, layerId)) found.push(pulls[i]!)
  return step === 1 ? found : found.reverse()
}

/** How a trial stands, by the pulls of its layer before and after it. */
export function outcomeOf({ pulls }: Pick<EditionState, 'pulls'>, { afterPull, layerId, fault }: Trial): TrialOutcome {
  return trialOutcome(fault, judgedFrom(pulls, afterPull - 1, -1, layerId), judgedFrom(pulls, afterPull, 1, layerId))
}

/** What this edition's settled trials add to the room's record; one never followed up counts for nothing. */
export function trialsOf(state: Pick<EditionState, 'pulls' | 'trials'>): TrialRecord {
  const record: Record<string, Trials> = {}
  for (const trial of state.trials) {
    const outcome = outcomeOf(state, trial)
    if (outcome === 'open') continue
    const line = (record[trialKey(trial.fault, trial.remedy)] ??= { worked: 0, tried: 0 })
    line.tried += 1
    if (outcome === 'worked') line.worked += 1
  }
  return record
}
