import { v7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { CalendarReply, TimetableReply } from '#shared/replies/calendar'
import { Client } from '../fixtures/client'
import { samples } from '../fixtures/requests'
import { Server } from '../fixtures/server'

let server: Server
let manager: Client
let member: Client
let pressId: string

beforeAll(async () => {
  server = await Server.start()
  manager = await new Client(server.url).setUp()
  member = await manager.person('Merle Tarn', 'member')
  pressId = v7()
  expect((await manager.give(`press:${pressId}`, 'add-press', samples['add-press'])).status).toBe(200)
})
afterAll(() => server.stop())

/** So many hours from now, on the hour. */
const hour = (later: number) => new Date((Math.floor(Date.now() / 3_600_000) + later) * 3_600_000).toISOString()
const booking = (by: Client, from: number, until: number) => ({
  bookingId: v7(),
  placeId: pressId,
  personId: by.personId,
  from: hour(from),
  until: hour(until),
  editionId: null,
  layerId: null,
  isFixed: false,
  note: 'the long run',
})
const calendarOf = async (by: Client) =>
  await by.reading<CalendarReply>(`/api/calendar?from=${hour(0)}&until=${hour(24)}`)

describe('bookings', () => {
  it('are seen by all, and two that want the same hour at the same moment do not both get it', async () => {
    const both = [booking(manager, 30, 32), booking(member, 31, 33)]
    const answers = await Promise.all([
      manager.give('calendar', 'book', { bookings: [both[0]!] }),
      member.give('calendar', 'book', { bookings: [both[1]!] }),
    ])
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 422])
    expect(answers.find(({ status }) => status === 422)!.body).toMatchObject({
      code: 'taken',
      message: expect.stringContaining('The nearest that is free is'),
    })
    expect((await calendarOf(member)).calendar.bookings).toHaveLength(1)
  })

  it('are drawn up into what is to be done for every edition', async () => {
    await manager.edition(3, 'Tide Gauge')
    const body = await member.reading<TimetableReply>('/api/timetable')
    expect(body.tasks.map(({ kind }) => kind)).toContain('pull')
    expect(body.presses).toMatchObject([{ id: pressId }])
  })
})

describe('a calendar program', () => {
  const read = async (path: string) => {
    const answer = await fetch(`${server.url}${path}`)
    return { status: answer.status, text: await answer.text(), type: answer.headers.get('content-type') }
  }

  it('reads one’s own bookings from an address, and nobody else’s', async () => {
    await member.give('calendar', 'book', { bookings: [booking(member, 50, 52)] })
    await manager.give('calendar', 'book', { bookings: [{ ...booking(manager, 60, 62), note: 'of the manager' }] })
    expect((await member.send<{ path: null }>('GET', '/api/calendar/address')).body.path).toBeNull()
    const { path } = (await member.send<{ path: string }>('POST', '/api/calendar/address', {})).body
    expect((await member.send<{ path: string }>('GET', '/api/calendar/address')).body.path).toBe(path)
    const { status, text, type } = await read(path)
    expect([status, type]).toEqual([200, 'text/calendar; charset=utf-8'])
    expect(text).toMatch(/^BEGIN:VCALENDAR/)
    expect(text).toContain('the long run')
    expect(text).not.toContain('of the manager')
    expect(text.match(/DTSTART:(\w+)/g)).toContain(`DTSTART:${hour(50).replace(/[-:]|\.000/g, '')}`)
  })

  it('reads nothing from an address that was changed, guessed, or is of somebody who is gone', async () => {
    const { path } = (await member.send<{ path: string }>('POST', '/api/calendar/address', {})).body
    const next = (await member.send<{ path: string }>('POST', '/api/calendar/address', {})).body.path
    expect((await read(path)).status).toBe(404)
    expect((await read(next)).status).toBe(200)
    expect((await read(next.replace('.ics', 'x.ics'))).status).toBe(404)
    expect((await read('/api/calendar/feed/%E0%A4%A.ics')).status).toBeLessThan(500)
    // Another PIN ends it, for good: what was given away comes back with nothing.
    const another = await manager.person('Sorrel Wick', 'member')
    const shared = (await another.send<{ path: string }>('POST', '/api/calendar/address', {})).body.path
    expect((await read(shared)).status).toBe(200)
    await another.send('PUT', `/api/people/${another.personId}/secret`, { before: 'kettle', secret: 'saucer' })
    expect((await read(shared)).status).toBe(404)
    const renewed = (await another.send<{ path: string }>('POST', '/api/calendar/address', {})).body.path
    const change = (active: boolean) =>
      manager.send('PUT', `/api/people/${another.personId}`, { name: 'Sorrel Wick', role: 'member', active })
    await change(false)
    await change(true)
    expect((await read(renewed)).status).toBe(404)
    await manager.sure()
    const gone = { name: 'Merle Tarn', role: 'member', active: false }
    expect((await manager.send('PUT', `/api/people/${member.personId}`, gone)).status).toBe(200)
    expect((await read(next)).status).toBe(404)
  })
})
