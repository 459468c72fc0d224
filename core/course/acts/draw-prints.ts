import { IsInt, Max, Min } from 'class-validator'
import { Id, Words } from '../../ground/shape'
import { mostStudents } from '../../edition/assignment'
import { defineAct, defineEvent } from '../../ground/act'
import { changed, replacedWhere } from '../../ground/fold'
import { reasonMissing, refuse } from '../../ground/refusal'
import { staff } from '../../ground/who'
import { drawExchange } from '../draw'
import { assignmentOf, type Gift } from '../state'
import { course } from '../stream'

class Draw {
  static readonly sample: Draw = { assignmentId: 'a', each: 1, reason: '' }

  @Id('assignment') assignmentId!: string
  /** Prints that each gives. */
  @IsInt() @Min(1) @Max(mostStudents) each!: number
  /** Why it is drawn again; empty the first time. */
  @Words(500) reason!: string
}

const printsDrawn = defineEvent(
  course,
  'prints-drawn',
  (state, { assignmentId, exchange }: Draw & { exchange: Gift[] }) =>
    changed(state, {
      assignments: replacedWhere(
        state.assignments,
        ({ id }) => id === assignmentId,
        (known) => ({ ...known, exchange }),
      ),
    }),
)

/** Who gets whose print is drawn: nobody gets their own. Drawn again only with a reason, which stays. */
export const drawPrints = defineAct(course, 'draw-prints', Draw, staff, {
  guarded: true,
  events: [printsDrawn],
  rule: ({ course }, data, { commandId }) => {
    const given = assignmentOf(course, data.assignmentId)
    if (!given) return refuse('unknown-assignment', 'That assignment is not there any more. Reload the page.')
    const ids = given.editions.map(({ editionId }) => editionId)
    if (data.each < 1 || data.each > ids.length - 1)
      return refuse(
        'too-few',
        ids.length < 2
          ? 'Two editions or more are needed to exchange prints.'
          : `Of ${ids.length} editions each can give 1 to ${ids.length - 1} prints.`,
        'each',
      )
    if (given.exchange.length > 0 && data.reason.trim() === '')
      return reasonMissing('It was drawn already. Say why it is drawn again.')
    return [printsDrawn.on(course, { ...data, exchange: drawExchange(ids, data.each, commandId) })]
  },
})
