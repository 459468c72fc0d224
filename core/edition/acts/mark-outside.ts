import { SheetIds } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import { editSheet } from '../edit'
import { outsideMarks } from '../pencil'
import { edition } from '../stream'
import { theirs } from '../who'

class MarkedOutside {
  static readonly sample: MarkedOutside = { sheetIds: [1] }

  @SheetIds() sheetIds!: number[]
}

const outsideMarked = defineEvent(edition, 'outside-marked', (state, { sheetIds }: MarkedOutside) =>
  sheetIds.reduce((marked, id) => editSheet(marked, id, (sheet) => ({ ...sheet, isMarked: true })), state),
)

/** Proofs, the archive’s prints and rejects carry their mark, so that nobody takes them for prints of the edition. */
export const markOutside = defineAct(edition, 'mark-outside', MarkedOutside, theirs, {
  events: [outsideMarked],
  rule: ({ edition }, data) => {
    const sheetIds = [...new Set(data.sheetIds)]
    if (sheetIds.length === 0) return refuse('no-sheet', 'Choose the sheets that carry their mark.', 'sheetIds')
    const outside = new Map(outsideMarks(edition).map(({ sheet }) => [sheet.id, sheet]))
    for (const id of sheetIds) {
      const sheet = outside.get(id)
      if (!sheet)
        return refuse('not-outside', `Sheet ${id} takes no mark of its own: it is no proof and no reject.`, 'sheetIds')
      if (sheet.isMarked) return refuse('as-it-is', `Sheet ${id} carries its mark already.`, 'sheetIds')
    }
    return [outsideMarked.on(edition, { sheetIds })]
  },
})
