import { IsIn } from 'class-validator'
import { SheetIds, Words } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import { type Verdict, verdicts } from '../../print/verdicts'
import { curatingFault } from '../curating-fault'
import { editSheet } from '../edit'
import { edition } from '../stream'
import { theirs } from '../who'

class CuratedRun {
  static readonly sample: CuratedRun = { sheetIds: [1, 2], verdict: 'good', reason: '' }

  /** In the order they were looked at. */
  @SheetIds() sheetIds!: number[]
  @IsIn(verdicts) verdict!: Verdict
  @Words(500) reason!: string
}

const runCurated = defineEvent(edition, 'run-curated', (state, { sheetIds, verdict, reason }: CuratedRun, event) =>
  sheetIds.reduce(
    (seen, id, place) =>
      editSheet(seen, id, (sheet) => ({
        ...sheet,
        curated: { verdict, reason, seq: event.seq, place, mark: state.passMark },
      })),
    state,
  ),
)

/** Prints looked at one after another beside the BAT, all judged alike: all of them or none. */
export const curateRun = defineAct(edition, 'curate-run', CuratedRun, theirs, {
  events: [runCurated],
  rule: ({ edition }, data) => {
    const sheetIds = [...new Set(data.sheetIds)]
    if (sheetIds.length === 0) return refuse('no-sheet', 'No print was looked at.', 'sheetIds')
    for (const sheetId of sheetIds) {
      const fault = curatingFault(edition, { ...data, sheetId })
      if (fault) return fault
    }
    return [runCurated.on(edition, { ...data, sheetIds })]
  },
})
