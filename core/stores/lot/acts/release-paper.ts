import { defineAct, defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { refuse } from '../../../ground/refusal'
import { staff } from '../../../ground/who'
import { rationChanged, unknownRation } from '../ration'
import { rationOf } from '../state'
import { lot } from '../stream'

interface Released {
  rationId: string
  sheets: number
}

const paperReleased = defineEvent(lot, 'paper-released', (state, { rationId, sheets }: Released) =>
  changed(
    rationChanged(state, rationId, (ration) => ({ ...ration, released: ration.released + sheets })),
    { left: state.left - sheets },
  ),
)

/** Sheets put aside are given into the person's hands. */
export const releasePaper = defineAct(lot, 'release-paper', staff, {
  events: [paperReleased],
  rule: ({ lot }, data: Released) => {
    const ration = rationOf(lot, data.rationId)
    if (!ration) return unknownRation()
    const kept = ration.sheets - ration.released
    if (data.sheets > kept)
      return refuse(
        'more-than-put-aside',
        `${kept} sheets are still put aside; ${data.sheets} cannot be given out.`,
        'sheets',
      )
    return [paperReleased.on(lot, data)]
  },
})
