import { SheetIds } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { changed } from '../../ground/fold'
import { refuse } from '../../ground/refusal'
import { noPrint } from '../curating-fault'
import { edition } from '../stream'
import { theirs } from '../who'

class Ranked {
  static readonly sample: Ranked = { sheetIds: [2, 1] }

  /** The best first. */
  @SheetIds() sheetIds!: number[]
}

const printsRanked = defineEvent(edition, 'prints-ranked', (state, { sheetIds }: Ranked) =>
  changed(state, { ranking: sheetIds }),
)

/** Prints are laid in an order by hand; those that are not named follow by their serials. */
export const rankPrints = defineAct(edition, 'rank-prints', Ranked, theirs, {
  events: [printsRanked],
  rule: ({ edition }, data) => {
    if (new Set(data.sheetIds).size < data.sheetIds.length)
      return refuse(
        'sheet-twice',
        'One print stands twice in that order. Reload the page and lay them again.',
        'sheetIds',
      )
    for (const id of data.sheetIds) {
      const none = noPrint(edition, id)
      if (none) return none
    }
    return [printsRanked.on(edition, data)]
  },
})
