import { afterAll, beforeAll, expect, it } from 'vitest'
import type { CommandRequest } from '#shared/commands/envelope'
import type { SessionReply } from '#shared/replies/replies'
import type { BringingInReply } from '#shared/replies/studio-file'
import { Client } from '../fixtures/client'
import { Server, setUpToken } from '../fixtures/server'

let from: Server
let into: Server
const withToken = { 'x-set-up-token': setUpToken }

beforeAll(async () => {
  from = await Server.start()
  into = await Server.start()
})
afterAll(async () => {
  await from.stop()
  await into.stop()
})

/** The room as a file, taken by the empty one. */
async function move(manager: Client): Promise<Client> {
  await manager.sure()
  const file = await (await fetch(`${from.url}/api/studio-file`, { headers: { cookie: manager.cookie } })).text()
  await fetch(`${into.url}/api/bringing-in`, {
    method: 'POST',
    headers: { origin: into.url, 'content-type': 'application/octet-stream', ...withToken },
    body: file,
  })
  const there = new Client(into.url)
  for (let phase = 'reading'; phase === 'reading'; await new Promise((rest) => setTimeout(rest, 50)))
    ({ phase } = (await there.send<BringingInReply>('GET', '/api/bringing-in', undefined, withToken)).body)
  const taken = await there.send<SessionReply>('POST', '/api/bringing-in/take', {
    token: setUpToken,
    managerId: manager.personId,
    secret: 'net loft',
  })
  expect(taken.status).toBe(200)
  return there.take(taken.body)
}

it('a room that moves with taps waiting in three tablets counts each of them once', async () => {
  const manager = await new Client(from.url).setUp()
  const printers = [await manager.person('Merle Tarn', 'member'), await manager.person('Oona Vell', 'member')]
  const { id, stream, layerId } = await manager.edition(12, 'Moved')
  await manager.give(stream, 'name-printers', { artistId: null, printerIds: printers.map(({ personId }) => personId) })
  // Three tablets: each had two pulls answered, and gives one more that waits.
  const tablets = [manager, ...printers].map((person, i) => ({
    person,
    answered: [1, 2].map((n) => person.tap(stream, 'pull', person.pull(layerId, i * 3 + n))),
    waiting: person.tap(stream, 'pull', person.pull(layerId, i * 3 + 3)),
  }))
  for (const { person, answered } of tablets)
    for (const tap of answered) expect((await person.handIn(tap)).status).toBe(200)
  const there = await move(manager)
  const lineage = async () => (await there.send<SessionReply>('GET', '/api/session')).body.lineage
  const counted = async () => {
    const { state } = await there.read(id)
    return [state.pulls.length, state.pulls.filter(({ disputed }) => disputed === null).length]
  }
  expect(await counted()).toEqual([6, 6])
  // Nothing that they had stored lies beyond what came along: no tablet is told that something is missing.
  const { from: reached } = await lineage()
  for (const { person, answered } of tablets)
    for (const tap of answered) {
      const { position } = (await person.handIn(tap)).body as unknown as { position: number }
      expect(position).toBeLessThanOrEqual(reached)
    }
  // Each signs in there, with a PIN the manager gave, and sends all that it has, twice.
  const again = async (person: Client): Promise<Client> => {
    if (person === manager) return there
    await there.send('PUT', `/api/people/${person.personId}/secret`, { secret: 'first' })
    const here = await new Client(into.url).signIn(person.personId, 'first')
    await here.send('PUT', `/api/people/${person.personId}/secret`, { secret: 'kettle', before: 'first' })
    return here
  }
  for (const { person, answered, waiting } of tablets) {
    const here = await again(person)
    for (const tap of [...answered, waiting, ...answered, waiting]) {
      const { status, body } = await here.handIn(tap)
      expect([status, body.disputed ?? null]).toEqual([200, null])
    }
  }
  expect(await counted()).toEqual([9, 9])
  expect((await there.check()).breaks).toEqual([])
})

it('what another hands in after the move is kept, and in doubt', async () => {
  const { body } = await new Client(into.url).send<SessionReply>('GET', '/api/session')
  expect(body.needsSetup).toBe(false)
  const there = new Client(into.url)
  const people = await there.send<{ people: { id: string; name: string }[] }>('GET', '/api/people')
  const [manager, merle] = ['Ansa Quill', 'Merle Tarn'].map((name) =>
    people.body.people.find((one) => one.name === name)!,
  )
  await there.signIn(manager!.id, 'net loft')
  const { id, stream, layerId } = await there.edition(2, 'In Doubt')
  const tap = { ...there.tap(stream, 'pull', there.pull(layerId, 1)), by: merle!.id } as CommandRequest
  expect((await there.handIn(tap)).body.disputed).toContain('nothing proves')
  expect((await there.read(id)).state.pulls[0]!.disputed).toMatchObject({ rule: 'unproved', claimedBy: merle!.id })
})
