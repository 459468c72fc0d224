import { definePlainAct, defineEvent } from '../../ground/act'
import { changed } from '../../ground/fold'
import { refuseFault } from '../../ground/refusal'
import { staff } from '../../ground/who'
import { studio } from '../../stores/studio/stream'
import { notTeaching } from '../people'
import { type CourseDescription, courseFault } from '../state'
import { course } from '../stream'

const courseBegun = defineEvent(course, 'course-begun', (state, data: CourseDescription) => changed(state, data))

/** A class begins. */
export const beginCourse = definePlainAct(course, 'begin-course', staff, {
  begins: true,
  needs: () => ({ room: studio.of() }),
  events: [courseBegun],
  rule: ({ course, room }, data: CourseDescription) => {
    const fault = courseFault(data)
    if (fault) return refuseFault('course-unfit', fault)
    return notTeaching(room, data.instructorIds) ?? [courseBegun.on(course, { ...data, name: data.name.trim() })]
  },
})
