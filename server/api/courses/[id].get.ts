import { readCourse } from '../../services/courses'
import { reading } from '../../services/reading'
import { staffAsking } from '../../services/session'

/** A class at its benches: for whoever walks round them. */
export default defineEventHandler((event) =>
  reading(event, (room) => readCourse(room, getRouterParam(event, 'id') ?? ''), {
    admit: staffAsking,
    on: ({ course, benches }) => [
      `course:${course.id}`,
      ...benches.map(({ editionId }) => `edition:${editionId}`),
      'lot',
      'press',
      'studio',
    ],
  }),
)
