import { whenOf } from '../../../ground/envelope'
import { defineEvent } from '../../../ground/act'
import { appended, changed } from '../../../ground/fold'
import { batch } from '../stream'

interface Drawn {
  milligrams: number
  /** The edition it was drawn for; empty when it went into another batch. */
  editionStream: string
  /** The layer it was drawn for, or null where that is not said. */
  layerId: string | null
  note: string
}

/** Ink left the batch, for an edition or into another batch. */
export const inkDrawn = defineEvent(
  batch,
  'ink-drawn',
  (state, { milligrams, editionStream, layerId }: Drawn, event) =>
    changed(state, {
      left: state.left - milligrams,
      draws: appended(state.draws, { milligrams, editionStream, layerId, ...whenOf(event) }),
    }),
  [(data) => ({ ...data, layerId: null })],
)
