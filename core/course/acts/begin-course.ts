import { defineAct, defineEvent } from '../../ground/act'
import { changed } from '../../ground/fold'
import { refuseFault } from '../../ground/refusal'
import { staff } from '../../ground/who'
import { studio } from '../../stores/studio/stream'
import { notTeaching } from '../people'
import { CourseDescription, courseFault } from '../state'
import { course } from '../stream'

const courseBegun = defineEvent(course, 'course-begun', (state, data: CourseDescription) => changed(state, data))

/** A class begins. */
export const beginCourse = defineAct(course, 'begin-course', CourseDescription, staff, {
  begins: true,
  needs: () => ({ room: studio.of() }),
  events: [courseBegun],
  rule: ({ course, room }, data) => {
    const fault = courseFault(data)
    if (fault) return refuseFault('course-unfit', fault)
    return notTeaching(room, data.instructorIds) ?? [courseBegun.on(course, { ...data, name: data.name.trim() })]
  },
})
