import { isStaff } from '#core/ground/who'
import { LossesQuery } from '#shared/queries/lists'
import { queryChecked } from '../services/request'
import { readRoomLosses } from '../services/room-losses'
import { asking } from '../services/session'

/** Where the room loses; whose pulls they were is told to staff, and to each of her own. */
export default defineEventHandler(async (event) => {
  const { room, person } = await asking(event)
  const { by } = queryChecked(event, LossesQuery)
  return await readRoomLosses(room, by, isStaff(person.role) ? null : person.id)
})
