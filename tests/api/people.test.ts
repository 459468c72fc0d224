import { v7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { SecurityReply, SessionReply, SignInReply } from '#shared/replies/replies'
import { Client } from '../fixtures/client'
import { Server, setUpToken } from '../fixtures/server'

let server: Server
let client: Client

beforeAll(async () => {
  server = await Server.start()
  client = await new Client(server.url).setUp()
})
afterAll(() => server.stop())

const room = { studio: 'Mine', name: 'Me', secret: '1234', line: 'number-signature', currency: '€' }
const log = async () => (await client.send<SecurityReply>('GET', '/api/security-log')).body.lines
const signIns = async (of = client) => (await of.send<{ signIns: SignInReply[] }>('GET', '/api/sign-ins')).body.signIns

describe('setting up', () => {
  it('is done once, with the token, whoever tries at the same time', async () => {
    const own = await Server.start()
    const many = Array.from({ length: 4 }, () => new Client(own.url))
    const set = (token: string) =>
      many.map((one, i) => one.send('POST', '/api/setup', { ...room, name: `M ${i}`, token }))
    for (const { status, body } of await Promise.all(set('WRONGTOKEN'))) {
      expect(status).toBe(403)
      expect(body).toMatchObject({ code: 'wrong-token', field: 'token' })
    }
    const answers = await Promise.all(set(setUpToken))
    expect(answers.filter(({ status }) => status === 200)).toHaveLength(1)
    for (const { status, body } of answers)
      if (status !== 200) expect(['set-up-already', 'wrong-token']).toContain(body.code)
    const { people } = (await many[0]!.send<{ people: object[] }>('GET', '/api/people')).body
    expect(people).toHaveLength(1)
    await own.stop()
  })

  it('is shut at every moment while people change', async () => {
    const stranger = new Client(server.url)
    let running = true
    const seen = new Set<unknown>()
    const knock = (async () => {
      while (running) seen.add((await stranger.send('POST', '/api/setup', { ...room, token: setUpToken })).body.code)
    })()
    for (let i = 0; i < 6; i++)
      await client.send('POST', '/api/people', { name: `Hand ${i}`, role: 'member', secret: '2580' })
    running = false
    await knock
    expect([...seen]).toEqual(['set-up-already'])
  })
})

describe('a secret', () => {
  it('never comes out again, in no answer', async () => {
    const wren = await client.person('Wren Maddox', 'student')
    const answers = await Promise.all([
      wren.send('GET', '/api/session'),
      wren.send('POST', '/api/session', { personId: wren.personId, secret: 'kettle' }),
      client.send('GET', '/api/people'),
      client.send('PUT', `/api/people/${wren.personId}`, { name: 'Wren M.', role: 'student', active: true }),
    ])
    for (const { status, body } of answers) {
      expect(status).toBe(200)
      expect(JSON.stringify(body)).not.toMatch(/"secret"|"[\w-]{22}\.[\w-]{43}/)
    }
  })

  it('that someone else chose is changed before anything else', async () => {
    const { body } = await client.send<{ people: { id: string; name: string }[] }>('POST', '/api/people', {
      name: 'Ivo Marl',
      role: 'member',
      secret: 'first',
    })
    const { id } = body.people.find(({ name }) => name === 'Ivo Marl')!
    const ivo = await new Client(server.url).signIn(id, 'first')
    expect((await ivo.send<SessionReply>('GET', '/api/session')).body.mustChange).toBe(true)
    for (const [method, path] of [
      ['GET', '/api/floor'],
      ['GET', '/api/streams?of=lot'],
      ['POST', '/api/commands'],
    ] as const)
      expect(await ivo.send(method, path, method === 'POST' ? {} : undefined)).toMatchObject({
        status: 403,
        body: { code: 'change-secret' },
      })
    const change = (before: string, secret: string) => ivo.send('PUT', `/api/people/${id}/secret`, { before, secret })
    expect(await change('guess', 'mine 42')).toMatchObject({
      status: 422,
      body: { code: 'secret-unfit', field: 'before' },
    })
    expect(await change('first', 'first')).toMatchObject({ body: { code: 'same-secret' } })
    expect(await change('first', 'x')).toMatchObject({ status: 400 })
    expect((await change('first', 'mine 42')).status).toBe(200)
    expect((await ivo.send('GET', '/api/floor')).status).toBe(200)
  })

  it('set anew by staff signs its person out everywhere, and not the other way round', async () => {
    const oona = await client.person('Oona Vell', 'instructor')
    const rue = await client.person('Rue Tansy', 'student')
    const set = (of: Client, id: string) => of.send('PUT', `/api/people/${id}/secret`, { secret: 'anew 1' })
    expect(await set(oona, client.personId)).toMatchObject({ status: 403 })
    expect(await set(rue, oona.personId)).toMatchObject({ status: 403 })
    expect((await set(oona, rue.personId)).status).toBe(200)
    expect((await rue.send('GET', '/api/floor')).status).toBe(401)
    expect((await log()).map(({ kind }) => kind)).toContain('secret set anew')
  })

  it('is tried one at a time and ever more slowly, and strangers keep nobody out of a known device', async () => {
    const sib = await client.person('Sib Alder', 'member')
    const guess = (secret: string) =>
      new Client(server.url).send('POST', '/api/session', { personId: sib.personId, secret })
    const many = await Promise.all(Array.from({ length: 200 }, (_, i) => guess(`guess ${i}`)))
    const tried = many.filter(({ status }) => status === 401)
    expect(tried.length).toBeLessThanOrEqual(5)
    expect(many.filter(({ status }) => status === 429).length).toBe(200 - tried.length)
    for (let i = 0; i < 6; i++) await guess(`more ${i}`)
    expect(await guess('kettle')).toMatchObject({ status: 429, body: { code: 'wait' } })
    expect(await sib.send('POST', '/api/session', { personId: sib.personId, secret: 'kettle' })).toMatchObject({
      status: 200,
    })
    expect((await log()).map(({ kind }) => kind)).toEqual(expect.arrayContaining(['wrong secret', 'made to wait']))
  })
})

describe('a sign-in', () => {
  it('that was ended is worth nothing, also as a copied cookie', async () => {
    const fen = await client.person('Fen Sorley', 'member')
    const thief = fen.behind(server.url)
    const copied = { cookie: fen.cookie }
    expect((await fen.send('DELETE', '/api/session', {})).status).toBe(200)
    expect((await thief.send('GET', '/api/floor', undefined, copied)).status).toBe(401)
    const again = await new Client(server.url).signIn(fen.personId, 'kettle')
    const found = (await signIns()).find(({ personId }) => personId === fen.personId)!
    expect((await client.send('DELETE', `/api/sign-ins/${found.id}`, {})).status).toBe(200)
    expect((await again.send('GET', '/api/floor')).status).toBe(401)
    expect((await client.send('DELETE', `/api/sign-ins/${found.id}`, {})).status).toBe(404)
  })

  it('is shown to its person and to staff, and ended by them alone', async () => {
    const [ada, bo] = [await client.person('Ada Reed', 'student'), await client.person('Bo Reed', 'student')]
    expect((await signIns(ada)).map(({ personId }) => personId)).toEqual([ada.personId])
    const theirs = (await signIns()).find(({ personId }) => personId === bo.personId)!
    expect((await ada.send('DELETE', `/api/sign-ins/${theirs.id}`, {})).status).toBe(403)
    expect((await bo.send('GET', '/api/floor')).status).toBe(200)
  })

  it('comes by its cookie alone, of this room and of our making', async () => {
    const [sealed] = client.cookie.split('; ').filter((one) => one.includes('sign-in'))
    const [name, value] = sealed!.split('=') as [string, string]
    const stranger = new Client(server.url)
    for (const headers of [
      { 'x-ample-tally-session': value },
      { authorization: `Bearer ${value}` },
      { cookie: `ample-tally=${value}` },
      { cookie: `${name}=${value.split('.')[0]}.${'A'.repeat(43)}` },
      { cookie: `${name}=${value.split('.')[0]}` },
      { cookie: `${name}=` },
    ] as Record<string, string>[])
      expect((await stranger.send('GET', '/api/floor', undefined, headers)).status).toBe(401)
    expect((await stranger.send('GET', '/api/floor', undefined, { cookie: sealed! })).status).toBe(200)
  })

  it('is asked for the secret once more before a close', async () => {
    const { id, stream } = await client.edition(1, 'Once More')
    const { state } = await client.read(id)
    const close = () =>
      client.give(stream, 'close', { note: '', block: 'kept', blockIds: [] }, { expectedSeq: state.seq })
    expect(await close()).toMatchObject({ status: 403, body: { code: 'give-secret-again' } })
    expect(await client.send('POST', '/api/session/sure', { secret: 'guess' })).toMatchObject({
      status: 422,
      body: { code: 'secret-unfit' },
    })
    expect((await close()).status).toBe(403)
    await client.sure()
    expect((await close()).status).toBe(200)
  })
})

describe('an act in another’s name', () => {
  it('is in doubt, unless the person was signed in at that device and the tap is sealed', async () => {
    const merle = await client.person('Merle Tarn', 'member')
    const { id, stream, layerId } = await merle.edition(6, 'Handed In')
    const pulls = async () => (await merle.read(id)).state.pulls
    const last = async () => (await pulls()).at(-1)!.by
    // She says it was the manager, as she is at her own device, at the manager's, with a proof made up and with her own.
    for (const [sheet, more] of [
      {},
      { device: client.device },
      { device: client.device, proof: `${v7()}.${'x'.repeat(43)}` },
      { proof: merle.tap(stream, 'pull', merle.pull(layerId, 4)).proof },
    ].entries()) {
      const answer = await merle.give(stream, 'pull', merle.pull(layerId, sheet + 1), { by: client.personId, ...more })
      expect(answer).toMatchObject({ status: 200, body: { disputed: expect.stringContaining('nothing proves') } })
      expect(await last()).toBe(merle.personId)
    }
    // A tap of hers that the manager's browser kept and hands in, since she was signed in there.
    const shared = await merle.behind(server.url).signIn(merle.personId, 'kettle')
    const kept = shared.tap(stream, 'pull', shared.pull(layerId, 5))
    await shared.signIn(client.personId, 'net loft')
    expect((await shared.send('POST', '/api/commands', kept)).status).toBe(200)
    expect((await pulls()).map(({ by, via }) => [by, via])).toEqual([
      ...Array.from({ length: 4 }, () => [merle.personId, null]),
      [merle.personId, client.personId],
    ])
    // Sent again by another session it is the same act, and the same answer.
    expect((await client.send('POST', '/api/commands', kept)).status).toBe(200)
    expect(await pulls()).toHaveLength(5)
    const { sheets } = (await merle.read(id)).state
    expect(sheets).toHaveLength(6)
  })

  it('does not outlive a sign-in that was ended', async () => {
    const jory = await client.person('Jory Flint', 'member')
    const { id, stream, layerId } = await jory.edition(2, 'Revoked')
    const late = jory.tap(stream, 'pull', jory.pull(layerId, 1))
    await jory.send('DELETE', '/api/session', {})
    expect((await client.send('POST', '/api/commands', late)).status).toBe(200)
    expect((await client.read(id)).state.pulls.at(-1)!.by).toBe(client.personId)
  })
})

describe('a device', () => {
  it('that the server did not name holds no sheets, and one gives its sheets back with its sign-in', async () => {
    const [kit, lark] = [await client.person('Kit Orme', 'member'), await client.person('Lark Orme', 'member')]
    const { id, stream, layerId } = await client.edition(6, 'Held')
    await client.give(stream, 'name-printers', { artistId: null, printerIds: [kit.personId, lark.personId] })
    const ask = async (of: Client, device = of.device) =>
      (await of.send<{ sheetIds: number[] }>('POST', `/api/editions/${id}/hand-out`, { layerId, device })).body.sheetIds
    for (const device of ['made-up', `${lark.browser}~x`, v7()]) expect(await ask(kit, device)).toEqual([])
    expect(await ask(kit)).toEqual([1, 2, 3])
    expect(await ask(lark)).toEqual([4, 5, 6])
    await kit.send('DELETE', '/api/session', {})
    expect(await ask(lark, `${lark.browser}~second`)).toEqual([1, 2, 3])
  })
})

describe('people and roles', () => {
  it('are changed by the manager alone, and the last manager stays', async () => {
    const tam = await client.person('Tam Orrin', 'student')
    expect(await tam.send('POST', '/api/people', { name: 'Friend', role: 'manager', secret: 'friend' })).toMatchObject({
      status: 403,
      body: { code: 'not-allowed' },
    })
    expect(
      await client.send('POST', '/api/people', { name: 'tam orrin', role: 'student', secret: 'kettle' }),
    ).toMatchObject({
      body: { code: 'name-taken' },
    })
    const change = (id: string, to: object) => client.send('PUT', `/api/people/${id}`, to)
    expect((await change(tam.personId, { name: 'Tam Orrin', role: 'student', active: false })).status).toBe(200)
    expect((await tam.send('GET', '/api/floor')).status).toBe(401)
    expect(await change(client.personId, { name: 'Ansa Quill', role: 'member', active: true })).toMatchObject({
      body: { code: 'last-manager' },
    })
  })

  it('are in the log of comings and goings, which staff alone may read', async () => {
    const una = await client.person('Una Sedge', 'member')
    expect((await una.send('GET', '/api/security-log')).status).toBe(403)
    const lines = await log()
    expect(lines.find(({ kind, person }) => kind === 'person added' && person === una.personId)).toMatchObject({
      by: client.personId,
    })
  })
})
