import { Id, Words } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { reasonMissing, refuse } from '../../ground/refusal'
import { batch } from '../../stores/batch/stream'
import { editPull } from '../edit'
import { pullOf } from '../pull'
import { unknownPull } from '../refusals'
import type { EditionState } from '../state'
import { edition } from '../stream'
import { theirs } from '../who'

class Correct {
  static readonly sample: Correct = { pullId: 'p', from: 'b', to: 'b2', reason: 'the wrong tin' }

  /** The first pull that had the other ink. */
  @Id('pull') pullId!: string
  /** The batch it was counted with, and the one that was really on the slab. */
  @Id('batch') from!: string
  @Id('batch') to!: string
  @Words(500) reason!: string
}

interface Corrected extends Correct {
  pullIds: string[]
}

const inkCorrected = defineEvent(edition, 'ink-corrected', (state, { pullIds, from, to }: Corrected) =>
  pullIds.reduce(
    (corrected, pullId) =>
      editPull(corrected, pullId, (pull) => ({
        ...pull,
        batchIds: [...new Set(pull.batchIds.map((id) => (id === from ? to : id)))],
      })),
    state,
  ),
)

/** The wrong batch was noticed late: from one pull of its layer on, the ink was another. */
export const correctInk = defineAct(edition, 'correct-ink', Correct, theirs, {
  needs: (data) => ({ batch: batch.of(data.to) }),
  events: [inkCorrected],
  rule: ({ edition, batch }, data) => {
    const first = pullOf(edition, data.pullId)
    if (!first) return unknownPull()
    if (batch.name === '')
      return refuse('unknown-batch', 'That ink batch is not here. Mix it first, or choose another.', 'to')
    if (data.from === data.to) return refuse('same-batch', `It was counted with ${batch.name} already.`, 'to')
    const pullIds = laterWith(edition, first, data.from)
    if (pullIds.length === 0)
      return refuse('not-with-it', `Pull ${first.ordinal} was not counted with that ink.`, 'from')
    return data.reason.trim() === ''
      ? reasonMissing('Say how it came, in a few words, so that the record can be read later.')
      : [inkCorrected.on(edition, { ...data, pullIds })]
  },
})

/** That pull and the later ones of its layer that were counted with a batch; none when it was not itself. */
function laterWith(
  { pulls }: EditionState,
  first: { ordinal: number; layerId: string; batchIds: string[] },
  from: string,
): string[] {
  if (!first.batchIds.includes(from)) return []
  return pulls
    .filter(
      ({ ordinal, layerId, batchIds }) =>
        ordinal >= first.ordinal && layerId === first.layerId && batchIds.includes(from),
    )
    .map(({ pullId }) => pullId)
}
