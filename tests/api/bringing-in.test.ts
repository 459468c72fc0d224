import { afterAll, beforeAll, expect, it } from 'vitest'
import type { BringingInReply } from '#shared/replies/studio-file'
import type { SessionReply } from '#shared/replies/replies'
import { Client } from '../fixtures/client'
import { Server, setUpToken } from '../fixtures/server'

let from: Server
let into: Server
let file: string

const withToken = { 'x-set-up-token': setUpToken }

async function handIn(body: string, headers: Record<string, string> = withToken) {
  const answer = await fetch(`${into.url}/api/bringing-in`, {
    method: 'POST',
    headers: { origin: into.url, 'content-type': 'application/octet-stream', ...headers },
    body,
  })
  return { status: answer.status, body: (await answer.json()) as BringingInReply & { code?: string } }
}

async function readThrough(): Promise<BringingInReply> {
  for (;;) {
    const { body } = await new Client(into.url).send<BringingInReply>('GET', '/api/bringing-in', undefined, withToken)
    if (body.phase !== 'reading') return body
    await new Promise((rest) => setTimeout(rest, 50))
  }
}

beforeAll(async () => {
  from = await Server.start()
  into = await Server.start()
  const manager = await new Client(from.url).setUp()
  const { stream } = await manager.edition(3, 'Tide Gauge')
  await manager.person('Ibb Fenner', 'student')
  expect((await manager.give(stream, 'name-printers', { artistId: null, printerIds: [manager.personId] })).status).toBe(
    200,
  )
  const refused = await manager.send('GET', '/api/studio-file')
  expect(refused).toMatchObject({ status: 403, body: { code: 'give-secret-again' } })
  await manager.send('POST', '/api/session/sure', { secret: 'net loft' })
  file = await (await fetch(`${from.url}/api/studio-file`, { headers: { cookie: manager.cookie } })).text()
})
afterAll(async () => {
  await from.stop()
  await into.stop()
})

it('a file is nothing to whoever cannot read what the server printed', async () => {
  const before = await handIn(file, { 'x-set-up-token': 'guessed' })
  expect(before).toMatchObject({ status: 403 })
  expect((await handIn(file, {})).status).toBe(403)
  expect((await new Client(into.url).send('GET', '/api/bringing-in')).status).toBe(403)
})

it('a file that is cut or changed is told whole, and cannot be taken', async () => {
  for (const [harmed, told] of [
    [file.slice(0, file.length / 2), /has no end: the file was cut there/],
    [file.replace('Tide Gauge', 'Tide Gouge'), /was changed/],
    ['', /no studio file/],
    ['title;passed\nOld Pier;90\n', /no JSON/],
  ] as const) {
    expect((await handIn(harmed)).status).toBe(200)
    const { problems, report } = await readThrough()
    expect(problems.join('\n')).toMatch(told)
    const managerId = report?.managers[0]?.id ?? 'nobody'
    const taken = await new Client(into.url).send('POST', '/api/bringing-in/take', {
      token: setUpToken,
      managerId,
      secret: 'kettle',
    })
    expect(taken).toMatchObject({ status: 422, body: { code: 'nothing-to-take' } })
  }
})

it('a file that is whole is taken, survives a kill, and the room goes on from there', async () => {
  await handIn(file)
  const { report, problems } = await readThrough()
  expect({ problems, report }).toMatchObject({ problems: [], report: { studio: 'Rope Works', editions: 1, people: 2 } })
  const stranger = new Client(into.url)
  const take = (managerId: string) =>
    stranger.send<SessionReply>('POST', '/api/bringing-in/take', { token: setUpToken, managerId, secret: 'kettle' })
  expect((await take('nobody')).status).toBe(404)
  const both = await Promise.all([take(report!.managers[0]!.id), take(report!.managers[0]!.id)])
  expect(both.map(({ status }) => status).sort()).toEqual([200, 422])
  await into.stop('SIGKILL')
  into = await Server.start({ folder: into.folder })
  const manager = await new Client(into.url).signIn(report!.managers[0]!.id, 'kettle')
  await manager.send('POST', '/api/session/sure', { secret: 'kettle' })
  const after = await (await fetch(`${into.url}/api/studio-file`, { headers: { cookie: manager.cookie } })).text()
  expect(after).toBe(file)
  expect((await handIn(file)).status).toBe(422)
  const { stream } = await manager.edition(2, 'Second Tide')
  expect(stream).toContain('edition:')
})

it('tables come as CSV for staff, with a title a spreadsheet cannot run', async () => {
  const manager = await new Client(from.url).signIn(
    (
      await new Client(from.url).send<{ people: { id: string; name: string }[] }>('GET', '/api/people')
    ).body.people.find(({ name }) => name === 'Ansa Quill')!.id,
    'net loft',
  )
  await manager.edition(2, '=1+1')
  const table = async (name: string) => {
    const answer = await fetch(`${from.url}/api/tables/${name}`, { headers: { cookie: manager.cookie } })
    return { status: answer.status, lines: (await answer.text()).trimEnd().split('\r\n') }
  }
  const editions = await table('editions.csv')
  expect(editions.lines[0]).toMatch(/^edition,artist,year,method,state,size,sheets,good/)
  expect(editions.lines[2]).toMatch(/^"'=1\+1",/)
  expect((await table('sheets.csv')).lines[0]).toMatch(/^edition,sheet,place,verdict/)
  expect((await table('stock.csv')).lines.join()).toContain('paper,')
  expect((await table('names.csv')).status).toBe(404)
})
