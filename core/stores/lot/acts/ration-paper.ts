import { defineAct } from '../../../ground/act'
import { staff } from '../../../ground/who'
import { paperRationed, Share } from '../events/paper-rationed'
import { rationFault } from '../ration'
import { lot } from '../stream'

/** Good sheets are put aside for a person. */
export const rationPaper = defineAct(lot, 'ration-paper', Share, staff, {
  events: [paperRationed],
  rule: ({ lot }, data, context) =>
    rationFault(lot, data.sheets) ?? [paperRationed.on(lot, { rationId: context.commandId, ...data })],
})
