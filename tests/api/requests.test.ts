import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { Client } from '../fixtures/client'
import type { EditionsReply, FloorReply } from '#shared/replies/replies'
import { plan } from '../fixtures/plan'
import { Server } from '../fixtures/server'

let server: Server
let client: Client
beforeAll(async () => {
  server = await Server.start()
  client = await new Client(server.url).setUp()
})
afterAll(() => server.stop())

describe('commands', () => {
  it.each([
    ['an unknown key', { colour: 'red' }, {}, 'invalid'],
    ['a wrong type', { sheetIds: ['one'] }, {}, 'invalid'],
    ['a number out of range', { sheetIds: [0] }, {}, 'invalid'],
    ['an unknown fault', { faults: ['gremlin'] }, {}, 'unknown-fault'],
    ['an unknown layer', { layerId: 'nowhere' }, {}, 'unknown-layer'],
    ['an id that is none', {}, { commandId: '42' }, 'invalid'],
    ['an unknown command', {}, { type: 'pulll' }, 'invalid'],
    ['an unknown edition', {}, { stream: 'edition:none' }, 'unknown-edition'],
  ])('refuses %s and changes nothing', async (_, data, envelope, code) => {
    const { id, stream, layerId } = await client.edition(3)
    const before = (await client.read(id)).state.seq
    const answer = await client.send('POST', '/api/commands', {
      ...client.envelope(stream, 'pull', { ...client.pull(layerId, 1), ...data }),
      ...envelope,
    })
    expect(answer.status).toBeGreaterThanOrEqual(400)
    expect(answer.body).toMatchObject({ code })
    expect(String(answer.body.message).length).toBeGreaterThan(15)
    expect((await client.read(id)).state.seq).toBe(before)
  })

  it('refuses what is no JSON, and what is too large', async () => {
    expect(await client.send('POST', '/api/commands', '{"half')).toMatchObject({
      status: 400,
      body: { code: 'invalid' },
    })
    expect(await client.send('POST', '/api/commands', `"${'x'.repeat(300_000)}"`)).toMatchObject({
      status: 413,
      body: { code: 'too-large' },
    })
  })

  it('refuses a stale gate and says to look again', async () => {
    const { stream } = await client.edition(3)
    const answer = await client.give(stream, 'change-plan', { title: 'New', plan, reason: '' }, { expectedSeq: 1 })
    expect(answer).toMatchObject({ status: 409, body: { code: 'stale' } })
  })

  it('hands two stations different sheets, and stores a clash as disputed', async () => {
    const { id, stream, layerId } = await client.edition(4)
    const ask = (tab: string) => client.send('POST', `/api/editions/${id}/hand-out`, { layerId, ...client.at(tab) })
    expect((await ask('long press')).body).toMatchObject({ sheetIds: [1, 2, 3] })
    expect((await ask('platen')).body).toMatchObject({ sheetIds: [4], heldByOthers: [1, 2, 3] })
    expect((await client.give(stream, 'pull', client.pull(layerId, 4), client.at('platen'))).body).toMatchObject({
      disputed: null,
      handOut: { sheetIds: [2] },
    })
    const clash = await client.give(stream, 'pull', client.pull(layerId, 4), client.at('long press'))
    expect(clash.status).toBe(200)
    expect(clash.body.disputed).toContain('carries Layer 1 already')
  })

  it('stores a pull that arrives after closing as disputed', async () => {
    const { id, stream, layerId } = await client.edition(2)
    const { state } = await client.read(id)
    const close = () =>
      client.give(stream, 'close', { note: '', block: 'kept', blockIds: [] }, { expectedSeq: state.seq })
    expect(await close()).toMatchObject({ status: 403, body: { code: 'give-secret-again' } })
    await client.sure()
    expect((await close()).status).toBe(200)
    expect((await client.give(stream, 'pull', client.pull(layerId, 1))).body.disputed).toContain('closed')
    expect((await client.read(id)).state.sheets.every((sheet) => sheet.pulls.length === 0)).toBe(true)
  })
})

describe('lists and records', () => {
  it('finds editions by title and state, page by page', async () => {
    for (let i = 0; i < 5; i++) await client.edition(1, `Lamp 100% ${i}`)
    const list = async (query: string) =>
      (
        await client.send<{ editions: { title: string }[]; next: string | null; total: number }>(
          'GET',
          `/api/editions?${query}`,
        )
      ).body
    expect((await list('search=lamp%20100%25')).total).toBe(5)
    expect((await list('search=1000')).total).toBe(0)
    const first = await list('search=lamp&limit=3')
    const second = await list(`search=lamp&limit=3&after=${encodeURIComponent(first.next!)}`)
    expect([...first.editions, ...second.editions].map((edition) => edition.title).sort()).toEqual(
      [0, 1, 2, 3, 4].map((i) => `Lamp 100% ${i}`),
    )
    expect(second.next).toBeNull()
    expect(await client.send('GET', '/api/editions?state=burnt')).toMatchObject({
      status: 400,
      body: { code: 'invalid' },
    })
    expect(await client.send('GET', '/api/editions/none')).toMatchObject({
      status: 404,
      body: { code: 'unknown-edition' },
    })
  })

  it('are in the order in which things came in, whatever a tablet’s clock says', async () => {
    const [wrong, right] = [await client.edition(3, 'Wrong Clock'), await client.edition(3, 'Right Clock')]
    const tap = (edition: typeof wrong, sheet: number, occurredAt?: string) =>
      client.give(edition.stream, 'pull', client.pull(edition.layerId, sheet), occurredAt ? { occurredAt } : {})
    await tap(wrong, 1, '2099-05-01T10:00:00.000Z')
    await tap(right, 1)
    const clocks = (lines: readonly { title: string }[]) =>
      lines.map(({ title }) => title).filter((title) => title.endsWith('Clock'))
    const running = async () => clocks((await client.reading<FloorReply>('/api/floor')).running)
    const newestFirst = ['Right Clock', 'Wrong Clock']
    const { body } = await client.send<EditionsReply>('GET', '/api/editions?search=clock')
    expect(clocks(body.editions)).toEqual(newestFirst)
    expect(await running()).toEqual(newestFirst)
    // One that is slow is no less at the press.
    await tap(wrong, 2, '1970-01-01T10:00:00.000Z')
    expect(await running()).toEqual(['Wrong Clock', 'Right Clock'])
  })

  it('writes the record as JSON and CSV', async () => {
    const { id, stream, layerId } = await client.edition(2, '=SUM(A1)')
    await client.give(stream, 'pull', client.pull(layerId, 1, { faults: ['salt'], verdict: 'doubtful' }))
    const { body } = await client.send<{ title: string; count: { balances: boolean; total: number } }>(
      'GET',
      `/api/editions/${id}/record.json`,
    )
    expect(body).toMatchObject({ title: '=SUM(A1)', count: { balances: true, total: 2 } })
    const csv = await (
      await fetch(`${server.url}/api/editions/${id}/record.csv`, { headers: { cookie: client.cookie } })
    ).text()
    expect(csv.split('\r\n')[1]).toBe('1,doubtful,doubtful,,,,cream laid,1,salt,')
  })

  it('rebuilds the lists from the ledger to the letter', async () => {
    const { openConnections, rows } = await import('../../server/database/connections')
    const { summaryFromEvents } = await import('../../server/database/summaries')
    const { readStream } = await import('../../server/database/events')
    const db = await openConnections(server.folder)
    const kept = await rows<{ stream: string; data: string; title: string; state: string }>(
      db.reader,
      'SELECT stream, title, state, data FROM summaries',
    )
    expect(kept.length).toBeGreaterThan(10)
    for (const row of kept) {
      const rebuilt = summaryFromEvents(row.stream, await readStream(db.reader, row.stream))
      expect(rebuilt).toMatchObject({ title: row.title, state: row.state, data: row.data })
    }
    expect(await rows(db.writer, 'PRAGMA synchronous')).toEqual([{ synchronous: 2 }])
    await expect(db.writer.query('DELETE FROM events')).rejects.toHaveProperty(
      'parent.message',
      expect.stringContaining('never deleted'),
    )
    await expect(db.writer.query(`UPDATE events SET data = '{}'`)).rejects.toHaveProperty(
      'parent.message',
      expect.stringContaining('never changed'),
    )
    await db.close()
  })
})
