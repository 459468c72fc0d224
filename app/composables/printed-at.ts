import { streamId } from '#core/ground/envelope'
import type { StationReply } from '#shared/replies/replies'
import { api } from './api'

/** Ids of the editions printed in the session that is open at a station, as the server knows it now. */
export async function printedAt(stationId: string): Promise<string[]> {
  const { used } = await api<StationReply>(`/api/stations/${stationId}`)
  return [...new Set(used.printed.map(({ editionStream }) => streamId(editionStream)))]
}
