import { afterEach, beforeEach, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { newFolder } from '../../tests/fixtures/server'
import { type Connections, openConnections } from './connections'
import { readStream, streamPages, toRow } from './events'
import { migrate } from './migrations'

let db: Connections
beforeEach(async () => {
  db = await openConnections(newFolder())
  await migrate(db.writer)
})
afterEach(() => db.close())

const stream = 'edition:long'
/** Events of one stream that only tell their place. */
async function fill(count: number) {
  const [pattern] = new PressTable().tear(1).events
  const rows = Array.from({ length: count }, (_, i) =>
    toRow({
      ...pattern!,
      type: 'made-up',
      version: 1,
      stream,
      position: i + 1,
      seq: i + 1,
      data: { n: i + 1 },
      hash: `hash ${i + 1}`.padEnd(64),
    }),
  )
  if (count > 0) await db.writer.getQueryInterface().bulkInsert('events', rows)
}

it.each([
  [0, [0]],
  [1, [1]],
  [499, [499]],
  [500, [500]],
  [501, [500, 1]],
  [1250, [500, 500, 250]],
])('a stream of %i events is read whole, in order, by pages', async (count, lengths) => {
  await fill(count)
  const pages = []
  for await (const page of streamPages(db.reader, stream)) pages.push(page)
  expect(pages.map(({ events }) => events.length)).toEqual(lengths)
  for (const { events, hash } of pages) if (events.length > 0) expect(hash.trim()).toBe(`hash ${events.at(-1)!.seq}`)
  const whole = await readStream(db.reader, stream)
  expect(whole.events.map(({ seq }) => seq)).toEqual(Array.from({ length: count }, (_, i) => i + 1))
  expect(whole).toEqual({ ...pages.at(-1), events: pages.flatMap(({ events }) => events) })
})

it('what goes wrong while a page is folded is heard with the pages after it', async () => {
  await fill(2500)
  const pages = streamPages(db.reader, stream)
  await pages.next()
  await db.writer.query('DROP TRIGGER events_never_go')
  await db.writer.query('DROP TABLE events')
  await expect(pages.next().then(() => pages.next())).rejects.toThrow('no such table')
})
