import type { When } from '../ground/envelope'
import { isLive, type Pull } from '../edition/pull'
import type { EditionState } from '../edition/state'
import type { BatchState } from '../stores/batch/state'

type Batch = Pick<BatchState, 'left' | 'draws' | 'keepings' | 'reweighings' | 'runs'> & { id: string }

/** Place in the ledger of the last of them, before everything when there is none. */
const latest = (times: readonly When[]) => times.reduce((last, { position }) => Math.max(last, position), 0)

const pullsWith = (state: EditionState, batchId: string, since: number, more: (pull: Pull) => boolean = () => true) =>
  state.pulls.filter((pull) => isLive(pull) && pull.batchIds.includes(batchId) && pull.position > since && more(pull))
    .length

/** What of a batch is left while a run goes on, as far as its pulls tell. */
export interface InkLeft {
  milligrams: number
  /** What there was at the last weighing, what was drawn for the press since then still counted. */
  of: number
  /** Pulls since then. */
  pulls: number
}

/**
 * The remainder reckoned from pulls (models.md, M4): a weighing is a fact and settles it; a reckoning never enters the ledger.
 * @param perPull what one pull takes, handling and wiping included, mg
 */
export function inkLeft(batch: Batch, state: EditionState, perPull: number): InkLeft {
  const since = latest([...batch.keepings, ...batch.reweighings])
  const atPress = batch.draws
    .filter(({ position, editionStream }) => position > since && editionStream !== '')
    .reduce((sum, { milligrams }) => sum + milligrams, 0)
  const of = batch.left + atPress
  const pulls = pullsWith(state, batch.id, since)
  return { milligrams: Math.max(0, of - pulls * perPull), of, pulls }
}

/** What one run of pulls took of a batch, as far as the book tells. */
export interface RunInk {
  /** Grams drawn for this layer, and what was gone when the rest was kept or weighed; null when neither happened yet. */
  milligrams: number | null
  pulls: number
}

/** The ink of one layer's pulls since its last run was weighed: neither earlier runs’ nor what went into other mixes. */
export function runInk(batch: Batch, state: EditionState, layerId: string): RunInk {
  const isHere = (one: { editionStream: string; layerId: string | null }) =>
    one.editionStream === state.stream && (one.layerId === null || one.layerId === layerId)
  const since = latest(batch.runs.filter(isHere))
  const after = <Happened extends When>(all: readonly Happened[]) => all.filter(({ position }) => position > since)
  const drawn = after(batch.draws).filter(isHere)
  const kept = after(batch.keepings)
  const weighed = after(batch.reweighings)
  const gone = [
    ...drawn.map(({ milligrams }) => milligrams),
    ...kept.map(({ before, left, scraped }) => before - left - scraped),
    ...weighed.map(({ before, after: weight }) => before - weight),
  ]
  return {
    milligrams:
      gone.length === 0
        ? null
        : Math.max(
            0,
            gone.reduce((sum, one) => sum + one, 0),
          ),
    pulls: pullsWith(state, batch.id, since, (pull) => pull.layerId === layerId),
  }
}
