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
import { addressOf, doors, type Whom } from '../fixtures/doors'
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
  (route, { type = 'application/json', body, whom }) => {
    it.each(askers)(`${whom}: %s`, async (asker) => {
      const [method] = route.split(' ')
      const stop = new AbortController()
      const answer = await fetch(`${server.url}${addressOf(route, edition.id)}`, {
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
      if (kind === 'edition' && !actOf.get(type)!.begins) {
        stream = `edition:${v7()}`
        await clients.manager.give(stream, 'start-edition', samples['start-edition'])
        await named(stream)
      }
      const data = JSON.parse(
        JSON.stringify(sample)
          .replaceAll('"pictureId":"p"', `"pictureId":"${pictureId}"`)
          .replaceAll('"edition:e"', `"${edition.stream}"`)
          .replaceAll('"earlierId":"e"', `"earlierId":"${edition.id}"`),
      )
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
