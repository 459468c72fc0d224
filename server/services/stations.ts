import type { EditionState } from '#core/edition/state'
import { emptyStation, nothingUsed, type PastSession, type StationState, type Used } from '#core/station/state'
import { usedIn } from '#core/station/used'
import { streamId } from '#core/ground/envelope'
import { evolve } from '#core/house/streams'
import type { OpenStation, PressSummary, StationReply, StationSummary } from '#shared/replies/replies'
import { summariesOf, summaryOf } from '../database/summaries'
import { readStream } from '../database/events'
import { drawnSoFar } from './drawn'
import type { Pressroom } from './pressroom'

/** A browser's clock may be behind the server's by so much, ms. */
const clocksApart = 3600_000
/** Editions of a session that are looked into, the ones pulled last. */
const lookedInto = 20
/** Sessions of a station that are told, the newest. */
const mostTold = 60

/** Every station under its name: a press under that of the press. */
export async function readStations(room: Pressroom): Promise<StationSummary[]> {
  const [stations, presses] = await Promise.all([
    summariesOf<StationSummary>(room.db.reader, 'station'),
    summariesOf<PressSummary>(room.db.reader, 'press'),
  ])
  const names = new Map(presses.map(({ id, name }) => [id, name]))
  return stations.map((station) => ({ ...station, name: names.get(station.id) ?? station.name }))
}

/** Stations at which somebody has a session open. */
export async function openStationsOf(room: Pressroom, personId: string): Promise<OpenStation[]> {
  const stations = await readStations(room)
  return stations.flatMap(({ id, name, open }) => (open?.by === personId ? [{ id, name, open }] : []))
}

/** What was used in a session that is open now, by the editions pulled since. */
async function usedSoFar(room: Pressroom, { stream, open }: StationState): Promise<Used> {
  if (!open) return nothingUsed
  const editions = await Promise.all(
    room.pulledLately
      .since(Date.parse(open.at) - clocksApart)
      .slice(0, lookedInto)
      .map((id) => room.ledger.read<EditionState>(`edition:${id}`)),
  )
  return usedIn(editions, open, streamId(stream))
}

/** One station: how it stands, and who had it before, how found and how left. */
export async function readStation(room: Pressroom, id: string): Promise<StationReply> {
  const stream = `station:${id}`
  const state = await room.ledger.read<StationState>(stream)
  return {
    station: summaryOf(state),
    used: await usedSoFar(room, state),
    drawn: await drawnSoFar(room, state),
    sessions: await sessionsOf(room, stream),
  }
}

/** Its sessions as its own events tell them: a station's ledger is short beside an edition's. */
async function sessionsOf(room: Pressroom, stream: string): Promise<PastSession[]> {
  const { events } = await readStream(room.db.reader, stream)
  const sessions: PastSession[] = []
  let state = emptyStation(stream)
  for (const event of events) {
    state = evolve(state, event)
    if (event.type === 'session-closed' && state.last && sessions.at(-1)?.id !== state.last.id)
      sessions.push(state.last)
  }
  return sessions.slice(-mostTold).reverse()
}
