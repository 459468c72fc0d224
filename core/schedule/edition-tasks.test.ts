import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { plan } from '../../tests/fixtures/plan'
import { minuteOf } from '../time/instant'
import { minuteOfLocal } from '../time/room-clock'
import { emptyCalendar } from '../calendar/state'
import type { EditionState } from '../edition/state'
import { noFinishing } from '../finish/plan'
import type { EditionPlan } from '../plan/plan'
import { noRecord } from '../plan/shop-record'
import { firstPlan } from '../timetable/plan'
import type { Racks } from '../timetable/racks'
import { dryingNow } from './drying-lag'
import { type Around, editionTasks } from './edition-tasks'
import { criticalChain } from '../timetable/chain'
import { chainWords } from './chain-words'
import { mends } from './mend'
import { longestOpen, roomCalendar } from './room-calendar'
import { standings } from './standing'
import type { EditionTask } from './task'

const now = minuteOf('2026-11-02T08:00:00.000Z')
const around: Around = {
  now,
  longestOpen: 720,
  due: null,
  toStart: 0,
  pressIds: ['long'],
  booked: [],
  record: noRecord,
  room: { familyOf: () => 'oil', climate: null, isDamp: false },
  touch: {},
  places: null,
}
const table = (changes: Partial<EditionPlan> = {}) =>
  new PressTable({ layersPlanned: 2, layering: 'ahead', ...changes })

/** What must be over before each, by what they are. */
const told = (state: EditionState, more: Partial<Around> = {}) =>
  editionTasks(state, { ...around, ...more }).map(({ what }) => what)

describe('the tasks of an edition', () => {
  it('are all there are while nothing is done', () => {
    const at = table({ method: 'reduction', size: 6, proofs: { AP: 0, PP: 0, HC: 0 } })
    expect(told(at.edition, { toStart: 10 })).toEqual([
      'Prepare the block, 1 of 2',
      'Prepare the block, 2 of 2',
      'Tear 10 sheets',
      'First layer, 10 pulls',
      'Cut the block for the second layer',
      'Second layer, 10 pulls',
      'Curate 6 prints',
      'Number and sign 6',
    ])
  })

  it('are none of an edition that is closed, or not begun', () => {
    expect(told({ ...table().edition, plan: null })).toEqual([])
    expect(told({ ...table().edition, closedAt: '2026-11-02' })).toEqual([])
  })

  it('wait for each other: the next layer until the one before is dry at the slow end', () => {
    const at = table({ size: 6 })
    const tasks = editionTasks(at.edition, { ...around, toStart: 10 })
    const second = tasks.find(({ what }) => what.startsWith('Second'))!
    const first = tasks.find(({ what }) => what.startsWith('First'))!
    // Oil of 8 µm in a usual room: 48 h, twice that at the slow end; after ten times as long it has hardened. It can be stacked after 72.
    expect(second.after).toEqual([
      { taskId: first.id, lag: 96 * 60, within: null, dries: true },
      { taskId: first.id, lag: 0, within: 480 * 60, dries: false },
    ])
    expect(first).toMatchObject({ sheets: 10, dries: 72 * 60 })
    expect(second.resources[0]).toBe('press:long')
  })

  it('go on from what was pulled', () => {
    const at = table({ size: 4 })
    at.tear(6)
    at.pull(1)
    at.pull(2)
    expect(told(at.edition)).toEqual([
      'First layer, 4 pulls',
      'Second layer, 6 pulls',
      'Curate 6 prints',
      'Number and sign 5',
    ])
  })

  it('are parted into runs that the racks hold', () => {
    const at = table({ size: 4, layersPlanned: 1 })
    at.tear(11)
    expect(told(at.edition, { places: 5 }).slice(2, 5)).toEqual([
      'The layer, 4 pulls',
      'The layer, 4 pulls',
      'The layer, 3 pulls',
    ])
  })

  it('begin before the film beneath has hardened, and tell where they cannot', () => {
    const at = table({ size: 2 })
    at.tear(2)
    at.pull(1)
    at.pull(2)
    const [{ beginBy, layerId }] = editionTasks(at.edition, around) as [EditionTask]
    const pulled = minuteOf(at.edition.pulls.at(-1)!.at)
    expect({ beginBy, layerId }).toEqual({ beginBy: pulled + 480 * 60, layerId: at.edition.layers[1]!.id })
    const hardenedAt = (from: number) => {
      const tasks = editionTasks(at.edition, { ...around, now: from })
      const calendar = roomCalendar(room, tasks, { slots: null, lying: [] }, from)
      return standings(tasks, firstPlan(tasks, calendar), calendar)[0]!.hardened
    }
    expect(hardenedAt(now)).toEqual([])
    expect(hardenedAt(pulled + 500 * 60)).toMatchObject([{ by: pulled + 480 * 60 }])
  })

  it('are done in what is booked for them', () => {
    const at = table({ size: 4 })
    const from = now + 24 * 60
    const booked = [{ from, to: from + 240, bookingId: 'b', layerId: 'layer 2' }]
    const tasks = editionTasks(at.edition, { ...around, toStart: 6, booked })
    expect(tasks.filter(({ bookingId }) => bookingId === 'b')).toMatchObject([
      { at: from, minutes: 240, layerId: at.edition.layers[1]!.id, what: 'Second layer, 6 pulls' },
    ])
  })
})

describe('what dries in the racks now', () => {
  it('is every piece with its newest layer, until it can be stacked', () => {
    const at = table({ size: 4, layersPlanned: 1 })
    at.tear(2, 2)
    at.pull(1)
    at.pull(2)
    at.pull(3)
    const [last] = at.edition.pulls.slice(-1)
    // Fit to be stacked after 1.5 times 48 h; two pieces of two images.
    const until = minuteOf(last!.at) + 72 * 60
    expect(dryingNow(at.edition, now, around)).toEqual([{ from: now, to: Math.ceil(until / 15) * 15, sheets: 2 }])
    expect(dryingNow(at.edition, until + 15, around)).toEqual([])
    const dry = at.edition.sheets.map((sheet) => ({ ...sheet, dry: [last!.layerId] }))
    expect(dryingNow({ ...at.edition, sheets: dry }, now, around)).toEqual([])
    expect(dryingNow(table().edition, now, around)).toEqual([])
  })

  it('takes a place for each piece of a run that is planned, not for each image', () => {
    const at = table({ size: 8, layersPlanned: 1 })
    at.tear(6, 2)
    expect(editionTasks(at.edition, around).find(({ kind }) => kind === 'pull')).toMatchObject({ sheets: 6 })
  })
})

const zone = 'Europe/Oslo'
const room = {
  ...emptyCalendar(),
  timeZone: zone,
  hours: [1, 2, 3, 4, 5].map((weekday) => ({ weekday, from: '09:00', until: '21:00' })),
}

/** 180 prints, nine colours by hand, due in seven weeks. */
function patron(
  from: number,
  change: (state: EditionState) => EditionState = (state) => state,
  racks: Racks = { slots: null, lying: [] },
) {
  const at = table({
    size: 180,
    layersPlanned: 1,
    colouring: true,
    proofs: { AP: 4, PP: 0, HC: 0 },
    rates: { ...plan.rates, minutesPerPull: 4 },
  })
  const colours = Array.from({ length: 9 }, (_, i) => ({ id: `c${i}`, name: `colour ${i + 1}` }))
  const state = change({ ...at.edition, printerIds: ['p1'], finishing: { ...noFinishing, colours, flatten: true } })
  const due = minuteOfLocal('2026-12-21T23:59', zone)
  const tasks = editionTasks(state, { ...around, now: from, toStart: 205, due, longestOpen: longestOpen(room, from) })
  const calendar = roomCalendar(room, tasks, racks, from)
  const timetable = firstPlan(tasks, calendar)
  return { tasks, calendar, timetable, standing: standings(tasks, timetable, calendar)[0]! }
}

describe('an edition of 180 with nine colours by hand, due in seven weeks', () => {
  it('is planned, with every print through every colour, and is in time', () => {
    const { tasks, standing } = patron(now)
    const held = tasks.flatMap(({ what }) => /^Colour 5, (\d+) prints/.exec(what)?.[1] ?? []).map(Number)
    expect(held.reduce((a, b) => a + b, 0)).toBe(184)
    expect(standing.late).toBe(0)
    expect(standing.beginBy).toBeGreaterThan(now)
    expect(standing.chain.at(-1)!.to).toBe(standing.end)
  })

  it('is planned anew when a week is lost, ends later, and what would mend it is in time', () => {
    const first = patron(now)
    const lost = patron(now + 3 * 7 * 24 * 60)
    expect(lost.standing.end).toBeGreaterThan(first.standing.end!)
    expect(lost.standing.late).toBeGreaterThan(0)
    const found = mends(lost.tasks, lost.calendar, lost.standing.editionId, ['long', 'small'])
    const helper = found.find(({ kind }) => kind === 'helper')!
    expect(helper.end).toBeLessThan(lost.standing.end!)
    const fewer = found.find(({ kind }) => kind === 'fewer')!
    expect(fewer.isInTime).toBe(true)
    expect(fewer.share).toBeLessThan(1)
  })

  it('waits for racks that are too few, which is told, and more of them would mend it', () => {
    const racks = { slots: 60, lying: [{ from: now, to: now + 14 * 24 * 60, sheets: 60 }] }
    const { tasks, calendar, standing } = patron(now, undefined, racks)
    expect(standing.end).toBeGreaterThan(patron(now).standing.end!)
    const told = chainWords(standing.chain, tasks, standing.editionId, {
      nameOf: String,
      titleOf: String,
      day: (minute) => String(minute),
    })
    expect(told).toContainEqual(expect.stringMatching(/^the racks, full until/))
    const found = mends(tasks, calendar, standing.editionId, [])
    expect(found.find(({ kind }) => kind === 'racks')!.end).toBe(patron(now).standing.end)
  })

  it('has a chain without a hole: every link begins where what held it was over, or the room opened', () => {
    const { standing, calendar } = patron(now)
    for (const [i, { from, because }] of standing.chain.entries()) {
      if (!('taskId' in because)) continue
      const before = standing.chain[i - 1]!
      expect(before.taskId).toBe(because.taskId)
      const until = before.to + ('lag' in because ? because.lag : 0)
      expect(
        from === until || calendar.open.some((span) => span.from === from || (span.from <= from && until < from)),
      ).toBe(true)
    }
  })
})

describe('the critical chain in words', () => {
  const words = { nameOf: (one: string) => one.replace('press:', 'the press '), titleOf: () => 'Kettle' }
  const day = (minute: number) => `minute ${minute}`

  it('tells what holds the edition up, once for what follows itself', () => {
    const { standing, tasks } = patron(now)
    const told = chainWords(standing.chain, tasks, standing.editionId, { ...words, day })
    expect(told.map((one) => one.replace(/ until.*/, ''))).toEqual([
      'preparing the block',
      'tearing',
      'pulling the layer',
      'the layer’s drying',
      'the work after the press',
      'lying under weights',
      'curating',
      'signing',
    ])
  })

  it('names the other edition that has the press', () => {
    const base = {
      kind: 'pull' as const,
      layerId: 'l',
      bookingId: null,
      isGuessed: false,
      sheets: 0,
      dries: 0,
      due: null,
      notBefore: null,
      beginBy: null,
      at: null,
    }
    const tasks: EditionTask[] = [
      {
        ...base,
        id: 'a',
        editionId: 'e1',
        what: 'First layer, 4 pulls',
        minutes: 60,
        resources: ['press:long'],
        after: [],
      },
      {
        ...base,
        id: 'b',
        editionId: 'e2',
        what: 'The layer, 4 pulls',
        minutes: 60,
        resources: ['press:long'],
        after: [],
      },
    ]
    const timetable = {
      placed: [
        { taskId: 'a', from: 0, to: 60 },
        { taskId: 'b', from: 60, to: 120 },
      ],
      unplaced: [],
    }
    expect(
      chainWords(criticalChain(tasks, timetable, { slots: null, lying: [] }, 'e2'), tasks, 'e2', { ...words, day }),
    ).toEqual(['the press long, taken by Kettle until minute 60', 'pulling the layer until minute 120'])
  })
})
