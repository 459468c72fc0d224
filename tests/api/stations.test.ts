import { afterAll, beforeAll, expect, it } from 'vitest'
import type { FloorReply, SessionReply, StationReply } from '#shared/replies/replies'
import { Client } from '../fixtures/client'
import { samples } from '../fixtures/requests'
import { Server } from '../fixtures/server'

let server: Server
let manager: Client
beforeAll(async () => {
  server = await Server.start()
  manager = await new Client(server.url).setUp()
  await manager.give('press:long', 'add-press', samples['add-press'])
})
afterAll(() => server.stop())

const opening = samples['open-session']
const read = async () => await manager.reading<StationReply>('/api/stations/long')

it('two who open a press in one moment: one has it, the other is told', async () => {
  const [one, other] = [await manager.person('Merle Tarn', 'member'), await manager.person('Oona Vell', 'member')]
  const answers = await Promise.all([one, other].map((who) => who.give('station:long', 'open-session', opening)))
  expect(answers.map(({ status }) => status).sort()).toEqual([200, 422])
  expect(answers.find(({ status }) => status === 422)!.body).toMatchObject({ code: 'session-open' })
  const { station } = await read()
  expect([one.personId, other.personId]).toContain(station.open!.by)
  // Who signs in hears of their own session, and of nobody else's.
  for (const who of [one, other, manager]) {
    const { openAt } = (await who.send<SessionReply>('GET', '/api/session')).body
    const isTheirs = who.personId === station.open!.by
    expect(openAt).toEqual(isTheirs ? [{ id: 'long', name: samples['add-press'].name, open: station.open }] : [])
  }
  const floor = await manager.reading<FloorReply>('/api/floor')
  expect(floor.sessions).toMatchObject([{ stationId: 'long', name: samples['add-press'].name }])
  expect(floor.tasks).toMatchObject([{ stationId: 'long', what: 'a roller dirty' }])
})

it('tells its sessions newest first, and what was used in the open one by its pulls', async () => {
  const edition = await manager.edition(3, 'Tide Gauge')
  const setting = { ...samples['set-press'], layerId: edition.layerId, pressId: 'long' }
  expect((await manager.give(edition.stream, 'set-press', setting)).status).toBe(200)
  const pull = { ...samples.pull, layerId: edition.layerId, sheetIds: [1], batchIds: [], setupSeq: 0 }
  expect((await manager.give(edition.stream, 'pull', pull)).status).toBe(200)
  const { station, used } = await read()
  expect(used.printed).toMatchObject([{ title: 'Tide Gauge', pulls: 1 }])
  const closing = {
    ...samples['close-session'],
    sessionId: station.open!.id,
    editionIds: [edition.stream.slice('edition:'.length)],
  }
  expect((await manager.give('station:long', 'close-session', closing)).status).toBe(200)
  await manager.give('station:long', 'open-session', opening)
  await manager.give('station:long', 'close-session', { ...closing, sessionId: (await read()).station.open!.id })
  const { sessions } = await read()
  expect(sessions.map(({ left }) => [left.how, left.used.printed.length])).toEqual([
    ['left', 0],
    ['as it seems', 1],
  ])
})

it('a picture that was never handed in is refused wherever it is named', async () => {
  const missing = '0'.repeat(64)
  const bad = await manager.give('station:long', 'open-session', { ...opening, pictureId: missing })
  expect(bad.body).toMatchObject({ code: 'unknown-picture' })
  const problems = [{ kind: 'broken', what: 'the crank', pictureId: missing }]
  const closing = await manager.give('station:long', 'close-session', { ...samples['close-session'], problems })
  expect(closing.body).toMatchObject({ code: 'unknown-picture' })
})

it('lists what the session’s person drew from the stores, and nobody else’s', async () => {
  const own = await manager.person('Ilka Rowe', 'member')
  await manager.give('tub:black', 'add-tub', { ...samples['add-tub'], name: 'bone black', milligrams: 250_000 })
  expect((await own.give('station:long', 'open-session', opening)).status).toBe(200)
  const mix = {
    ...samples['mix-batch'],
    components: [{ name: 'bone black', milligrams: 12_340, tubId: 'black', batchId: null }],
  }
  expect((await own.give('batch:a', 'mix-batch', mix)).status).toBe(200)
  expect((await manager.give('batch:b', 'mix-batch', mix)).status).toBe(200)
  expect((await read()).drawn).toEqual(['12.3 g of bone black'])
  const { station } = await read()
  await own.give('station:long', 'close-session', {
    ...samples['close-session'],
    sessionId: station.open!.id,
    editionIds: [],
  })
  expect((await read()).drawn).toEqual([])
})

it('an ink found dirty stands on the floor', async () => {
  await manager.give('tub:black', 'describe-tub', {
    ...samples['describe-tub'],
    name: 'bone black',
    condition: 'dirty',
  })
  expect((await manager.reading<FloorReply>('/api/floor')).tubs).toEqual([
    { id: 'black', name: 'bone black', condition: 'dirty' },
  ])
})
