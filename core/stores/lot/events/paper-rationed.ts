import { IsInt, Max, Min } from 'class-validator'
import { Id, Unit } from '../../../ground/shape'
import { defineEvent } from '../../../ground/act'
import { appended, changed } from '../../../ground/fold'
import { lot } from '../stream'

export class Share {
  static readonly sample: Share = { personId: 'p', sheets: 4 }

  @Id('person') personId!: string
  @IsInt() @Min(1) @Max(10_000) @Unit('sheets') sheets!: number
}

interface Rationed extends Share {
  rationId: string
  /** The edition of a class that it is for, by id. */
  editionId?: string
}

/** Good sheets were put aside for a person. */
export const paperRationed = defineEvent(lot, 'paper-rationed', (state, data: Rationed) =>
  changed(state, {
    rations: appended(state.rations, {
      id: data.rationId,
      personId: data.personId,
      sheets: data.sheets,
      released: 0,
      returned: 0,
      used: 0,
      ...(data.editionId === undefined ? {} : { editionId: data.editionId }),
    }),
  }),
)
