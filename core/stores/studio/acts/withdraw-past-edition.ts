import { Id, Words } from '../../../ground/shape'
import { defineAct, defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { reasonMissing, refuse } from '../../../ground/refusal'
import { staff } from '../../../ground/who'
import { studio } from '../stream'

class Withdrawn {
  static readonly sample: Withdrawn = { id: 'x', reason: 'another room' }

  @Id('thing', 80) id!: string
  @Words(500) reason!: string
}

const pastEditionWithdrawn = defineEvent(studio, 'past-edition-withdrawn', (state, { id }: Withdrawn) =>
  changed(state, { pastEditions: state.pastEditions.filter((edition) => edition.id !== id) }),
)

/** Totals in the book no longer count. */
export const withdrawPastEdition = defineAct(studio, 'withdraw-past-edition', Withdrawn, staff, {
  events: [pastEditionWithdrawn],
  rule: ({ studio }, data) => {
    if (!studio.pastEditions.some((edition) => edition.id === data.id))
      return refuse('unknown-past-edition', 'That edition is not in the book of past editions any more.', 'id')
    return data.reason.trim() === ''
      ? reasonMissing('Say why these totals no longer count.')
      : [pastEditionWithdrawn.on(studio, data)]
  },
})
