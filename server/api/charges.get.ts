import { isStaff } from '#core/ground/who'
import { ChargesQuery } from '#shared/queries/lists'
import { readCharges } from '../services/charges'
import { queryChecked } from '../services/request'
import { asking } from '../services/session'

/** Who owes what for some days: everybody's to staff, to others their own. */
export default defineEventHandler(async (event) => {
  const { room, person } = await asking(event)
  return await readCharges(room, queryChecked(event, ChargesQuery), isStaff(person.role) ? null : person.id)
})
