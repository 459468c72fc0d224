import { afterAll, beforeAll, expect, it } from 'vitest'
import type { LedgerEvent } from '#core/ground/envelope'
import { type Connections, openConnections } from '../database/connections'
import { toRow } from '../database/events'
import { migrate } from '../database/migrations'
import { newFolder } from '../../tests/fixtures/server'
import { Live, mostReplayed } from './live'

let db: Connections
beforeAll(async () => {
  db = await openConnections(newFolder())
  await migrate(db.writer)
  const tables = db.writer.getQueryInterface()
  const all = Array.from({ length: mostReplayed + 40 }, (_, i) => toRow(eventAt(i + 1)))
  for (let i = 0; i < all.length; i += 500) await tables.bulkInsert('events', all.slice(i, i + 500))
})
afterAll(() => db.close())

function eventAt(position: number): LedgerEvent {
  return {
    position,
    stream: 'lot:l',
    seq: position,
    type: 'lot-counted',
    version: 1,
    actor: 'p',
    via: null,
    device: 'd',
    commandId: `c${position}`,
    occurredAt: '2026-11-02T09:00:00.000Z',
    recordedAt: '2026-11-02T09:00:00.000Z',
    data: {},
    claimedAt: null,
    hash: '',
  }
}

it('replays what was missed and goes on with what comes, without gap or repeat', async () => {
  const live = new Live(db.reader)
  const heard: number[] = []
  const last = mostReplayed + 40
  const following = live.follow(last - 5, (events) => heard.push(...events.map((event) => event.position)))
  // These arrive while the replay is still being read; two of them are in it already.
  live.publish([eventAt(last - 1), eventAt(last), eventAt(last + 1)])
  const stop = await following
  live.publish([eventAt(last + 2)])
  live.publish([eventAt(last + 2), eventAt(last + 3)])
  stop!()
  live.publish([eventAt(last + 4)])
  expect(heard).toEqual([-4, -3, -2, -1, 0, 1, 2, 3].map((step) => last + step))
})

it('says when too much was missed to replay', async () => {
  const live = new Live(db.reader)
  const heard: number[] = []
  expect(await live.follow(0, (told) => heard.push(...told.map(({ position }) => position)))).toBeNull()
  live.publish([eventAt(99_999)])
  expect(heard).toEqual([])
})
