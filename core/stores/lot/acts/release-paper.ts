import { defineAct } from '../../../ground/act'
import { staff } from '../../../ground/who'
import { paperReleased, Released } from '../events/paper-released'
import { releaseFault } from '../ration'
import { lot } from '../stream'

/** Sheets put aside are given into the person's hands. */
export const releasePaper = defineAct(lot, 'release-paper', Released, staff, {
  events: [paperReleased],
  rule: ({ lot }, data) => releaseFault(lot, data) ?? [paperReleased.on(lot, data)],
})
