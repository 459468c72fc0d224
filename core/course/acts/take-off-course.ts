import { Id } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { changed } from '../../ground/fold'
import { refuse } from '../../ground/refusal'
import { staff } from '../../ground/who'
import { course } from '../stream'

class TakenOff {
  static readonly sample: TakenOff = { personId: 'p' }

  @Id('person') personId!: string
}

const studentTakenOff = defineEvent(course, 'student-taken-off', (state, { personId }: TakenOff) =>
  changed(state, { studentIds: state.studentIds.filter((id) => id !== personId) }),
)

/** Somebody comes no more. Editions begun stay theirs. */
export const takeOffCourse = defineAct(course, 'take-off-course', TakenOff, staff, {
  events: [studentTakenOff],
  rule: ({ course }, data) =>
    course.studentIds.includes(data.personId)
      ? [studentTakenOff.on(course, data)]
      : refuse('not-enrolled', 'That person does not come to this class.', 'personId'),
})
