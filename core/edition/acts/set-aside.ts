import { IsIn } from 'class-validator'
import { SheetIds } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import { allBounds, type Bound, isOpenWork } from '../../print/series'
import { editSheet } from '../edit'
import { hasEveryLayer } from '../layers-on'
import { standingVerdict } from '../places'
import { heldFast, openWork, unknownSheet } from '../refusals'
import { sheetOf } from '../sheet'
import { edition } from '../stream'
import { theirs } from '../who'

class SetAside {
  static readonly sample: SetAside = { sheetIds: [1], bound: 'AP' }

  @SheetIds() sheetIds!: number[]
  /** What for, or the edition again. */
  @IsIn(allBounds) bound!: Bound
}

const printsSetAside = defineEvent(edition, 'prints-set-aside', (state, { sheetIds, bound }: SetAside) =>
  sheetIds.reduce((aside, id) => editSheet(aside, id, (sheet) => ({ ...sheet, bound })), state),
)

/** Good prints are laid aside as proofs, or for the archive; or go back to the edition. */
export const setAside = defineAct(edition, 'set-aside', SetAside, theirs, {
  events: [printsSetAside],
  rule: ({ edition }, data) => {
    const sheetIds = [...new Set(data.sheetIds)]
    if (isOpenWork(edition.plan)) return openWork()
    if (sheetIds.length === 0) return refuse('no-sheet', 'Choose the prints that are set aside.', 'sheetIds')
    for (const id of sheetIds) {
      const sheet = sheetOf(edition, id)
      if (!sheet) return unknownSheet(id)
      const held = heldFast(sheet)
      if (held) return held
      const isGood = hasEveryLayer(edition, sheet) && standingVerdict(edition, sheet) === 'good' && !sheet.spoiled
      if (data.bound !== 'edition' && !isGood)
        return refuse('not-good', `Sheet ${id} is no good print, so it is not set aside as one.`, 'sheetIds')
      if (sheet.bound === data.bound)
        return refuse('as-it-is', `Sheet ${id} is bound for ${wordOf(data.bound)} already.`, 'sheetIds')
    }
    return [printsSetAside.on(edition, { sheetIds, bound: data.bound })]
  },
})

const wordOf = (bound: Bound): string => (bound === 'edition' || bound === 'archive' ? `the ${bound}` : bound)
