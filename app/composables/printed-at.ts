import { streamId } from '#core/ground/envelope'
import type { Reading } from '#shared/replies/reading'
import type { StationReply } from '#shared/replies/replies'
import { api } from './api'

/** Ids of the editions printed in the session that is open at a station, as the server knows it now. */
export async function printedAt(stationId: string): Promise<string[]> {
  const { data } = await api<Reading<StationReply>>(`/api/stations/${stationId}`)
  return [...new Set(data.used.printed.map(({ editionStream }) => streamId(editionStream)))]
}
