import { mostStudents } from '../../edition/assignment'
import { Ids } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { changed } from '../../ground/fold'
import { refuse } from '../../ground/refusal'
import { staff } from '../../ground/who'
import { studio } from '../../stores/studio/stream'
import { unknownPerson } from '../people'
import { course } from '../stream'

class Enrolled {
  static readonly sample: Enrolled = { personIds: ['p'] }

  @Ids('person', mostStudents) personIds!: string[]
}

const studentsEnrolled = defineEvent(course, 'students-enrolled', (state, { personIds }: Enrolled) =>
  changed(state, { studentIds: [...new Set([...state.studentIds, ...personIds])] }),
)

/** People come to a class. One person may come to two: what each gives them to do is an edition of its own. */
export const enrolStudents = defineAct(course, 'enrol-students', Enrolled, staff, {
  needs: () => ({ room: studio.of() }),
  events: [studentsEnrolled],
  rule: ({ course, room }, { personIds }) => {
    const fresh = [...new Set(personIds)].filter((id) => !course.studentIds.includes(id))
    if (fresh.length === 0) return refuse('enrolled-already', 'They come to this class already.', 'personIds')
    return unknownPerson(room, fresh, 'personIds') ?? [studentsEnrolled.on(course, { personIds: fresh })]
  },
})
