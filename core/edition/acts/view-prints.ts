import { definePlainAct, defineEvent } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import type { Verdict } from '../../print/verdicts'
import { noPrint } from '../curating-fault'
import { editSheet } from '../edit'
import { edition } from '../stream'
import { theirs } from '../who'

interface Viewed {
  sheetIds: number[]
  verdict: Verdict
  note: string
}

const printsViewed = defineEvent(edition, 'prints-viewed', (state, { sheetIds, verdict, note }: Viewed, event) =>
  sheetIds.reduce(
    (seen, id) =>
      editSheet(seen, id, (sheet) => ({
        ...sheet,
        views: [...sheet.views.filter(({ by }) => by !== event.actor), { by: event.actor, verdict, note }],
      })),
    state,
  ),
)

/** What one person thinks of prints, before it is settled with the others who look: nothing is decided by it. */
export const viewPrints = definePlainAct(edition, 'view-prints', theirs, {
  events: [printsViewed],
  rule: ({ edition }, data: Viewed) => {
    const sheetIds = [...new Set(data.sheetIds)]
    if (sheetIds.length === 0) return refuse('no-sheet', 'No print was looked at.', 'sheetIds')
    for (const id of sheetIds) {
      const none = noPrint(edition, id)
      if (none) return none
    }
    return [printsViewed.on(edition, { ...data, sheetIds })]
  },
})
