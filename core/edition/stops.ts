import { pluralise } from '../units/pluralise'
import { stepsOf } from '../finish/plan'
import { goal } from '../plan/plan'
import { isOpenWork } from '../print/series'
import type { EditionState } from './state'
import { setupInForce } from './layer'
import { figures } from './count'
import { pullsFor } from './lock-up'
import { layerAtPress, unfinished, waitingFor } from './stack'
import { batOf } from './standards'
import { tallied } from './tally'

export type StopKey =
  'plan' | 'block' | 'paper' | 'press' | 'ink' | 'prove' | 'pull' | 'dry' | 'finish' | 'curate' | 'sign' | 'close'

export interface Stop {
  key: StopKey
  name: string
  /** The one telling figure. */
  figure: string
  state: 'done' | 'open' | 'not yet'
}

function plural(count: number, one: string, many = `${one}s`): string {
  return count === 1 ? `one ${one}` : `${count} ${many}`
}

/** Pulls given of all that the layer at the press takes. */
function pulledOf(edition: EditionState): string {
  const layer = layerAtPress(edition)
  if (!layer) return ''
  const pulled = tallied(edition, `pulled ${layer.id}`)
  return `${pulled} of ${pulled + pullsFor(edition, layer, waitingFor(edition, layer))}`
}

/** A stop's telling figure, and how far it is. */
type StopFigure = Omit<Stop, 'key' | 'name'>

/** What is done is done, however little of it was begun. */
const progress = (figure: string, isDone: boolean, isBegun: boolean): StopFigure => {
  if (isDone) return { figure, state: 'done' }
  return { figure, state: isBegun ? 'open' : 'not yet' }
}

/** What is got ready: the block, paper, press and ink. */
function preparing(edition: EditionState, wanted: number): Record<'block' | 'paper' | 'press' | 'ink', StopFigure> {
  const { blocks } = edition
  const layers = edition.layers.filter(({ withoutPull }) => !withoutPull)
  const { made } = figures(edition)
  const set = layers.filter((layer) => setupInForce(layer) !== null).length
  const inked = layers.filter((layer) => layer.zones.every((zone) => zone.batchId !== null)).length
  const all = layers.length
  const hasBlock = blocks.length > 0
  return {
    block: progress(hasBlock ? plural(blocks.length, 'block') : 'none yet', hasBlock, hasBlock),
    paper: progress(made === 0 ? 'none torn' : `${made} torn`, made > 0 && made >= wanted, made > 0),
    press: progress(set === all ? 'set' : `${set} of ${all} set`, set === all, set > 0),
    ink: progress(inked === all ? plural(inked, 'layer') : `${inked} of ${all}`, inked === all, inked > 0),
  }
}

/** What is printed: proofs, and the edition; and what of it is wet. */
function printing(edition: EditionState): Record<'prove' | 'pull' | 'dry', StopFigure> {
  const { made } = figures(edition)
  const proofs = tallied(edition, 'live proof')
  const { standards } = edition
  const layers = edition.layers.filter(({ withoutPull }) => !withoutPull)
  const hasBat = batOf(edition) !== undefined
  const approved = layers.length > 1 ? `${standards.length} of ${layers.length}` : 'BAT'
  // Alive, and nobody has said its last layer is dry.
  const wet = tallied(edition, 'wet')
  const isPulled = made > 0 && unfinished(edition) === 0
  const proofWords = proofs > 0 ? plural(proofs, 'proof') : 'no BAT'
  const pulledWords = isPulled ? 'all pulled' : pulledOf(edition)
  const dryWords = isPulled ? 'all dry' : 'none wet'
  return {
    prove: progress(
      standards.length > 0 ? approved : proofWords,
      hasBat && standards.length === layers.length,
      proofs > 0,
    ),
    pull: progress(made === 0 ? 'not yet' : pulledWords, isPulled, edition.pulls.length > 0),
    dry: progress(wet > 0 ? `${wet} wet` : dryWords, isPulled && wet === 0, wet > 0),
  }
}

/** What is done with the prints: curated, signed, and the edition closed. */
function finishing(edition: EditionState): Record<'finish' | 'curate' | 'sign' | 'close', StopFigure> {
  const { good, numbered, signed } = figures(edition)
  const curated = tallied(edition, 'curated good')
  const isClosed = edition.closedAt !== null
  const [printed, finished] = [tallied(edition, 'printed'), tallied(edition, 'finished off')]
  const isPlanned = stepsOf(edition.finishing).length > 0
  // A layer that is planned and not added yet is still to be pulled.
  const hasEveryLayer = edition.layers.length >= (edition.plan?.layersPlanned ?? 1)
  const finishedWords = printed > 0 ? `${finished} of ${printed}` : 'not yet'
  const toSee = good > 0 && hasEveryLayer
  const toSeeWords = toSee ? `${good} to see` : 'not yet'
  return {
    finish: progress(
      isPlanned ? finishedWords : 'to plan',
      isPlanned && printed > 0 && finished === printed && unfinished(edition) === 0,
      finished > 0,
    ),
    curate: progress(
      curated > 0 ? `${curated} good` : toSeeWords,
      curated > 0 && curated >= good,
      toSee && unfinished(edition) === 0,
    ),
    sign: progress(
      numbered > 0 ? `${signed} of ${numbered}` : 'not yet',
      numbered > 0 && signed === numbered,
      numbered > 0,
    ),
    close: progress(isClosed ? 'closed' : 'open', isClosed, signed > 0),
  }
}

const names: Record<StopKey, string> = {
  plan: 'Plan',
  block: 'Block',
  paper: 'Paper',
  press: 'Press',
  ink: 'Ink',
  prove: 'Prove',
  pull: 'Pull',
  dry: 'Dry',
  finish: 'Finish',
  curate: 'Curate',
  sign: 'Sign',
  close: 'Close',
}

/** The edition's way on one strip of paper: each stop with its state and its telling figure. */
export function stops(edition: EditionState): Stop[] {
  const wanted = edition.plan ? goal(edition.plan) : 0
  const figureOf: Record<StopKey, StopFigure> = {
    plan: progress(isOpenWork(edition.plan) ? 'open work' : pluralise(wanted, 'print'), true, true),
    ...preparing(edition, wanted),
    ...printing(edition),
    ...finishing(edition),
  }
  // What an edition does not need is absent.
  const absent = new Set<StopKey>([
    ...(edition.plan?.colouring || stepsOf(edition.finishing).length > 0 ? [] : (['finish'] as const)),
    ...(isOpenWork(edition.plan) ? (['curate', 'sign'] as const) : []),
  ])
  const needed = (Object.keys(names) as StopKey[]).filter((key) => !absent.has(key))
  return needed.map((key) => ({ key, name: names[key], ...figureOf[key] }))
}

/** The state of an edition in a word, for lists. */
export function stateWord(
  edition: EditionState,
): 'closed' | 'signing' | 'numbering' | 'pulling' | 'proving' | 'planned' {
  if (edition.closedAt) return 'closed'
  const at = figures(edition)
  if (at.signed > 0 || at.numbered > 0) return 'signing'
  if (!isOpenWork(edition.plan) && at.made > 0 && at.good > 0 && unfinished(edition) === 0) return 'numbering'
  if (tallied(edition, 'live pull') > 0) return 'pulling'
  return edition.pulls.length > 0 || edition.made > 0 ? 'proving' : 'planned'
}
