import { begunOnce, defineStream } from '../ground/act'
import { emptyCourse } from './state'

/** A class, called a course here because `class` is a word of the language. */
export const course = defineStream('course', emptyCourse, {
  gate: begunOnce((state) => state.name !== '', 'This class is there already.', {
    code: 'unknown-course',
    message: 'There is no such class here. Open it from the list of classes.',
  }),
})
