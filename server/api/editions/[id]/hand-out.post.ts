import { isNamed } from '#core/edition/who'
import { isStaff } from '#core/ground/who'
import { HandOutRequest } from '#shared/queries/lists'
import { deviceOfStation } from '../../../services/device'
import { readEdition } from '../../../services/editions'
import { readChecked } from '../../../services/request'
import { asking } from '../../../services/session'

/** The sheet a station takes next, kept from the others for a while. */
export default defineEventHandler(async (event) => {
  const { room, person, signIn } = await asking(event)
  const { layerId, device: station, inHand } = await readChecked(event, HandOutRequest)
  if (deviceOfStation(station) !== signIn.device) return { sheetIds: [], heldByOthers: [] }
  const { state } = await readEdition(room, getRouterParam(event, 'id') ?? '')
  // Sheets that somebody keeps who may not pull them are kept from those who may.
  if (!isStaff(person.role) && !isNamed(state, person.id)) return { sheetIds: [], heldByOthers: [] }
  return room.handOuts.next(state, layerId, station, Date.now(), new Set(inHand))
})
