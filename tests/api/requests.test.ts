import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { Client } from '../fixtures/client'
import { plan } from '../fixtures/press-table'
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
    ['a person who is not here', {}, { by: 'nobody' }, 'invalid'],
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
    const ask = (device: string) => client.send('POST', `/api/editions/${id}/hand-out`, { layerId, device })
    expect((await ask('long press')).body).toMatchObject({ sheetIds: [1, 2, 3] })
    expect((await ask('platen')).body).toMatchObject({ sheetIds: [4], heldByOthers: [1, 2, 3] })
    expect((await client.give(stream, 'pull', client.pull(layerId, 4), { device: 'platen' })).body).toMatchObject({
      disputed: null,
      handOut: { sheetIds: [2] },
    })
    const clash = await client.give(stream, 'pull', client.pull(layerId, 4), { device: 'long press' })
    expect(clash.status).toBe(200)
    expect(clash.body.disputed).toContain('carries Layer 1 already')
  })

  it('stores a pull that arrives after closing as disputed', async () => {
    const { id, stream, layerId } = await client.edition(2)
    const { state } = await client.read(id)
    expect((await client.give(stream, 'close', { note: '' }, { expectedSeq: state.seq })).status).toBe(200)
    expect((await client.give(stream, 'pull', client.pull(layerId, 1))).body.disputed).toContain('closed')
    expect((await client.read(id)).state.sheets.every((sheet) => sheet.pulls.length === 0)).toBe(true)
  })
})

describe('people and sessions', () => {
  it('asks who it is, and says so', async () => {
    const stranger = new Client(server.url)
    expect(await stranger.send('GET', '/api/floor')).toMatchObject({ status: 401, body: { code: 'not-signed-in' } })
    expect((await stranger.send('GET', '/api/people')).status).toBe(200)
    expect(
      await stranger.send('POST', '/api/setup', {
        studio: 'Mine',
        name: 'Me',
        secret: '1234',
        line: 'number-signature',
        currency: '€',
      }),
    ).toMatchObject({ body: { code: 'set-up-already' } })
  })

  it('keeps roles, revokes sessions and slows guessing', async () => {
    const add = await client.send<{ people: { id: string; name: string }[] }>('POST', '/api/people', {
      name: 'Wren Maddox',
      role: 'student',
      secret: 'kettle',
    })
    const wren = add.body.people.find((person) => person.name === 'Wren Maddox')!
    expect(
      await client.send('POST', '/api/people', { name: 'wren maddox', role: 'student', secret: 'kettle' }),
    ).toMatchObject({ body: { code: 'name-taken' } })
    const student = new Client(server.url)
    expect((await student.send('POST', '/api/session', { personId: wren.id, secret: 'kettle' })).status).toBe(200)
    student.personId = wren.id
    expect(
      await student.send('POST', '/api/people', { name: 'Friend', role: 'manager', secret: 'friend' }),
    ).toMatchObject({ status: 403, body: { code: 'not-allowed' } })
    const { stream } = await client.edition(2)
    expect(await student.give(stream, 'close', { note: '' })).toMatchObject({ status: 403 })
    expect(
      (await client.send('PUT', `/api/people/${wren.id}`, { name: 'Wren Maddox', role: 'student', active: false }))
        .status,
    ).toBe(200)
    expect((await student.send('GET', '/api/floor')).status).toBe(401)
    expect(
      await client.send('PUT', `/api/people/${client.personId}`, { name: 'Ansa Quill', role: 'member', active: true }),
    ).toMatchObject({ body: { code: 'last-manager' } })
    const guesser = new Client(server.url)
    for (let i = 0; i < 5; i++) await guesser.send('POST', '/api/session', { personId: wren.id, secret: `guess ${i}` })
    expect(await guesser.send('POST', '/api/session', { personId: wren.id, secret: 'kettle' })).toMatchObject({
      status: 429,
      body: { code: 'wait' },
    })
  })

  it('takes no write from another site', async () => {
    expect(
      await client.send(
        'POST',
        '/api/people',
        { name: 'X', role: 'member', secret: '1234' },
        { origin: 'http://elsewhere.example' },
      ),
    ).toMatchObject({ status: 403 })
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
    expect(csv.split('\r\n')[1]).toBe('1,doubtful,doubtful,,,cream laid,1,salt,')
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
