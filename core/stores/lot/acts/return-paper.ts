import { IsInt, Max, Min } from 'class-validator'
import { Id, Unit } from '../../../ground/shape'
import { agree, pluralise } from '../../../units/pluralise'
import { defineAct, defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { refuse } from '../../../ground/refusal'
import { anyone, isStaff } from '../../../ground/who'
import { rationChanged, unknownRation } from '../ration'
import { inHand, rationOf } from '../state'
import { lot } from '../stream'

class Returned {
  static readonly sample: Returned = { rationId: 'r', sheets: 1 }

  @Id('ration') rationId!: string
  @IsInt() @Min(1) @Max(10_000) @Unit('sheets') sheets!: number
}

const paperReturned = defineEvent(lot, 'paper-returned', (state, { rationId, sheets }: Returned) =>
  changed(
    rationChanged(state, rationId, (ration) => ({ ...ration, returned: ration.returned + sheets })),
    { left: state.left + sheets },
  ),
)

/** Sheets that were given out come back to the shelf. */
export const returnPaper = defineAct(lot, 'return-paper', Returned, anyone, {
  events: [paperReturned],
  rule: ({ lot }, data, { personId, role }) => {
    const ration = rationOf(lot, data.rationId)
    if (!ration) return unknownRation()
    if (ration.personId !== personId && !isStaff(role))
      return refuse('not-theirs', 'Whoever was given that paper brings it back, or staff.', 'rationId')
    if (data.sheets > inHand(ration))
      return refuse(
        'more-than-in-hand',
        `${pluralise(inHand(ration), 'sheet')} ${agree(inHand(ration), 'is', 'are')} in the person’s hands; ${data.sheets} cannot come back.`,
        'sheets',
      )
    return [paperReturned.on(lot, data)]
  },
})
