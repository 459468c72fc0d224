import type { Assignment, Terms } from '../edition/assignment'
import { streamId } from '../ground/envelope'
import type { CourseState } from './state'

/** An assignment's terms as its editions keep them. */
export function termsOf(
  { stream, name }: Pick<CourseState, 'stream' | 'name'>,
  assignmentId: string,
  { title, gates, practice, mayReplan, opens, due, pictures, points }: Terms & { title: string },
): Assignment {
  return {
    courseId: streamId(stream),
    course: name,
    assignmentId,
    title,
    gates,
    practice,
    mayReplan,
    opens,
    due,
    pictures,
    points,
  }
}
