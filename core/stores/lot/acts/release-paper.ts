import { definePlainAct } from '../../../ground/act'
import { staff } from '../../../ground/who'
import { paperReleased, type Released } from '../events/paper-released'
import { releaseFault } from '../ration'
import { lot } from '../stream'

/** Sheets put aside are given into the person's hands. */
export const releasePaper = definePlainAct(lot, 'release-paper', staff, {
  events: [paperReleased],
  rule: ({ lot }, data: Released) => releaseFault(lot, data) ?? [paperReleased.on(lot, data)],
})
