import { definePlainAct } from '../../../ground/act'
import { staff } from '../../../ground/who'
import { paperRationed, type Share } from '../events/paper-rationed'
import { rationFault } from '../ration'
import { lot } from '../stream'

/** Good sheets are put aside for a person. */
export const rationPaper = definePlainAct(lot, 'ration-paper', staff, {
  events: [paperRationed],
  rule: ({ lot }, data: Share, context) =>
    rationFault(lot, data.sheets) ?? [paperRationed.on(lot, { rationId: context.commandId, ...data })],
})
