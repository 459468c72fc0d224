import { goal } from '../plan/plan'
import type { EditionState } from './state'
import { setupInForce } from './layer'
import { figures } from './count'
import { layerAtPress, unfinished, waitingFor } from './stack'
import { tallied } from './tally'

export type StopKey = 'plan' | 'block' | 'paper' | 'press' | 'ink' | 'prove' | 'pull' | 'curate' | 'sign' | 'close'

export interface Stop {
  key: StopKey
  name: string
  /** The one telling figure. */
  figure: string
  state: 'done' | 'open' | 'not yet'
}

function plural(count: number, one: string, many = `${one}s`): string {
  return `${count} ${count === 1 ? one : many}`
}

/** Pulled of all that come to the press for the layer there. */
function pulledOf(edition: EditionState): string {
  const layer = layerAtPress(edition)
  if (!layer) return ''
  const pulled = tallied(edition, `pulled ${layer.id}`)
  return `${pulled} of ${pulled + waitingFor(edition, layer)}`
}

/** The edition's way on one strip of paper: each stop with its state and its telling figure. */
export function stops(edition: EditionState): Stop[] {
  const at = figures(edition)
  const layers = edition.layers
  const set = layers.filter((layer) => setupInForce(layer) !== null).length
  const inked = layers.filter((layer) => layer.zones.every((zone) => zone.batchId !== null)).length
  const proofs = tallied(edition, 'live proof')
  const waiting = unfinished(edition)
  const curated = tallied(edition, 'curated good')
  const wanted = edition.plan ? goal(edition.plan) : 0
  const stop = (key: StopKey, name: string, figure: string, done: boolean, begun: boolean): Stop => ({
    key,
    name,
    figure,
    state: done ? 'done' : begun ? 'open' : 'not yet',
  })
  return [
    stop('plan', 'Plan', `${wanted} prints`, true, true),
    stop(
      'block',
      'Block',
      edition.blocks.length > 0 ? plural(edition.blocks.length, 'block') : 'none yet',
      edition.blocks.length > 0,
      edition.blocks.length > 0,
    ),
    stop('paper', 'Paper', at.made === 0 ? 'none torn' : `${at.made} torn`, at.made >= wanted, at.made > 0),
    stop(
      'press',
      'Press',
      set === layers.length ? 'set' : `${set} of ${layers.length} set`,
      set === layers.length,
      set > 0,
    ),
    stop(
      'ink',
      'Ink',
      inked === layers.length ? plural(inked, 'layer') : `${inked} of ${layers.length}`,
      inked === layers.length,
      inked > 0,
    ),
    stop(
      'prove',
      'Prove',
      edition.bat ? 'BAT' : proofs > 0 ? plural(proofs, 'proof') : 'no BAT',
      edition.bat !== null,
      proofs > 0,
    ),
    stop(
      'pull',
      'Pull',
      at.made === 0 ? 'not yet' : waiting === 0 ? 'all pulled' : pulledOf(edition),
      at.made > 0 && waiting === 0,
      edition.pulls.length > 0,
    ),
    stop(
      'curate',
      'Curate',
      curated > 0 ? `${curated} good` : at.good > 0 ? `${at.good} to see` : 'not yet',
      curated > 0 && curated >= at.good,
      at.good > 0 && waiting === 0,
    ),
    stop(
      'sign',
      'Sign',
      at.numbered > 0 ? `${at.signed} of ${at.numbered}` : 'not yet',
      at.numbered > 0 && at.signed === at.numbered,
      at.numbered > 0,
    ),
    stop('close', 'Close', edition.closedAt ? 'closed' : 'open', edition.closedAt !== null, at.signed > 0),
  ]
}

/** The state of an edition in a word, for lists. */
export function stateWord(
  edition: EditionState,
): 'closed' | 'signing' | 'numbering' | 'pulling' | 'proving' | 'planned' {
  if (edition.closedAt) return 'closed'
  const at = figures(edition)
  if (at.signed > 0 || at.numbered > 0) return 'signing'
  if (at.made > 0 && at.good > 0 && unfinished(edition) === 0) return 'numbering'
  if (tallied(edition, 'live pull') > 0) return 'pulling'
  return edition.pulls.length > 0 || edition.made > 0 ? 'proving' : 'planned'
}
