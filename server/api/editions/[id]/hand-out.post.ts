import { HandOutRequest } from '#shared/queries/lists'
import { deviceOfStation } from '../../../services/device'
import { readEdition } from '../../../services/editions'
import { readChecked } from '../../../services/request'
import { asking } from '../../../services/session'

/** The sheet a station takes next, kept from the others for a while. */
export default defineEventHandler(async (event) => {
  const { room, signIn } = await asking(event)
  const { layerId, device: station } = await readChecked(event, HandOutRequest)
  if (deviceOfStation(station) !== signIn.device) return { sheetIds: [], heldByOthers: [] }
  const { state } = await readEdition(room, getRouterParam(event, 'id') ?? '')
  return room.handOuts.next(state, layerId, station, Date.now())
})
