import { defineAct, defineEvent } from '../../ground/act'
import { changed } from '../../ground/fold'
import { refuseFault } from '../../ground/refusal'
import { staff } from '../../ground/who'
import { studio } from '../../stores/studio/stream'
import { notTeaching } from '../people'
import { CourseDescription, courseFault } from '../state'
import { course } from '../stream'

const courseDescribed = defineEvent(course, 'course-described', (state, data: CourseDescription) =>
  changed(state, data),
)

/** A class gets another name, term or hours, or another who teaches it. */
export const describeCourse = defineAct(course, 'describe-course', CourseDescription, staff, {
  guarded: true,
  needs: () => ({ room: studio.of() }),
  events: [courseDescribed],
  rule: ({ course, room }, data) => {
    const fault = courseFault(data)
    if (fault) return refuseFault('course-unfit', fault)
    return notTeaching(room, data.instructorIds) ?? [courseDescribed.on(course, { ...data, name: data.name.trim() })]
  },
})
