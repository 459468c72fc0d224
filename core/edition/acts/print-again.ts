import { Id, Ids, Part, Words } from '../../ground/shape'
import { defineAct } from '../../ground/act'
import { streamId } from '../../ground/envelope'
import { refuse } from '../../ground/refusal'
import { isStaff } from '../../ground/who'
import { EditionPlan } from '../../plan/plan'
import { blockWritten } from '../../stores/block/events/block-written'
import { block } from '../../stores/block/stream'
import { mostBlocks, whySpent } from '../block'
import { blockUsed } from '../events/block-used'
import { editionStarted } from '../events/edition-started'
import { layerAdded } from '../events/layer-added'
import { piecePlanned } from '../events/piece-planned'
import { pressSet } from '../events/press-set'
import { printedAgain } from '../events/printed-again'
import { printedFrom } from '../events/printed-from'
import { registerDrawn } from '../events/register-drawn'
import { rollUpSet } from '../events/roll-up-set'
import { type Layer, setupInForce } from '../layer'
import { planFault } from '../plan-fault'
import { pullOf } from '../pull'
import { earlierEditionOf } from '../related'
import { standardOf } from '../standards'
import type { EditionState } from '../state'
import { edition } from '../stream'
import { isNamed } from '../who'

class Again {
  static readonly sample: Again = {
    earlierId: 'e',
    blockIds: ['k'],
    title: 'Tide Gauge, second edition',
    plan: EditionPlan.sample,
  }

  @Id('earlier') earlierId!: string
  /** All the blocks of the earlier edition. */
  @Ids('block', mostBlocks) blockIds!: string[]
  @Words(120) title!: string
  @Part(() => EditionPlan) plan!: EditionPlan
}

/** Of a reduction only what is left of the block prints again. */
const layersAgain = ({ plan, layers }: EditionState) => (plan!.method === 'reduction' ? layers.slice(-1) : layers)

/** The setting of the approved proof, else the one that was in force last. */
function bestSetting(earlier: EditionState, layer: Layer) {
  const standard = standardOf(earlier, layer.id)
  const proof = standard && pullOf(earlier, standard.pullId)
  return layer.setups.find(({ seq }) => seq === proof?.setupSeq)?.setup ?? setupInForce(layer)
}

/** What a new edition starts with of a layer of the earlier one: everything but its ink, which is mixed anew. */
function layerAgain(state: EditionState, earlier: EditionState, layer: Layer, layerId: string) {
  const setup = bestSetting(earlier, layer)
  const zones = layer.zones.map((zone) => ({ ...zone, batchId: null, batchName: '' }))
  return [
    layerAdded.on(state, { layerId, name: layer.name, blocks: layer.blocks, zones }),
    ...(setup ? [pressSet.on(state, { layerId, setup })] : []),
    ...(layer.rollUp ? [rollUpSet.on(state, { layerId, rollUp: layer.rollUp })] : []),
  ]
}

/**
 * A new edition from the blocks of one that is closed: it takes over their states and inked share, the registration sheet
 * and the best setting. Each names the other in its record (craft step 15).
 */
export const printAgain = defineAct(
  edition,
  'print-again',
  Again,
  ({ role, personId }, { earlier }: { earlier: EditionState }) =>
    isStaff(role) || earlier.plan === null || isNamed(earlier, personId),
  {
    begins: true,
    needs: ({ earlierId, blockIds }) => ({ earlier: edition.of(earlierId), blocks: blockIds.map(block.of) }),
    events: [
      editionStarted,
      printedFrom,
      layerAdded,
      pressSet,
      rollUpSet,
      piecePlanned,
      registerDrawn,
      blockUsed,
      blockWritten,
      printedAgain,
    ],
    rule: ({ edition, earlier, blocks }, { blockIds, title, plan }, { commandId, personId }) => {
      if (earlier.plan === null)
        return refuse('unknown-edition', 'There is no such edition here. Open it from Editions and try again.')
      if (earlier.closedAt === null)
        return refuse('not-closed', `${earlier.title} is open: what is printed from its blocks now is still of it.`)
      if (earlier.blocks.some(({ id }) => !blockIds.includes(id)) || blockIds.length !== earlier.blocks.length)
        return refuse('stale', 'Its blocks are others than when you looked. Reload the page, then do it again.')
      const layers = layersAgain(earlier)
      const spent = whySpent(earlier, blocks)
      if (spent) return refuse('cancelled', `Nothing more is printed from it: ${spent}.`)
      const unfit = planFault(title, { ...plan, layersPlanned: layers.length })
      if (unfit) return unfit
      return [
        editionStarted.on(edition, {
          title: title.trim(),
          plan: { ...plan, method: earlier.plan.method, layersPlanned: Math.max(1, layers.length) },
          printerIds: [personId],
        }),
        printedFrom.on(edition, { earlier: [...earlier.earlier, earlierEditionOf(earlier)] }),
        ...layers.flatMap((layer, i) => layerAgain(edition, earlier, layer, `${commandId}-${i + 1}`)),
        ...(earlier.piece ? [piecePlanned.on(edition, { piece: earlier.piece })] : []),
        ...(earlier.register ? [registerDrawn.on(edition, earlier.register)] : []),
        ...earlier.blocks.flatMap(({ id, ...own }) => {
          const known = blocks[blockIds.indexOf(id)]!
          const book = known.book ?? own
          return [
            blockUsed.on(edition, { blockId: id, ...book }),
            blockWritten.on(known, { ...book, editionStream: edition.stream }),
          ]
        }),
        printedAgain.on(earlier, { editionId: streamId(edition.stream), title: title.trim() }),
      ]
    },
  },
)
