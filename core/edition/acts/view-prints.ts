import { IsIn } from 'class-validator'
import { SheetIds, Words } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import { type Verdict, verdicts } from '../../print/verdicts'
import { noPrint } from '../curating-fault'
import { editSheet } from '../edit'
import { edition } from '../stream'
import { theirs } from '../who'

class Viewed {
  static readonly sample: Viewed = { sheetIds: [1], verdict: 'doubtful', note: 'pale at the foot' }

  @SheetIds() sheetIds!: number[]
  @IsIn(verdicts) verdict!: Verdict
  @Words(500) note!: string
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
export const viewPrints = defineAct(edition, 'view-prints', Viewed, theirs, {
  events: [printsViewed],
  rule: ({ edition }, data) => {
    const sheetIds = [...new Set(data.sheetIds)]
    if (sheetIds.length === 0) return refuse('no-sheet', 'No print was looked at.', 'sheetIds')
    for (const id of sheetIds) {
      const none = noPrint(edition, id)
      if (none) return none
    }
    return [printsViewed.on(edition, { ...data, sheetIds })]
  },
})
