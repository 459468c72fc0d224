import { v7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { LedgerEvent } from '#core/ground/envelope'
import type { CalendarReply } from '#shared/replies/calendar'
import { pagedKinds } from '#shared/replies/reading'
import { samples } from '../fixtures/requests'
import { Client } from '../fixtures/client'
import { eventsIn, heard } from '../fixtures/live-stream'
import { addressOf, doors } from '../fixtures/doors'
import { Server } from '../fixtures/server'

let server: Server
let manager: Client

beforeAll(async () => {
  server = await Server.start()
  manager = await new Client(server.url).setUp()
})
afterAll(() => server.stop())

const day = 24 * 60 * 60_000
const at = (fromNow: number) => new Date(Date.now() + fromNow).toISOString()

/** A tablet at which the manager worked, and which a student has taken over since. */
async function sharedTablet(name: string) {
  const student = await manager.person(name, 'student')
  const tablet = await new Client(server.url, 'tablet').signIn(manager.personId, 'net loft')
  const own = await tablet.edition(6, `Tablet of ${name}`)
  return {
    student,
    tablet,
    own,
    /** The student signs in there; the manager's cookie is gone. */
    takeOver: () => tablet.signIn(student.personId, 'kettle'),
  }
}

describe('a tablet that is shared', () => {
  it('hands in the taps of whoever was there before, each as it was given and no other', async () => {
    const { tablet, own, takeOver, student } = await sharedTablet('Ivo Marsh')
    const tap = tablet.tap(own.stream, 'pull', tablet.pull(own.layerId, 1))
    await takeOver()
    expect(await tablet.handIn(tap)).toMatchObject({ status: 200, body: { disputed: null } })
    const pull = (await manager.read(own.id)).state.pulls.at(-1)!
    expect([pull.by, pull.via, pull.disputed]).toEqual([manager.personId, student.personId, null])
    // What lies in the browser is the tap with its seal: nothing else can be made of it.
    for (const changed of [
      { commandId: v7() },
      { commandId: v7(), data: tablet.pull(own.layerId, 2) },
      { commandId: v7(), type: 'set-studio', stream: 'studio', data: samples['set-studio'] },
      { commandId: v7(), type: 'void-pull', data: { pullId: tap.commandId, reason: 'mine now' } },
    ]) {
      const { status, body } = await tablet.handIn({ ...tap, ...changed })
      // A pull is kept, as disputed; anything else is the student's own, which he may not do.
      if ('type' in changed) expect([status, body.code]).toEqual([403, 'not-allowed'])
      else expect(body.disputed).toContain('nothing proves whose pull it is')
    }
  })

  it('lets nobody do what staff alone may, or what asks for the secret, in the manager’s name', async () => {
    const { tablet, own, takeOver, student } = await sharedTablet('Ivo Tarn')
    const kept = tablet.tap(own.stream, 'pull', tablet.pull(own.layerId, 1))
    await takeOver()
    const { seq } = (await manager.read(own.id)).state
    // His own secret is given again: it is his.
    await tablet.sure('kettle')
    const charge = { on: '2026-12-01', what: 'credit', cents: -1_000_000, editionId: null }
    for (const [stream, type, data, expectedSeq] of [
      ['studio', 'set-studio', samples['set-studio']],
      [`account:${student.personId}`, 'type-charge', charge],
      ['studio', 'give-leave', { personId: student.personId, use: 'solvents', pressId: null, note: '' }],
      [own.stream, 'close', { note: '', block: 'kept', blockIds: [] }, seq],
      [own.stream, 'reopen', { reason: 'again' }, seq],
    ] as const) {
      const forged = { ...kept, commandId: v7(), stream, type, data, expectedSeq }
      expect(await tablet.handIn(forged), type).toMatchObject({ status: 403, body: { code: 'not-allowed' } })
      // From a browser of his own, too.
      const elsewhere = { ...forged, commandId: v7() }
      expect(await student.handIn(elsewhere), type).toMatchObject({ status: 403, body: { code: 'not-allowed' } })
    }
    expect((await manager.read(own.id)).state.closedAt).toBeNull()
  })

  it('is believed from that very browser alone: elsewhere a tap is its sender’s own', async () => {
    const { tablet, own, student } = await sharedTablet('Ivo Reed')
    const tap = tablet.tap(own.stream, 'pull', tablet.pull(own.layerId, 3))
    expect(await student.handIn(tap)).toMatchObject({ status: 403, body: { code: 'not-allowed' } })
    expect((await manager.read(own.id)).state.pulls).toHaveLength(0)
  })

  it('hands in what nothing proves, and it is kept as disputed, with whose it is said to be', async () => {
    const { tablet, own, takeOver, student } = await sharedTablet('Ivo Holm')
    // Given after the page was loaded without the server: there was nothing to seal it with.
    const unsealed = { ...tablet.tap(own.stream, 'pull', tablet.pull(own.layerId, 1)), proof: undefined }
    await takeOver()
    expect(await tablet.handIn(unsealed)).toMatchObject({ status: 200 })
    const { state } = await manager.read(own.id)
    expect(state.pulls.map(({ by, disputed }) => [by, disputed?.rule, disputed?.claimedBy])).toEqual([
      [student.personId, 'unproved', manager.personId],
    ])
    const settled = { pullId: unsealed.commandId, outcome: 'move', sheetId: 1, reason: 'she was at the press' }
    expect((await manager.give(own.stream, 'settle-dispute', settled)).status).toBe(200)
    expect((await manager.read(own.id)).state.pulls[0]).toMatchObject({ disputed: null, sheetIds: [1] })
  })

  it('is in Office as long as it vouches for taps, and does not once it is ended there', async () => {
    const { tablet, own, takeOver } = await sharedTablet('Ivo Flint')
    const tap = tablet.tap(own.stream, 'pull', tablet.pull(own.layerId, 1))
    await takeOver()
    const list = async () =>
      (
        await manager.send<{ signIns: { id: string; personId: string; isOpen: boolean }[] }>('GET', '/api/sign-ins')
      ).body.signIns.filter(({ id }) => id === tap.proof!.split('.')[0])
    expect(await list()).toMatchObject([{ personId: manager.personId, isOpen: false }])
    const id = (await list())[0]!.id
    expect((await manager.send('DELETE', `/api/sign-ins/${id}`, {})).status).toBe(200)
    expect(await list()).toEqual([])
    expect((await tablet.handIn(tap)).body.disputed).toContain('nothing proves')
  })
})

describe('a tablet with a wrong clock', () => {
  it('changes no time beyond its sign-in, and the line says what it claimed', async () => {
    const { stream, layerId, id } = await manager.edition(6, 'Wrong Clock')
    const [before] = [at(0)]
    const claims = [at(200 * day), at(-9000 * day), at(-2_000)]
    for (const [i, occurredAt] of claims.entries())
      expect(
        (await manager.handIn(manager.tap(stream, 'pull', manager.pull(layerId, i + 1), { occurredAt }))).status,
      ).toBe(200)
    const pulls = (await manager.read(id)).state.pulls
    const [ahead, behind, near] = pulls as [(typeof pulls)[0], (typeof pulls)[0], (typeof pulls)[0]]
    expect(ahead.at >= before && ahead.at <= at(0)).toBe(true)
    // The nearest that can be: when the sign-in began.
    expect(behind.at < before && Date.parse(behind.at) > Date.now() - 10 * 60_000).toBe(true)
    expect([near.at, near.claimedAt]).toEqual([claims[2], undefined])
    expect([ahead.claimedAt, behind.claimedAt]).toEqual([claims[0], claims[1]])
    const file = await fetch(`${server.url}/api/editions/${id}/events.jsonl`, { headers: { cookie: manager.cookie } })
    expect((await file.text()).match(/"claimedAt"/g)).toHaveLength(2)
    expect((await manager.check()).breaks).toEqual([])
  })

  it('opens no gate before its day, draws no ink long ago, and shortens no session', async () => {
    const opens = new Date(Date.now() + 200 * day).toISOString().slice(0, 10)
    const student = await manager.person('Tansy Holt', 'student')
    const course = `course:${v7()}`
    const [assignmentId, editionId] = [v7(), v7()]
    await manager.give(course, 'begin-course', { ...samples['begin-course'], instructorIds: [manager.personId] })
    const enrolled = await manager.give(course, 'enrol-students', { personIds: [student.personId] })
    const assigned = { ...samples['set-assignment'], assignmentId, editionIds: [], opens, paper: null }
    expect(
      (await manager.give(course, 'set-assignment', assigned, { expectedSeq: enrolled.body.seq })).body,
    ).not.toHaveProperty('code')
    const editions = [{ editionId, personIds: [student.personId], title: 'Kettle', artist: 'T. Holt' }]
    const started = await manager.give(course, 'start-assignment', { assignmentId, editions, lotId: null })
    expect(started.body).not.toHaveProperty('code')
    const lotId = v7()
    await manager.give(`lot:${lotId}`, 'add-lot', { ...samples['add-lot'], sheets: 20 })
    const tear = { ...samples.tear, lotId, lotSheets: 1, count: 2, wrong: 0, rationId: null, offcuts: [] }
    const early = await student.give(`edition:${editionId}`, 'tear', tear, { occurredAt: at(210 * day) })
    expect([early.status, early.body.code]).toEqual([422, 'opens-later'])

    const batch = `batch:${v7()}`
    await manager.give(batch, 'mix-batch', { ...samples['mix-batch'], components: poured(50_000) })
    const own = await manager.edition(2, 'Drawn When')
    const draw = { milligrams: 5_000, editionStream: own.stream, layerId: null, note: '' }
    await manager.give(batch, 'draw-ink', draw, { occurredAt: '1999-01-01T00:00:00.000Z' })
    const charges = await manager.send<{ statements: { personId: string }[] }>(
      'GET',
      `/api/charges?from=${at(-day).slice(0, 10)}&to=${at(day).slice(0, 10)}`,
    )
    expect(JSON.stringify(charges.body)).toContain('5.0 g of')

    const station = `station:${v7()}`
    await manager.give(station, 'set-station', { name: 'east table', kind: 'ink table', isUsed: true })
    const opened = await manager.give(station, 'open-session', {
      ...samples['open-session'],
      editionIds: [],
      pictureId: null,
    })
    const { commandId } = (opened.body as unknown as { events: LedgerEvent[] }).events[0]!
    const closing = { ...samples['close-session'], sessionId: commandId, editionIds: [], pictureId: null, problems: [] }
    const closed = await manager.give(station, 'close-session', closing, { occurredAt: at(-200 * day) })
    expect(closed.status).toBe(200)
    const [event] = (closed.body as unknown as { events: LedgerEvent[] }).events
    expect(Date.now() - Date.parse(event!.occurredAt)).toBeLessThan(60_000)
  })

  it('erases nothing of the calendar', async () => {
    const pressId = v7()
    await manager.give(`press:${pressId}`, 'add-press', {
      ...samples['add-press'],
      name: 'Wrong press',
      pictureId: null,
    })
    const booking = (from: number) => ({
      bookingId: v7(),
      placeId: pressId,
      personId: manager.personId,
      from: at(from),
      until: at(from + 30 * 60_000),
      editionId: null,
      layerId: null,
      isFixed: false,
      note: '',
    })
    const book = (from: number, occurredAt = at(0)) =>
      manager.give('calendar', 'book', { bookings: [booking(from)] }, { occurredAt })
    for (const days of [1, 2, 3, 4]) expect((await book(days * day)).body).not.toHaveProperty('code')
    expect((await book(5 * day, at(400 * day))).body).not.toHaveProperty('code')
    const there = await manager.reading<CalendarReply>(`/api/calendar?from=${at(0)}&until=${at(10 * day)}`)
    expect(there.calendar.bookings.filter(({ placeId }) => placeId === pressId)).toHaveLength(5)
  })

  it('passes no moment that is none through the door', async () => {
    const { stream, layerId } = await manager.edition(1, 'Odd Moments')
    for (const occurredAt of [
      '2026-335T10:00:00.000Z',
      '2026-W49-2T10:00:00.000Z',
      '2026-12-01T10:00:00.000',
      '2026-12-01T10:00:00,000Z',
      '2026-02-31T10:00:00.000Z',
      '2026-12-01T10:00:00.000+01:00',
    ]) {
      const answer = await manager.give(stream, 'pull', manager.pull(layerId, 1), { occurredAt })
      expect([answer.status, answer.body.code], occurredAt).toEqual([400, 'invalid'])
      expect(answer.body.message).toContain('2026-11-02T09:30:00.000Z')
    }
  })
})

const poured = (milligrams: number) => [{ tubId: null, batchId: null, name: 'black', milligrams }]

describe('what is another’s', () => {
  let ida: Client
  let tam: Client
  let hers: Awaited<ReturnType<Client['edition']>>
  let his: Awaited<ReturnType<Client['edition']>>
  beforeAll(async () => {
    ida = await manager.person('Ida Fenn', 'member')
    tam = await manager.person('Tam Orrin', 'member')
    hers = await ida.edition(2, 'Hers')
    his = await tam.edition(2, 'His')
  })

  it('block is not changed, cancelled or taken through an edition of one’s own', async () => {
    const blockId = v7()
    const made = await ida.give(hers.stream, 'prepare-block', { ...samples['prepare-block'], blockId })
    expect(made.status).toBe(200)
    const used = { blockId, editionIds: [hers.id] }
    expect(await tam.give(his.stream, 'use-block', used)).toMatchObject({ status: 403, body: { code: 'not-theirs' } })
    for (const type of ['keep-block', 'cancel-block'] as const)
      expect(await tam.give(`block:${blockId}`, type, samples[type], { expectedSeq: 1 })).toMatchObject({
        status: 403,
        body: { code: 'not-theirs' },
      })
    // Taken in hand for him by staff, it is still hers.
    expect((await manager.give(his.stream, 'use-block', used)).status).toBe(200)
    for (const type of ['change-block', 'record-block-state', 'find-exposure', 'set-inked-share'] as const)
      expect(
        await tam.give(his.stream, type, {
          ...samples[type],
          blockId,
          ...(type === 'record-block-state' && { pictureId: null }),
          ...(type === 'set-inked-share' && { reading: null }),
        }),
        type,
      ).toMatchObject({ status: 403, body: { code: 'not-theirs' } })
    await tam.sure('kettle')
    const { seq } = (await tam.read(his.id)).state
    const close = (block: string) =>
      tam.give(his.stream, 'close', { note: '', block, blockIds: [blockId] }, { expectedSeq: seq })
    expect(await close('cancelled with a proof')).toMatchObject({ status: 403, body: { code: 'not-theirs' } })
    // She does all of it.
    expect((await ida.give(hers.stream, 'change-block', { ...samples['change-block'], blockId })).status).toBe(200)
    expect((await ida.give(`block:${blockId}`, 'keep-block', samples['keep-block'])).status).toBe(200)
  })

  it('paper in hand is neither torn nor brought back', async () => {
    const lotId = v7()
    await manager.give(`lot:${lotId}`, 'add-lot', { ...samples['add-lot'], price: 4, sheets: 50 })
    const rationed = await manager.give(`lot:${lotId}`, 'ration-paper', { personId: ida.personId, sheets: 4 })
    const rationId = (rationed.body as unknown as { events: LedgerEvent<string, { rationId: string }>[] }).events[0]!
      .data.rationId
    await manager.give(`lot:${lotId}`, 'release-paper', { rationId, sheets: 4 })
    const tear = { ...samples.tear, lotId, lotSheets: 4, count: 8, wrong: 0, rationId, offcuts: [] }
    expect(await tam.give(his.stream, 'tear', tear)).toMatchObject({ status: 403, body: { code: 'not-theirs' } })
    // Naming her on his edition lends him nothing.
    await tam.give(his.stream, 'name-printers', { artistId: tam.personId, printerIds: [tam.personId, ida.personId] })
    expect(await tam.give(his.stream, 'tear', tear)).toMatchObject({ status: 403, body: { code: 'not-theirs' } })
    const back = { rationId, sheets: 1 }
    expect(await tam.give(`lot:${lotId}`, 'return-paper', back)).toMatchObject({
      status: 403,
      body: { code: 'not-theirs' },
    })
    expect((await ida.give(`lot:${lotId}`, 'return-paper', back)).status).toBe(200)
    expect((await ida.give(hers.stream, 'tear', { ...tear, lotSheets: 1, count: 2 })).status).toBe(200)
  })

  it('edition gets no ink drawn and nothing booked by others, and hands out no sheets to them', async () => {
    const student = await manager.person('Wren Asher', 'student')
    const batch = `batch:${v7()}`
    await student.give(batch, 'mix-batch', { ...samples['mix-batch'], components: poured(9_000) })
    const draw = { milligrams: 1_000, editionStream: hers.stream, layerId: null, note: '' }
    expect(await student.give(batch, 'draw-ink', draw)).toMatchObject({ status: 403, body: { code: 'not-allowed' } })
    const pressId = v7()
    await manager.give(`press:${pressId}`, 'add-press', { ...samples['add-press'], name: 'Own press', pictureId: null })
    const booking = {
      bookingId: v7(),
      placeId: pressId,
      personId: student.personId,
      from: at(day),
      until: at(day + 1_800_000),
      editionId: hers.id,
      layerId: null,
      isFixed: false,
      note: '',
    }
    const book = (more: object) => student.give('calendar', 'book', { bookings: [{ ...booking, ...more }] })
    expect(await book({})).toMatchObject({ status: 403, body: { code: 'not-theirs' } })
    expect((await book({ editionId: null })).status).toBe(200)
    const ask = (of: Client) =>
      of.send('POST', `/api/editions/${hers.id}/hand-out`, { layerId: hers.layerId, device: of.device })
    for (let tab = 0; tab < 8; tab++)
      expect(
        (
          await student.send('POST', `/api/editions/${hers.id}/hand-out`, {
            layerId: hers.layerId,
            device: `${student.browser}~${tab}`,
          })
        ).body,
      ).toEqual({ sheetIds: [], heldByOthers: [] })
    expect((await ask(ida)).body.sheetIds).not.toEqual([])
  })

  it('work handed in, what staff say of it, charges and classes reach nobody else, in replay and export too', async () => {
    const assignmentId = v7()
    const course = `course:${v7()}`
    const editionId = v7()
    const jory = await manager.person('Jory Flint', 'student')
    const rook = await manager.person('Rook Vale', 'student')
    await manager.give(course, 'begin-course', {
      ...samples['begin-course'],
      term: 'secret term',
      instructorIds: [manager.personId],
    })
    const enrolled = await manager.give(course, 'enrol-students', { personIds: [jory.personId] })
    const assigned = {
      ...samples['set-assignment'],
      assignmentId,
      editionIds: [],
      opens: null,
      paper: null,
      pictures: [],
      points: ['light'],
    }
    await manager.give(course, 'set-assignment', assigned, { expectedSeq: enrolled.body.seq })
    const editions = [{ editionId, personIds: [jory.personId], title: 'Lamp', artist: 'J. Flint' }]
    await manager.give(course, 'start-assignment', { assignmentId, editions, lotId: null })
    const stream = `edition:${editionId}`
    const points = [{ point: 'light', words: 'a private thought' }]
    expect((await jory.give(stream, 'hand-in', { pictures: [], points, words: '' })).status).toBe(200)
    expect((await manager.give(stream, 'comment-work', { words: 'a frank remark' })).status).toBe(200)
    const charge = { on: '2026-11-30', what: 'damages: broken tympan', cents: 45_000, editionId: null }
    await manager.give(`account:${jory.personId}`, 'type-charge', charge)
    const secrets = ['a private thought', 'a frank remark', 'broken tympan', 'secret term']
    // Everything that can be read, but what goes on for as long as a page is open.
    const goesOn = /^GET (live|scale|climate|presses\/\[id\]\/gauge)/
    const routes = Object.keys(doors).filter((route) => route.startsWith('GET ') && !goesOn.test(route))
    const read = [
      ...routes.flatMap((route) => [editionId, course.slice('course:'.length)].map((id) => addressOf(route, id))),
      ...pagedKinds.map((kind) => `/api/streams?of=${kind}`),
      ...[course, stream, `account:${jory.personId}`].map((name) => `/api/streams?of=${encodeURIComponent(name)}`),
      ...['secret', 'damages', 'private', 'Lamp'].map((text) => `/api/find?text=${text}`),
      `/api/stations/${jory.personId}`,
    ]
    const told = async (client: Client) => {
      const get = (path: string) =>
        fetch(`${server.url}${path}`, { headers: { cookie: client.cookie } }).then((answer) => answer.text())
      const texts = [...(await Promise.all(read.map(get))), JSON.stringify(await heard(client, server.url, 0))].join(
        '\n',
      )
      return secrets.filter((secret) => texts.includes(secret))
    }
    expect(await told(rook)).toEqual([])
    expect(await told(tam)).toEqual([])
    expect(await told(jory)).toEqual(secrets)
    expect(await told(manager)).toEqual(secrets)
    // Of what is not theirs they hear that the ledger went on, without a gap.
    const said = await heard(rook, server.url, 0)
    const reached = said.reduce((last, { name, id, data }) => {
      const [from, to] = name === 'passed' ? (JSON.parse(data) as [number, number]) : [Number(id), Number(id)]
      if (name !== 'stored' && name !== 'passed') return last
      expect(from).toBe(last + 1)
      return to
    }, 0)
    expect(reached).toBeGreaterThan(eventsIn(said).length)
  })
})
