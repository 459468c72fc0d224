import { isNamed } from '#core/edition/who'
import { isStaff } from '#core/ground/who'
import { readEdition } from '../../../services/editions'
import { editionCost } from '../../../services/charges'
import { failure } from '../../../services/failure'
import { asking } from '../../../services/session'

/** What an edition has cost so far: for staff, and those named on it. */
export default defineEventHandler(async (event) => {
  const { room, person } = await asking(event)
  const id = getRouterParam(event, 'id') ?? ''
  const { state } = await readEdition(room, id)
  if (!isStaff(person.role) && !isNamed(state, person.id))
    throw failure({ code: 'not-allowed', message: 'What an edition cost is told to those named on it, and to staff.' })
  return await editionCost(room, id)
})
