import { v7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { SentEvent } from '#core/ground/envelope'
import { evolve, type StreamState } from '#core/house/streams'
import { withheld } from '#core/house/who-sees'
import type { LotState } from '#core/stores/lot/state'
import { lotDefaults } from '#core/stores/lot/defaults'
import { type Page, pagedKinds, type Reading } from '#shared/replies/reading'
import type { StationReply } from '#shared/replies/replies'
import { Client } from '../fixtures/client'
import { eventsIn, heard } from '../fixtures/live-stream'
import { samples } from '../fixtures/requests'
import { Server } from '../fixtures/server'
import { tornRight } from '../fixtures/torn'

let server: Server
let manager: Client
beforeAll(async () => {
  server = await Server.start()
  manager = await new Client(server.url).setUp()
})
afterAll(() => server.stop())

const page = async <State extends StreamState>(by: Client, of: string, after?: string) => {
  const query = new URLSearchParams({ of, ...(after !== undefined && { after }) }).toString()
  const { body } = await by.send<Reading<Record<string, Page<State>>>>('GET', `/api/streams?${query}`)
  return { position: body.position, data: body.data[of]! }
}

const lot = (name: string) => ({
  ...lotDefaults,
  maker: 'Oakum Vale',
  name,
  width: 760,
  height: 560,
  weight: 200,
  price: 4,
  sheets: 100,
})

/** A class with an assignment that Jory has begun; Rook comes to neither. */
async function evening(term: string) {
  const course = `course:${v7()}`
  const [assignmentId, editionId] = [v7(), v7()]
  const [jory, rook] = [
    await manager.person(`Jory ${term}`, 'student'),
    await manager.person(`Rook ${term}`, 'student'),
  ]
  await manager.give(course, 'begin-course', { ...samples['begin-course'], term, instructorIds: [manager.personId] })
  const { body } = await manager.give(course, 'enrol-students', { personIds: [jory.personId] })
  const assigned = {
    ...samples['set-assignment'],
    assignmentId,
    editionIds: [],
    opens: null,
    paper: null,
    pictures: [],
  }
  await manager.give(course, 'set-assignment', assigned, { expectedSeq: body.seq })
  const editions = [{ editionId, personIds: [jory.personId], title: 'Lamp', artist: 'J. Flint' }]
  await manager.give(course, 'start-assignment', { assignmentId, editions, lotId: null })
  return { course, jory, rook, stream: `edition:${editionId}` }
}

describe('streams of a kind', () => {
  it('come by pages to their end, and folded from the first page on they are as the server has them', async () => {
    for (let i = 0; i < 205; i++) await manager.give(`lot:${v7()}`, 'add-lot', lot(`lot ${i}`))
    const first = await page<LotState>(manager, 'lot')
    expect(first.data.states).toHaveLength(200)
    // One of the page to come changes before it is read, one of this page too.
    const states = new Map(first.data.states.map((state) => [state.stream, state]))
    const there = [...states.keys()][3]!
    await manager.give(there, 'count-lot', { sheets: 41, reason: 'counted' })
    const before = await page<LotState>(manager, 'lot', first.data.next!)
    const later = before.data.states[0]!.stream
    await manager.give(later, 'count-lot', { sheets: 43, reason: 'counted' })
    const second = await page<LotState>(manager, 'lot', first.data.next!)
    expect(second.data.next).toBeNull()
    for (const state of second.data.states) states.set(state.stream, state)
    const told = eventsIn(await heard(manager, server.url, first.position)) as SentEvent[]
    const missing = told.filter(({ stream }) => !states.has(stream)).map(({ stream }) => stream)
    expect(missing).toEqual([later])
    for (const stream of missing) {
      const { data } = await page<LotState>(manager, stream)
      states.set(stream, data.states[0]!)
    }
    for (const event of told) {
      const state = states.get(event.stream)!
      if (event.seq === state.seq + 1) states.set(event.stream, evolve(state, event) as LotState)
    }
    expect(states.size).toBe(205)
    expect([states.get(there)!.left, states.get(later)!.left]).toEqual([41, 43])
  })

  it('show the one that changed last first', async () => {
    const stream = `lot:${v7()}`
    await manager.give(stream, 'add-lot', lot('the newest'))
    expect((await page(manager, 'lot')).data.states[0]!.stream).toBe(stream)
  })

  it('of classes and accounts are told to those whose they are, and to staff', async () => {
    const { course, jory, rook } = await evening('spring')
    const charge = { on: '2026-11-30', what: 'damages', cents: 4_500, editionId: null }
    await manager.give(`account:${jory.personId}`, 'type-charge', charge)
    const seen = async (by: Client, query: string) => (await page(by, query)).data.states.map(({ stream }) => stream)
    const account = `account:${jory.personId}`
    for (const by of [manager, jory]) {
      expect(await seen(by, 'course')).toContain(course)
      expect(await seen(by, account)).toEqual([account])
    }
    expect(await seen(rook, 'course')).toEqual([])
    expect(await seen(rook, course)).toEqual([])
    expect(await seen(rook, 'account')).toEqual([])
    expect(await seen(rook, account)).toEqual([])
  })

  it('of several kinds and single ones come in one answer, each as if asked for alone', async () => {
    const names = ['lot', 'studio', 'press', 'calendar', 'lot:none', 'lot']
    const query = `/api/streams?of=${names.join(',')}`
    const { body } = await manager.send<Reading<Record<string, Page<StreamState>>>>('GET', query)
    expect(Object.keys(body.data).sort()).toEqual([...new Set(names)].sort())
    for (const name of names) expect(body.data[name]).toEqual((await page(manager, name)).data)
  })

  it('are refused in words where there are none such', async () => {
    const wrong = ['edition', 'edition:a', 'toString', 'nothing', 'nothing:a', 'session', ':a', 'lot,nothing', ',']
    for (const query of [...wrong, 'lot,tub&after=a', 'studio&after=a', 'lot:a&after=a']) {
      const { status, body } = await manager.send<{ message: string }>('GET', `/api/streams?of=${query}`)
      expect([query, status]).toEqual([query, 404])
      expect(body.message).toMatch(/Reload the page/)
    }
    expect((await page(manager, 'studio')).data.states).toHaveLength(1)
    expect((await page(manager, 'lot:none')).data.states).toEqual([])
    expect((await manager.send('GET', '/api/streams')).status).toBe(400)
    for (const kind of pagedKinds)
      expect((await new Client(server.url).send('GET', `/api/streams?of=${kind}`)).status).toBe(401)
  })
})

describe('the answer to an act', () => {
  it('holds what it made in every stream, so that no page need ask', async () => {
    const { stream } = await manager.edition(3, 'Answered')
    const [lotId] = (await page<LotState>(manager, 'lot')).data.states.map(({ stream }) => stream.slice(4))
    const { body } = await manager.handIn(manager.envelope(stream, 'tear', tornRight(lotId!, 1, 1)))
    expect(new Set(body.events!.map((event) => event.stream))).toEqual(new Set([stream, `lot:${lotId}`]))
    const told = eventsIn(await heard(manager, server.url, body.events![0]!.position - 1))
    expect(body.events).toEqual(told)
  })

  it('is cut for whoever hands the tap in, whoever gave it', async () => {
    const { jory, rook, stream } = await evening('autumn')
    const asked = await jory.handIn(
      jory.envelope(stream, 'ask', { what: 'help', layerId: null, pressId: null, words: 'a private question' }),
    )
    const [ask] = asked.body.events as SentEvent<string, { words: string }>[]
    expect(ask!.data.words).toBe('a private question')
    const note = { askId: ask!.commandId, note: 'a private answer' }
    const tablet = await new Client(server.url, 'tablet').signIn(manager.personId, 'net loft')
    const tap = tablet.tap(stream, 'answer-ask', note)
    await tablet.signIn(rook.personId, 'kettle')
    const { status, body } = await tablet.handIn(tap)
    expect([status, body.events!.map(({ type }) => type)]).toEqual([200, [withheld]])
    expect(JSON.stringify(body)).not.toContain('private')
  })
})

describe('a reading', () => {
  it('stands for a position: what comes after it is told from there', async () => {
    const { stream, layerId } = await manager.edition(3, 'Followed')
    const reading = (await manager.send<Reading<unknown>>('GET', '/api/floor')).body
    await manager.give(stream, 'pull', manager.pull(layerId, 1))
    const [event] = eventsIn(await heard(manager, server.url, reading.position))
    expect(event!.position).toBe(reading.position + 1)
  })

  it('of a station says that what is pulled elsewhere is none of its business while nobody is there', async () => {
    const { body } = await manager.send<Reading<StationReply>>('GET', '/api/stations/long')
    expect(body.on).toEqual(['station:long'])
  })
})
