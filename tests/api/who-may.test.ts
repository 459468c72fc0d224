import { readdirSync } from 'node:fs'
import sharp from 'sharp'
import { v7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Role } from '#core/ground/envelope'
import { actOf, type CommandType } from '#core/house/acts'
import { singleStreams } from '#core/house/streams'
import { Client } from '../fixtures/client'
import { samples } from '../fixtures/requests'
import { mayDo } from '../fixtures/rights'
import { Server } from '../fixtures/server'

/** Who asks: someone of each role, who is named on the edition or looks on; nobody; and one whose sign-in was ended. */
const askers = [
  'manager',
  'instructor',
  'named member',
  'member',
  'named student',
  'student',
  'nobody',
  'gone',
] as const
type Asker = (typeof askers)[number]

const roleOf = (asker: Asker) => asker.split(' ').at(-1) as Role

let server: Server
const clients = {} as Record<Asker, Client>
let pictureId: string
let edition: Awaited<ReturnType<Client['edition']>>

beforeAll(async () => {
  server = await Server.start()
  const manager = await new Client(server.url).setUp()
  clients.manager = manager
  for (const asker of askers.slice(1, 6)) clients[asker] = await manager.person(`The ${asker}`, roleOf(asker))
  clients.nobody = new Client(server.url)
  clients.gone = await manager.person('The gone', 'manager')
  const copied = clients.gone.behind(server.url)
  const cookie = copied.cookie
  await clients.gone.send('DELETE', '/api/session', {})
  // The cookie was copied before its sign-in ended.
  Object.defineProperty(clients.gone, 'cookie', { value: cookie })
  pictureId = await handIn(manager)
  edition = await manager.edition(3, 'Tide Gauge')
  await named(edition.stream)
})
afterAll(() => server.stop())

/** A picture, which some acts name. */
async function handIn({ cookie }: Client): Promise<string> {
  const grey = { width: 4, height: 4, channels: 3, background: 'grey' } as const
  const answer = await fetch(`${server.url}/api/pictures`, {
    method: 'POST',
    headers: { cookie, origin: server.url, 'content-type': 'application/octet-stream' },
    body: await sharp({ create: grey }).png().toBuffer(),
  })
  return ((await answer.json()) as { id: string }).id
}

async function named(stream: string): Promise<void> {
  const printerIds = [clients['named member'].personId, clients['named student'].personId]
  const { status } = await clients.manager.give(stream, 'name-printers', { artistId: null, printerIds })
  expect(status).toBe(200)
}

type Whom = 'all' | 'people' | 'the named' | 'staff' | 'the manager'

/** Every route: who gets further than its door. What an act asks beside that is below. */
const doors: Record<string, { path?: string; type?: string; body?: object; whom: Whom }> = {
  'GET editions/[id]/index': { whom: 'people' },
  'GET editions/[id]/cost': { whom: 'the named' },
  'GET editions/[id]/record.json': { path: 'editions/[id]/record.json', whom: 'people' },
  'GET editions/[id]/record.csv': { path: 'editions/[id]/record.csv', whom: 'people' },
  'GET editions/[id]/events.jsonl': { path: 'editions/[id]/events.jsonl', whom: 'people' },
  'GET tables/[name]': { path: 'tables/stock.csv', whom: 'staff' },
  'GET studio-file/index': { whom: 'the manager' },
  'GET bringing-in/index': { whom: 'all' },
  'POST bringing-in/index': { type: 'application/octet-stream', whom: 'all' },
  'POST bringing-in/take': { whom: 'all' },
  'POST editions/[id]/hand-out': { whom: 'people' },
  'GET editions/index': { whom: 'people' },
  'GET presses/[id]/uses': { whom: 'people' },
  'GET presses/[id]/gauge': { whom: 'people' },
  'POST presses/[id]/gauge': { whom: 'people' },
  'GET racks': { whom: 'people' },
  'GET losses': { path: 'losses?by=press', whom: 'people' },
  'GET climate/index': { whom: 'people' },
  'POST climate/index': { whom: 'people' },
  'POST climate/reading': { whom: 'people' },
  'GET charges': {
    path: 'charges?from=2026-01-01&to=2026-12-31',
    whom: 'people',
  },
  'GET calendar/index': {
    path: 'calendar?from=2026-11-02T00:00:00.000Z&until=2026-11-03T00:00:00.000Z',
    whom: 'people',
  },
  'GET calendar/[of]': { path: 'calendar/room.ics', whom: 'staff' },
  'GET calendar/address': { whom: 'people' },
  'POST calendar/address': { whom: 'people' },
  'GET calendar/feed/[token]': { path: 'calendar/feed/nobody.ics', whom: 'all' },
  'GET orders': { whom: 'staff' },
  'GET year': { path: 'year?year=2026', whom: 'staff' },
  'GET timetable': { whom: 'people' },
  'GET courses/index': { whom: 'people' },
  'GET courses/[id]': { whom: 'staff' },
  'GET stations/index': { whom: 'people' },
  'GET stations/[id]': { whom: 'people' },
  'GET backups/index': { whom: 'staff' },
  'POST backups/index': { whom: 'staff' },
  'GET stores': { whom: 'people' },
  'GET floor': { whom: 'people' },
  'GET trials': { whom: 'people' },
  'GET find': { path: 'find?text=tide', whom: 'people' },
  'GET past-editions': { path: 'past-editions?method=relief&work=hand', whom: 'people' },
  'GET security-log': { whom: 'staff' },
  'GET ledger-check/index': { whom: 'staff' },
  'POST ledger-check/index': { whom: 'staff' },
  'GET sign-ins/index': { whom: 'people' },
  'DELETE sign-ins/[id]': { whom: 'people' },
  'POST pictures/index': { type: 'application/octet-stream', whom: 'people' },
  'GET pictures/[id]': { path: `pictures/${'0'.repeat(64)}`, whom: 'people' },
  'GET scale/index': { whom: 'people' },
  'POST scale/index': { body: { act: 'tare' }, whom: 'people' },
  'GET live': { path: 'live?after=0', whom: 'people' },
  'POST commands': { whom: 'people' },
  'GET people/index': { whom: 'all' },
  'POST people/index': { body: { name: 'Nobody Yet', role: 'student', secret: 'kettle' }, whom: 'the manager' },
  'PUT people/[id]/index': { body: { name: 'Nobody Yet', role: 'student', active: true }, whom: 'the manager' },
  'PUT people/[id]/secret': { whom: 'people' },
  'GET session': { whom: 'all' },
  'POST session': { whom: 'all' },
  'DELETE session': { whom: 'all' },
  'POST session/touch': { whom: 'people' },
  'POST session/sure': { whom: 'people' },
  'POST setup': { whom: 'all' },
}

const routes = readdirSync('server/api', { recursive: true, encoding: 'utf8' })
  .map((file) => /^(.*)\.(get|post|put|delete)\.ts$/.exec(file))
  .flatMap((found) => (found ? [`${found[2]!.toUpperCase()} ${found[1]!}`] : []))

it('every route has its line here', () => {
  expect(Object.keys(doors).sort()).toEqual(routes.sort())
})

/** What a door says to who may not pass it. */
const turnedAway = (status: number, code: unknown) =>
  (status === 401 && code === 'not-signed-in') || (status === 403 && code === 'not-allowed')

function passes(asker: Asker, whom: Whom): boolean {
  if (whom === 'all') return true
  if (asker === 'nobody' || asker === 'gone') return false
  if (whom === 'people') return true
  if (whom === 'the named' && asker.startsWith('named')) return true
  return asker === 'manager' || (whom !== 'the manager' && asker === 'instructor')
}

describe.each(Object.entries(doors).filter(([route]) => !/^(POST|DELETE) session$/.test(route)))(
  '%s',
  (route, { path, type = 'application/json', body, whom }) => {
    it.each(askers)(`${whom}: %s`, async (asker) => {
      const [method, file] = route.split(' ') as [string, string]
      const address = (path ?? file.replace(/\/index$/, '')).replace('[id]', edition.id)
      const stop = new AbortController()
      const answer = await fetch(`${server.url}/api/${address}`, {
        method,
        signal: stop.signal,
        headers: {
          cookie: clients[asker].cookie,
          origin: server.url,
          ...(method !== 'GET' && { 'content-type': type }),
        },
        ...(method !== 'GET' && { body: JSON.stringify(body ?? {}) }),
      })
      const isStream = answer.headers.get('content-type')?.startsWith('text/event-stream')
      const said = isStream ? {} : ((await answer.json().catch(() => ({}))) as { code?: string })
      stop.abort()
      expect(answer.status).toBeLessThan(500)
      expect([route, asker, !turnedAway(answer.status, said.code)]).toEqual([route, asker, passes(asker, whom)])
    })
  },
)

describe.each(Object.entries(samples).filter(([type]) => type !== 'set-up'))('%s over the wire', (type, sample) => {
  it('is done by whom the act names, and by nobody else', async () => {
    const { kind } = actOf.get(type)!.stream
    for (const asker of askers) {
      const client = clients[asker]
      let stream = singleStreams.includes(kind) ? kind : `${kind}:${v7()}`
      if (kind === 'edition' && type !== 'start-edition') {
        stream = `edition:${v7()}`
        await clients.manager.give(stream, 'start-edition', samples['start-edition'])
        await named(stream)
      }
      const data = JSON.parse(JSON.stringify(sample).replaceAll('"pictureId":"p"', `"pictureId":"${pictureId}"`))
      const { status, body } = await client.give(stream, type, data, { expectedSeq: 0 })
      const isHere = asker !== 'nobody' && asker !== 'gone'
      const may = isHere && mayDo(type as CommandType, roleOf(asker), asker.startsWith('named'))
      expect([asker, turnedAway(status, body.code)]).toEqual([asker, !may])
    }
  })
})

it('all of that left the ledger whole, and the onlooker’s hand off the edition', async () => {
  expect((await clients.manager.check()).breaks).toEqual([])
  const { state } = await clients.manager.read(edition.id)
  expect(state.printerIds).toHaveLength(2)
  expect(state.made).toBe(3)
})
