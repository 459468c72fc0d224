import { defineAct, defineEvent } from '../../ground/act'
import { changed } from '../../ground/fold'
import { refuse } from '../../ground/refusal'
import { edition } from '../stream'
import { theirs } from '../who'

interface Closed {
  note: string
}

const editionClosed = defineEvent(edition, 'edition-closed', (state, { note }: Closed, event) =>
  changed(state, { closedAt: event.occurredAt, closingNote: note }),
)

/** The edition is done and can only be read. */
export const close = defineAct(edition, 'close', theirs, {
  asksAgain: true,
  guarded: true,
  events: [editionClosed],
  rule: ({ edition }, data: Closed) => {
    const disputed = edition.pulls.filter((pull) => pull.disputed && !pull.disputed.settled).length
    if (disputed > 0)
      return refuse(
        'disputed',
        `${disputed} disputed pulls wait to be settled. Settle them from the count, then close.`,
      )
    const unsigned = edition.sheets.filter((sheet) => sheet.mark && !sheet.signed && !sheet.destroyed).length
    if (unsigned > 0)
      return refuse(
        'unsigned',
        `${unsigned} numbered prints are not signed yet. Sign them, or take their numbers back.`,
      )
    return [editionClosed.on(edition, data)]
  },
})
