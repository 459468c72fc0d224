import { SheetIds } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import { editSheet } from '../edit'
import { unknownSheet } from '../refusals'
import { pieceOf, sheetOf } from '../sheet'
import { edition } from '../stream'
import { theirs } from '../who'

class Cut {
  static readonly sample: Cut = { sheetIds: [1] }

  @SheetIds() sheetIds!: number[]
}

const cutApartEvent = defineEvent(edition, 'cut-apart', (state, { sheetIds }: Cut) =>
  sheetIds.reduce((cut, id) => editSheet(cut, id, (sheet) => ({ ...sheet, together: [] })), state),
)

/** Pieces of paper that hold several images are cut: each image is a sheet by itself, with its own history and serial. */
export const cutApart = defineAct(edition, 'cut-apart', Cut, theirs, {
  events: [cutApartEvent],
  rule: ({ edition }, data) => {
    if (data.sheetIds.length === 0) return refuse('no-sheet', 'Choose the sheets to cut apart.', 'sheetIds')
    const cut = new Set<number>()
    for (const id of data.sheetIds) {
      const sheet = sheetOf(edition, id)
      if (!sheet) return unknownSheet(id)
      if (sheet.together.length === 0)
        return refuse('lies-alone', `Sheet ${id} holds one image; there is nothing to cut apart.`, 'sheetIds')
      for (const other of pieceOf(edition, sheet)) cut.add(other.id)
    }
    return [cutApartEvent.on(edition, { sheetIds: [...cut] })]
  },
})
