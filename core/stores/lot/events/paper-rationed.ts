import { defineEvent } from '../../../ground/act'
import { appended, changed } from '../../../ground/fold'
import { lot } from '../stream'

export interface Share {
  personId: string
  sheets: number
}

/** Good sheets were put aside for a person. */
export const paperRationed = defineEvent(lot, 'paper-rationed', (state, data: Share & { rationId: string }) =>
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
