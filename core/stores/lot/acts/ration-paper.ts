import { defineAct, defineEvent } from '../../../ground/act'
import { appended, changed } from '../../../ground/fold'
import { refuse } from '../../../ground/refusal'
import { staff } from '../../../ground/who'
import { putAside } from '../state'
import { lot } from '../stream'

interface Share {
  personId: string
  sheets: number
}

const paperRationed = defineEvent(lot, 'paper-rationed', (state, data: Share & { rationId: string }) =>
  changed(state, {
    rations: appended(state.rations, {
      id: data.rationId,
      personId: data.personId,
      sheets: data.sheets,
      released: 0,
      returned: 0,
      used: 0,
    }),
  }),
)

/** Good sheets are put aside for a person. */
export const rationPaper = defineAct(lot, 'ration-paper', staff, {
  events: [paperRationed],
  rule: ({ lot }, data: Share, context) => {
    const free = lot.left - putAside(lot)
    if (data.sheets > free)
      return refuse(
        'stock-short',
        `${free} sheets of ${lot.name} are on the shelf and not put aside; ${data.sheets} were asked for. Count the lot if the book is wrong.`,
        'sheets',
      )
    return [paperRationed.on(lot, { rationId: context.commandId, ...data })]
  },
})
