import { afterAll, beforeAll, expect, it } from 'vitest'
import type { EditionsReply, FindReply, Found } from '#shared/replies/replies'
import { Client } from '../fixtures/client'
import { Server } from '../fixtures/server'

let server: Server
let client: Client
let edition: Awaited<ReturnType<Client['edition']>>

beforeAll(async () => {
  server = await Server.start()
  client = await new Client(server.url).setUp()
  edition = await client.edition(24, 'Harbour Scales')
  await client.edition(3, 'Écluse du Nord')
  for (const sheet of [1, 2, 3]) await client.give(edition.stream, 'pull', client.pull(edition.layerId, sheet))
  const doubtful = client.pull(edition.layerId, 21, { verdict: 'doubtful', faults: ['salt'] })
  await client.give(edition.stream, 'pull', doubtful)
  await client.person('Merle Tarn', 'member')
})
afterAll(() => server.stop())

const found = async (text: string): Promise<Found[]> =>
  (await client.send<FindReply>('GET', `/api/find?text=${encodeURIComponent(text)}`)).body.found
const lines = async (text: string) => (await found(text)).map(({ kind, words, told }) => `${kind}: ${words}, ${told}`)

it('finds an edition by the beginning of any of its words, accents or not', async () => {
  expect((await lines('scal harb'))[0]).toMatch(/^edition: Harbour Scales, .*\d of 24|^edition: Harbour Scales, /)
  expect((await found('ecluse'))[0]!.words).toBe('Écluse du Nord')
  expect(await found('bour')).toEqual([])
})

it('finds a sheet in the words of the room', async () => {
  expect((await lines('sheet 21 of “Harbour Scales”'))[0]).toBe('sheet: sheet 21 of Harbour Scales, doubtful, salt')
  expect((await lines('21 harbour'))[0]).toBe('sheet: sheet 21 of Harbour Scales, doubtful, salt')
  expect(await lines('22')).toContain('sheet: sheet 22 of Harbour Scales, blank')
  expect((await lines('harbour 4000')).every((line) => line.startsWith('edition'))).toBe(true)
})

it('finds a print by its number', async () => {
  await client.give(edition.stream, 'declare-dry', { layerId: edition.layerId, sheetIds: [1, 2, 3] })
  for (const sheetId of [1, 2, 3]) await client.give(edition.stream, 'curate', { sheetId, verdict: 'good', reason: '' })
  const { state } = await client.read(edition.id)
  const { status } = await client.give(
    edition.stream,
    'give-numbers',
    { series: 'edition', size: state.plan!.size, assignments: [{ sheetId: 3, number: 2 }] },
    { expectedSeq: state.seq },
  )
  expect(status).toBe(200)
  const size = state.plan!.size
  expect((await lines(`2/${size} scales`))[0]).toBe(
    `print: number 2 of Harbour Scales, sheet 3, edition, numbered, 2/${size}`,
  )
  expect(await lines('AP II scales')).toEqual([expect.stringMatching(/^edition: /)])
})

it('finds paper and people', async () => {
  expect((await found('cream laid')).map(({ kind }) => kind)).toContain('paper')
  expect(await lines('merle')).toContain('person: Merle Tarn, member')
  expect(await lines('tarn member')).toEqual([])
})

it('takes whatever is typed', async () => {
  for (const text of ['', '   ', '"', '*', '") OR ("', 'NEAR(', 'words:', '%', '100%', '–', 'a'.repeat(120)])
    expect(Array.isArray(await found(text))).toBe(true)
  expect((await client.send('GET', `/api/find?text=${'a'.repeat(121)}`)).status).toBe(400)
  expect((await client.send('GET', '/api/find')).status).toBe(400)
})

it('follows a change of name', async () => {
  const { state } = await client.read(edition.id)
  await client.give(
    edition.stream,
    'change-plan',
    { title: 'Weigh House', plan: state.plan!, reason: '' },
    { expectedSeq: state.seq },
  )
  expect(await found('harbour')).toEqual([])
  expect((await found('weigh'))[0]!.words).toBe('Weigh House')
})

it('looks into the edition whose title has every word whole, before those in which each begins one', async () => {
  await client.edition(3, 'Pier 1')
  await client.edition(3, 'Pier 10')
  const sheets = async (text: string) => (await lines(text)).filter((line) => line.startsWith('sheet: '))
  expect(await sheets('sheet 2 pier 1')).toEqual(['sheet: sheet 2 of Pier 1, blank'])
  expect((await sheets('sheet 2 pie')).sort()).toEqual([
    'sheet: sheet 2 of Pier 1, blank',
    'sheet: sheet 2 of Pier 10, blank',
  ])
})

it('lists editions by any sign of their title, capital or small, whatever key it is to go on from', async () => {
  await client.edition(3, 'Tide at 5$, 100%_sure’s')
  const listed = async (query: string) => (await client.send<EditionsReply>('GET', `/api/editions?${query}`)).body
  for (const search of ['5$', '$, 1', 'TIDE', '%', '_', 'e’S'])
    expect((await listed(`search=${encodeURIComponent(search)}`)).editions.map(({ title }) => title)).toEqual([
      'Tide at 5$, 100%_sure’s',
    ])
  expect((await listed(`search=${encodeURIComponent('$1')}`)).total).toBe(0)
  for (const after of ["2026|' OR 1", '$1|$2', '2026'])
    expect((await client.send('GET', `/api/editions?after=${encodeURIComponent(after)}`)).status).toBe(200)
})
