import { v7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import { cardOf } from '#core/ink/draw-down'
import { starterInk } from '#core/ink/pigments'
import { rollUpDefaults } from '#core/ink/roll-up'
import type { OrdersReply } from '#shared/replies/office'
import type { ScaleReading } from '#shared/replies/replies'
import { readStores } from '../fixtures/stores'
import { Client } from '../fixtures/client'
import { plan } from '../fixtures/plan'
import { samples } from '../fixtures/requests'
import { Server } from '../fixtures/server'

let server: Server
let client: Client
beforeAll(async () => {
  server = await Server.start()
  client = await new Client(server.url).setUp()
})
afterAll(() => server.stop())

const red = {
  name: 'warm red',
  maker: '',
  container: 'tub',
  family: 'oil',
  nature: 'pigment',
  density: 1.12,
  tinting: 1.1,
  price: 0.1,
  openedOn: null,
  condition: 'clean',
  limits: null,
  keptAt: 'shelf 2',
  card: cardOf(starterInk('warm red')!.pigment, '#f4f2ec', 8),
  milligrams: 200_000,
}
const storesOf = (by: Client) => readStores(async (path) => (await by.send('GET', path)).body)
const stores = () => storesOf(client)

async function tub(more: object = {}): Promise<string> {
  const id = v7()
  expect((await client.give(`tub:${id}`, 'add-tub', { ...red, ...more })).status).toBe(200)
  return id
}
async function batch(tubId: string, milligrams: number): Promise<string> {
  const id = v7()
  expect(
    (
      await client.give(`batch:${id}`, 'mix-batch', {
        name: 'rust',
        family: 'oil',
        colour: '#94492f',
        components: [{ tubId, batchId: null, name: 'warm red', milligrams }],
      })
    ).status,
  ).toBe(200)
  return id
}

describe('ink over the wire', () => {
  it('a batch and the tubs it came from are written together, and read back as they stand', async () => {
    const tubId = await tub()
    const batchId = await batch(tubId, 45_000)
    await client.give(`batch:${batchId}`, 'draw-ink', {
      milligrams: 12_000,
      editionStream: '',
      layerId: null,
      note: '',
    })
    const { tubs, batches } = await stores()
    expect(tubs.find((known) => known.id === tubId)).toMatchObject({
      left: 155_000,
      name: 'warm red',
      keptAt: 'shelf 2',
    })
    expect(batches.find((known) => known.id === batchId)).toMatchObject({
      left: 33_000,
      mixed: 45_000,
      draws: [{ milligrams: 12_000 }],
    })
  })

  it('the same pour sent twice is poured once', async () => {
    const tubId = await tub()
    const id = v7()
    const envelope = client.envelope(`batch:${id}`, 'mix-batch', {
      name: 'once',
      family: 'oil',
      colour: '#94492f',
      components: [{ tubId, batchId: null, name: 'warm red', milligrams: 10_000 }],
    })
    const first = await client.send('POST', '/api/commands', envelope)
    const second = await client.send('POST', '/api/commands', envelope)
    expect(second).toEqual(first)
    expect((await stores()).tubs.find((known) => known.id === tubId)!.left).toBe(190_000)
  })

  it.each([
    [
      'a weight of zero',
      'mix-batch',
      {
        name: 'x',
        family: 'oil',
        colour: '#94492f',
        components: [{ tubId: null, batchId: null, name: 'red', milligrams: 0 }],
      },
      'weight-range',
    ],
    [
      'a weight below zero',
      'mix-batch',
      {
        name: 'x',
        family: 'oil',
        colour: '#94492f',
        components: [{ tubId: null, batchId: null, name: 'red', milligrams: -4 }],
      },
      'weight-range',
    ],
    [
      'an ink that is not in the store',
      'mix-batch',
      {
        name: 'x',
        family: 'oil',
        colour: '#94492f',
        components: [{ tubId: 'none', batchId: null, name: 'red', milligrams: 5 }],
      },
      'unknown-tub',
    ],
    [
      'a colour that is none',
      'mix-batch',
      {
        name: 'x',
        family: 'oil',
        colour: 'rust',
        components: [{ tubId: null, batchId: null, name: 'red', milligrams: 5 }],
      },
      'invalid',
    ],
    [
      'half a milligram',
      'mix-batch',
      {
        name: 'x',
        family: 'oil',
        colour: '#94492f',
        components: [{ tubId: null, batchId: null, name: 'red', milligrams: 5.5 }],
      },
      'invalid',
    ],
    [
      'a batch that is not there',
      'draw-ink',
      { milligrams: 5, editionStream: '', layerId: null, note: '' },
      'unknown-batch',
    ],
  ])('refuses %s and writes nothing', async (_, type, data, code) => {
    const id = v7()
    const answer = await client.give(`batch:${id}`, type, data)
    expect(answer.body.code).toBe(code)
    expect(String(answer.body.message).length).toBeGreaterThan(20)
    expect((await stores()).batches.some((known) => known.id === id)).toBe(false)
  })

  it('refuses a draw-down that contradicts itself, in words', async () => {
    const answer = await client.give(`tub:${v7()}`, 'add-tub', {
      ...red,
      card: { ...red.card, overBlack: red.card.overWhite },
    })
    expect(answer).toMatchObject({
      status: 422,
      body: { code: 'tub-unfit', message: expect.stringContaining('Draw it down thinner') },
    })
  })

  it('keeps routine, share, order and blend with the edition', async () => {
    const { id, stream, layerId } = await client.edition(3)
    expect(
      (
        await client.give(stream, 'set-roll-up', {
          layerId,
          rollUp: { ...rollUpDefaults, chores: [{ every: 5, what: 'clear the rim' }] },
        })
      ).status,
    ).toBe(200)
    expect(
      (
        await client.give(stream, 'plan-overprint', {
          overprint: { paper: '#efe3c4', layers: [{ layerId, batchId: null, thickness: 8 }], wishes: [] },
        })
      ).status,
    ).toBe(200)
    expect(
      (await client.give(stream, 'set-inked-share', { blockId: 'none', share: 0.4, reading: null })).body.code,
    ).toBe('unknown-block')
    expect(
      (
        await client.give(stream, 'plan-blend', {
          layerId,
          blend: {
            stripes: [],
            blend: 0.3,
            widening: 0,
            freshAfter: 0,
            avoid: null,
            severalDirections: false,
            thickness: 8,
          },
        })
      ).body.code,
    ).toBe('blend-unfit')
    const { state } = await client.read(id)
    expect(state.layers[0]!.rollUp!.chores).toEqual([{ every: 5, what: 'clear the rim' }])
    expect(state.overprint).toMatchObject({ paper: '#efe3c4' })
  })
})

describe('the scale', () => {
  const act = (what: string, rate = 0) => client.send<ScaleReading>('POST', '/api/scale', { act: what, rate })

  it('is heard as a stream, tared, poured on and unplugged', async () => {
    await act('clear')
    await act('tare')
    await act('pour', 20)
    // Poured until the scale shows it.
    await vi.waitUntil(async () => (await act('pour', 20)).body.grams! > 5, { timeout: 10_000 })
    const { body } = await act('stop')
    expect(body.grams!).toBeGreaterThan(5)
    expect(body).toMatchObject({ steady: true, simulated: true })
    expect((await act('unplug')).body.grams).toBeNull()
    const stop = new AbortController()
    const answer = await fetch(`${server.url}/api/scale`, { headers: { cookie: client.cookie }, signal: stop.signal })
    const { value } = await answer.body!.pipeThrough(new TextDecoderStream()).getReader().read()
    expect(JSON.parse(/^data: (.*)$/m.exec(value!)![1]!)).toEqual({ grams: null, steady: false, simulated: true })
    stop.abort()
    expect(Math.abs((await act('plug')).body.grams!)).toBeLessThan(0.1)
  })

  it('asks who is there, and refuses what no scale does', async () => {
    expect((await fetch(`${server.url}/api/scale`)).status).toBe(401)
    expect(await act('shake')).toMatchObject({ status: 400, body: { code: 'invalid' } })
    expect(await act('pour', -3)).toMatchObject({ status: 400, body: { code: 'invalid' } })
  })

  it('writes no reading into the ledger', async () => {
    const before = await client.check()
    await act('pour', 5)
    await act('stop')
    await act('tare')
    expect(await client.check()).toEqual(before)
  })
})

it('an edition whose paper is not torn yet has its ink on the order list', async () => {
  const tubId = await tub({ name: 'order red', milligrams: 3000 })
  const batchId = await batch(tubId, 2500)
  const [id, blockId] = [v7(), v7()]
  const stream = `edition:${id}`
  await client.give(stream, 'start-edition', { title: 'Pier Lamp', plan: { ...plan, size: 200 } })
  const layerId = (await client.read(id)).state.layers[0]!.id
  const lines = async () => (await client.reading<OrdersReply>('/api/orders')).lines.filter((line) => line.id === tubId)
  expect(await lines()).toMatchObject([{ wanted: [] }])
  await client.give(stream, 'prepare-block', { ...samples['prepare-block'], blockId })
  await client.give(stream, 'set-zones', { layerId, zones: [{ id: 'z', name: 'all', batchId }] })
  const [line] = await lines()
  expect(line).toMatchObject({ kind: 'ink', name: 'order red', left: 0.5, wanted: [{ title: 'Pier Lamp' }] })
  // 200 prints of a block of this size take more than the 2.5 g that are mixed.
  expect(line!.order).toBeGreaterThan(1)
})

it('ink that was acknowledged is there after the server was killed', async () => {
  const own = await Server.start()
  const person = await new Client(own.url).setUp()
  const [tubId, batchId] = [v7(), v7()]
  await person.give(`tub:${tubId}`, 'add-tub', red)
  await person.give(`batch:${batchId}`, 'mix-batch', {
    name: 'rust',
    family: 'oil',
    colour: '#94492f',
    components: [{ tubId, batchId: null, name: 'warm red', milligrams: 30_000 }],
  })
  await person.give(`batch:${batchId}`, 'keep-batch', { milligrams: 21_000, scraped: 500, how: 'wrapped' })
  await own.stop('SIGKILL')
  const again = await Server.start({ folder: own.folder })
  const back = person.behind(again.url)
  const { tubs, batches } = await storesOf(back)
  expect(tubs).toMatchObject([{ id: tubId, left: 170_000 }])
  expect(batches).toMatchObject([{ id: batchId, left: 21_000, scraped: 500, keepings: [{ how: 'wrapped' }] }])
  await again.stop()
})
