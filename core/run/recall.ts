import { pluralise } from '../units/pluralise'
import type { EditionState } from '../edition/state'
import { layerNumber, layerOf, setupInForce, type Layer, type PressSetup } from '../edition/layer'
import { noteOf } from '../edition/proof-notes'
import { isLive, pullOf, type Pull } from '../edition/pull'
import { standardOf, standardWord } from '../edition/standards'
import { outcomeOf } from '../edition/trials'
import { shares } from '../ink/component'
import { faultWord } from '../print/faults'
import type { BatchState } from '../stores/batch/state'
import { readingWords } from '../press/screws'
import { type PressAtHand, setUpFor, setUpSteps } from './set-up'
import { type BlockKept, blockWords, registerWords, routineOf } from './recall-words'

/** What the room knows beside the edition: the press as it stands today, the batches, where blocks are kept. */
export interface RoomKnown {
  press: PressAtHand | null
  batches: readonly (Pick<BatchState, 'name' | 'family' | 'colour' | 'components' | 'left' | 'keepings'> & {
    id: string
  })[]
  blocks: readonly BlockKept[]
}

/** One ink of a layer: what it is mixed of, and what is left where. */
export interface RecallInk {
  zone: string
  name: string
  family: string
  colour: string
  /** Each part with its share of the whole, in per cent to a tenth. */
  recipe: { name: string; percent: number }[]
  left: string
}

/** Everything another printer needs to print a layer again. */
export interface RecallCard {
  title: string
  layer: { id: string; name: string; number: number; of: number }
  /** The approved proof it goes by, or null while there is none. */
  standard: { word: string; ordinal: number; at: string; pictureId: string | null } | null
  setup: PressSetup | null
  /** How the press is set as it stands today, step by step; or why that cannot be said. */
  setting: string[]
  /** How it was set then, from the press's zero of then. */
  asSet: string
  inks: RecallInk[]
  /** One impression, in the order it is made. */
  routine: string[]
  chores: string[]
  register: string[]
  /** What went wrong, how often, and what mended it here. */
  faults: { words: string; times: number; mended: string[] }[]
  block: string[]
}

/** A page for one layer, from its standard where there is one, else from what is in force (craft.md, step 9). */
export function recallOf(state: EditionState, layerId: string, room: RoomKnown): RecallCard | null {
  const layer = layerOf(state, layerId)
  if (!layer) return null
  const standard = standardOf(state, layerId)
  const proof = standard && pullOf(state, standard.pullId)
  const setup = layer.setups.find(({ seq }) => seq === proof?.setupSeq)?.setup ?? setupInForce(layer)
  return {
    title: state.title,
    layer: { id: layerId, name: layer.name, number: layerNumber(state, layerId), of: state.layers.length },
    standard: proof
      ? {
          word: standardWord(state, layerId),
          ordinal: proof.ordinal,
          at: standard.at,
          pictureId: noteOf(state, proof.pullId)?.pictureId ?? null,
        }
      : null,
    setup,
    ...settingSaid(setup, room.press),
    inks: inksOf(layer, proof, room),
    routine: routineOf(state, layer, proof),
    chores: (layer.rollUp?.chores ?? []).map(({ every, what }) =>
      every === 1 ? `Every pull: ${what}` : `Every ${pluralise(every, 'pull')}: ${what}`,
    ),
    register: registerWords(state, layer),
    faults: faultsOf(state, layerId),
    block: blockWords(state, layer, room.blocks),
  }
}

/** What the screws are counted from. */
function zeroWords({ name, zero }: PressAtHand): string[] {
  if (!zero) return []
  const on = zero.on.map(({ name: lay, thickness }) => `${lay}, ${thickness} mm`).join('; ')
  return [`Zero of ${name}: on ${on}, the marks at ${zero.left} left and ${zero.right} right.`]
}

function settingSaid(setup: PressSetup | null, press: PressAtHand | null): Pick<RecallCard, 'setting' | 'asSet'> {
  if (!setup) return { setting: ['No press was set for this layer.'], asSet: '' }
  const hasScrews = setup.left.turns !== 0 || setup.left.divisions !== 0
  const asSet = hasScrews ? `left ${readingWords(setup.left)}, right ${readingWords(setup.right)} from zero` : ''
  if (!press) return { setting: [`${setup.pressName} is not in the room any more.`], asSet }
  const answer = setUpFor(press, setup, setup.nip ?? 0)
  switch (answer.kind) {
    case 'screws':
      return { setting: [...zeroWords(press), ...setUpSteps(press, answer, setup)], asSet }
    case 'underlay':
      return { setting: [`${answer.underlay.toFixed(2)} mm of packing go under the block.`], asSet }
    case 'by feel':
      return { setting: ['Packed as drawn, then by feel: a proof tells whether a card more or less is wanted.'], asSet }
    default:
      return { setting: [answer.words], asSet }
  }
}

function inksOf(layer: Layer, proof: Pull | undefined, { batches }: RoomKnown): RecallInk[] {
  const stripes = layer.blend?.stripes.map(({ batchId, at }) => ({
    zone: `blend, ${Math.round(at * 100)} % along the roller`,
    batchId: batchId as string | null,
  }))
  const inked = stripes ?? layer.zones.map(({ name, batchId }) => ({ zone: name, batchId }))
  // An ink that was pulled with and is given to no zone any more was part of the standard all the same.
  const more = (proof?.batchIds ?? [])
    .filter((id) => !inked.some(({ batchId }) => batchId === id))
    .map((batchId) => ({ zone: 'as proved', batchId: batchId as string | null }))
  return [...inked, ...more].flatMap(({ zone, batchId }) => {
    const batch = batches.find(({ id }) => id === batchId)
    if (!batch) return []
    const parts = shares(batch.components)
    const kept = batch.keepings.at(-1)?.how
    return [
      {
        zone,
        name: batch.name,
        family: batch.family,
        colour: batch.colour,
        recipe: batch.components.map(({ name }, i) => ({ name, percent: Math.round(parts[i]! * 1000) / 10 })),
        left: `${(batch.left / 1000).toFixed(1)} g left${kept ? `, ${kept}` : ''}`,
      },
    ]
  })
}

function faultsOf(state: EditionState, layerId: string): RecallCard['faults'] {
  const times = new Map<string, number>()
  for (const pull of state.pulls)
    if (pull.layerId === layerId && isLive(pull))
      for (const fault of pull.faults) times.set(fault, (times.get(fault) ?? 0) + 1)
  const trials = state.trials.filter((trial) => trial.layerId === layerId)
  for (const { fault } of trials) times.set(fault, times.get(fault) ?? 0)
  return [...times]
    .sort((a, b) => b[1] - a[1])
    .map(([fault, count]) => ({
      words: faultWord(fault),
      times: count,
      mended: [
        ...new Set(
          trials
            .filter((trial) => trial.fault === fault && outcomeOf(state, trial) === 'worked')
            .map(({ remedy }) => remedy),
        ),
      ],
    }))
}
