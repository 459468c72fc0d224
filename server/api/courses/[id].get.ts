import { readCourse } from '../../services/courses'
import { staffAsking } from '../../services/session'

/** A class at its benches: for whoever walks round them. */
export default defineEventHandler(async (event) => {
  const { room } = await staffAsking(event)
  return await readCourse(room, getRouterParam(event, 'id') ?? '')
})
