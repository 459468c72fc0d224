import { afterAll, beforeAll, expect, it } from 'vitest'
import type { LedgerEvent } from '#core/ground/envelope'
import type { Folded } from '#core/ground/act'
import { emptyState } from '#core/house/streams'
import type { Viewer } from '#core/house/who-sees'
import { type Connections, openConnections } from '../database/connections'
import { toRow } from '../database/events'
import { migrate } from '../database/migrations'
import { newFolder } from '../../tests/fixtures/server'
import { Live, mostReplayed, type LiveMessage } from './live'
import { Owners } from './owners'
import { Teller } from './teller'

const staff: Viewer = { personId: 'ansa', role: 'manager' }
const student: Viewer = { personId: 'tam', role: 'student' }

let db: Connections
beforeAll(async () => {
  db = await openConnections(newFolder())
  await migrate(db.writer)
  const tables = db.writer.getQueryInterface()
  const all = Array.from({ length: mostReplayed + 40 }, (_, i) => toRow(eventAt(i + 1)))
  for (let i = 0; i < all.length; i += 500) await tables.bulkInsert('events', all.slice(i, i + 500))
})
afterAll(() => db.close())

function eventAt(position: number, stream = 'lot:l', type = 'lot-counted'): LedgerEvent {
  return {
    position,
    stream,
    seq: position,
    type,
    version: 1,
    actor: 'p',
    via: null,
    device: 'd',
    commandId: `c${position}`,
    occurredAt: '2026-11-02T09:00:00.000Z',
    recordedAt: '2026-11-02T09:00:00.000Z',
    data: { words: 'broken tympan, 450.00' },
    claimedAt: null,
    hash: '',
  }
}

const newLive = () => new Live(db.reader, new Owners())
const positions = (told: readonly LiveMessage[]) => told.map(({ position }) => position)

it('replays what was missed and goes on with what comes, without gap or repeat', async () => {
  const live = newLive()
  const heard: number[] = []
  const last = mostReplayed + 40
  const following = live.follow(last - 5, staff, (told) => heard.push(...positions(told)))
  // These arrive while the replay is still being read; two of them are in it already.
  live.publish([eventAt(last - 1), eventAt(last), eventAt(last + 1)], [])
  const stop = await following
  live.publish([eventAt(last + 2)], [])
  live.publish([eventAt(last + 2), eventAt(last + 3)], [])
  stop!()
  live.publish([eventAt(last + 4)], [])
  expect(heard).toEqual([-4, -3, -2, -1, 0, 1, 2, 3].map((step) => last + step))
})

it('says when too much was missed to replay', async () => {
  const live = newLive()
  const heard: number[] = []
  expect(await live.follow(0, staff, (told) => heard.push(...positions(told)))).toBeNull()
  live.publish([eventAt(99_999)], [])
  expect(heard).toEqual([])
})

it('keeps no listener when the replay fails', async () => {
  const broken = { query: () => Promise.reject(new Error('disk')) } as never
  const live = new Live(broken, new Owners())
  const heard: LiveMessage[] = []
  await expect(live.follow(0, staff, (told) => heard.push(...told))).rejects.toThrow('disk')
  live.publish([eventAt(1)], [])
  expect(heard).toEqual([])
  expect(live.followers).toBe(0)
})

const edition = (personIds: string[]): Folded =>
  Object.assign(emptyState('edition:e'), { artistId: null, printerIds: personIds })

it('tells each person what is theirs to see, and of the rest only that something came', async () => {
  const live = newLive()
  const last = mostReplayed + 40
  const heard: Record<string, LiveMessage[]> = { ansa: [], tam: [], ida: [] }
  for (const viewer of [staff, student, { personId: 'ida', role: 'student' } as const])
    await live.follow(last, viewer, (told) => heard[viewer.personId]!.push(...told))
  live.publish([eventAt(last + 1, 'edition:e', 'printers-named')], [edition(['tam'])])
  live.publish(
    [
      eventAt(last + 2, 'account:tam', 'charge-typed'),
      eventAt(last + 3, 'course:c', 'assignment-set'),
      eventAt(last + 4, 'edition:e', 'work-commented'),
      eventAt(last + 5, 'edition:e', 'pulled'),
    ],
    [],
  )
  const seen = (told: LiveMessage[]) =>
    told.map(({ position, text }) => [
      position - last,
      text === null ? 'nothing' : text.includes('broken tympan') ? 'whole' : 'withheld',
    ])
  expect(seen(heard.ansa!)).toEqual([1, 2, 3, 4, 5].map((step) => [step, 'whole']))
  expect(seen(heard.tam!)).toEqual([
    [1, 'whole'],
    [2, 'whole'],
    [3, 'nothing'],
    [4, 'whole'],
    [5, 'whole'],
  ])
  expect(seen(heard.ida!)).toEqual([
    [1, 'whole'],
    [2, 'nothing'],
    [3, 'nothing'],
    [4, 'withheld'],
    [5, 'whole'],
  ])
  // It became hers with the first: what she holds of it is read anew.
  expect(heard.tam!.map(({ anew }) => anew)).toEqual(['edition:e', null, null, null, null])
  live.publish([eventAt(last + 6, 'edition:e', 'printers-named')], [edition(['ida'])])
  expect([heard.tam!.at(-1)!.anew, heard.ida!.at(-1)!.anew, heard.ansa!.at(-1)!.anew]).toEqual([
    'edition:e',
    'edition:e',
    null,
  ])
})

it('is written without a gap: what is not theirs is a stretch, said before what comes next', () => {
  const said: [string, string, string | undefined][] = []
  const teller = new Teller(
    (...one) => void said.push(one as [string, string, string | undefined]),
    () => ({ lineage: 'l', personId: 'tam' }),
  )
  const told = (position: number, text: string | null = null, anew: string | null = null) => ({ position, text, anew })
  teller.tell([told(1), told(2), told(3, '{}'), told(4)])
  teller.tell([told(5), told(6, null, 'edition:e')])
  teller.tell([told(7)])
  teller.beat()
  teller.beat()
  const beat = ['beat', '{"lineage":"l","personId":"tam"}', undefined]
  expect(said).toEqual([
    ['passed', '[1,2]', '2'],
    ['stored', '{}', '3'],
    ['passed', '[4,6]', '6'],
    ['anew', '{"stream":"edition:e","position":6}', '6'],
    ['passed', '[7,7]', '7'],
    beat,
    beat,
  ])
})
