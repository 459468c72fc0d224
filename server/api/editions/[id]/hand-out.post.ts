import { HandOutRequest } from '#shared/queries/lists'
import { readEdition } from '../../../services/editions'
import { asking, readChecked } from '../../../services/request'

/** The sheet a station takes next, kept from the others for a while. */
export default defineEventHandler(async (event) => {
  const { room } = await asking(event)
  const { layerId, device } = await readChecked(event, HandOutRequest)
  const { state } = await readEdition(room, getRouterParam(event, 'id') ?? '')
  return room.handOuts.next(state, layerId, device, Date.now())
})
