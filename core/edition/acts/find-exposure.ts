import { Id, Part } from '../../ground/shape'
import { ExposureRecord } from '../../block/exposure'
import { defineAct, defineEvent } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import { blockWritten } from '../../stores/block/events/block-written'
import { block } from '../../stores/block/stream'
import { hasBlock, writtenIn } from '../block'
import { editBlock } from '../edit'
import { unknownBlock } from '../refusals'
import { edition } from '../stream'
import { theirs } from '../who'
import { madeFor, notTheirBlock } from '../whose-block'

class Exposure {
  static readonly sample: Exposure = {
    blockId: 'b',
    exposure: { steps: [30, 42], firstHolding: null, exposure: 42, washOut: 180, hardening: 0, note: '' },
  }

  @Id('block') blockId!: string
  @Part(() => ExposureRecord) exposure!: ExposureRecord
}

const exposureFound = defineEvent(edition, 'exposure-found', (state, { blockId, exposure }: Exposure, event) =>
  editBlock(state, blockId, (block) => ({
    ...block,
    exposures: [...block.exposures, { ...exposure, at: event.occurredAt }],
  })),
)

/** The exposure of a plate is found by its step test. */
export const findExposure = defineAct(edition, 'find-exposure', Exposure, theirs, {
  needs: (data) => ({ book: block.of(data.blockId) }),
  leadsTo: ({ book }) => ({ owners: madeFor([book]) }),
  events: [exposureFound, blockWritten],
  rule: ({ edition, book, owners }, data, context) => {
    if (!hasBlock(edition, data.blockId)) return unknownBlock()
    const others = notTheirBlock(owners, context)
    if (others) return others
    const { exposure, firstHolding, steps } = data.exposure
    if (!(exposure > 0)) return refuse('exposure-missing', 'Give the exposure in seconds, above 0.', 'exposure')
    if (firstHolding !== null && firstHolding >= steps.length)
      return refuse('unknown-step', 'The step that holds is not one of those tested.', 'firstHolding')
    const found = { ...data.exposure, at: context.occurredAt }
    return [
      exposureFound.on(edition, data),
      writtenIn(edition, book, data.blockId, (before) => ({ ...before, exposures: [...before.exposures, found] })),
    ]
  },
})
