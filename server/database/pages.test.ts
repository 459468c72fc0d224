import { afterAll, beforeAll, expect, it } from 'vitest'
import { newFolder } from '../../tests/fixtures/server'
import { type Connections, openConnections } from './connections'
import { migrate } from './migrations'
import { notClosed, pageOfLines, streamsListed } from './summaries'

let db: Connections
/** Two moments, so that many lines changed at the same. */
const lines = Array.from({ length: 23 }, (_, i) => ({
  stream: `edition:${i}`,
  kind: i % 5 === 0 ? 'course' : 'edition',
  version: 1,
  title: `Print ${i}`,
  state: i % 4 === 0 ? 'closed' : 'pulling',
  changedAt: `2026-12-0${1 + (i % 2)}T09:00:00.000Z`,
  words: '',
  data: '{}',
}))
const newestFirst = [...lines].sort((a, b) => (`${a.changedAt}|${a.stream}` < `${b.changedAt}|${b.stream}` ? 1 : -1))
const streamsOf = (kind: string) => newestFirst.filter((line) => line.kind === kind).map(({ stream }) => stream)

beforeAll(async () => {
  db = await openConnections(newFolder())
  await migrate(db.writer)
  await db.writer.summaries.bulkCreate(lines)
})
afterAll(() => db.close())

it.each([1, 2, 7, 18, 50])('lines cut into pages of %i are each on one of them, in order', async (length) => {
  const streams: string[] = []
  let after: string | undefined
  do {
    const page = await pageOfLines(db.reader, { kind: 'edition' }, length, after)
    expect(page.lines.length).toBeLessThanOrEqual(length)
    streams.push(...page.lines.map(({ stream }) => stream))
    after = page.next ?? undefined
  } while (after !== undefined)
  expect(streams).toEqual(streamsOf('edition'))
})

it('streams are listed newest first, so many, and those alone of which something more holds', async () => {
  expect(await streamsListed(db.reader, 'course')).toEqual(streamsOf('course'))
  expect(await streamsListed(db.reader, 'edition', { limit: 3 })).toEqual(streamsOf('edition').slice(0, 3))
  const closed = new Set(lines.filter(({ state }) => state === 'closed').map(({ stream }) => stream))
  expect(await streamsListed(db.reader, 'edition', { where: notClosed })).toEqual(
    streamsOf('edition').filter((stream) => !closed.has(stream)),
  )
})

it('a transaction of its own that fails leaves nothing, and the next one works', async () => {
  const about = () => db.reader.about.findByPk('room').then((row) => row!.get().value)
  const before = await about()
  const failing = db.writing((writer) =>
    writer.atOnce(async () => {
      await writer.about.update({ value: 'half done' }, { where: { name: 'room' } })
      throw new Error('no further')
    }),
  )
  await expect(failing).rejects.toThrow('no further')
  expect(await about()).toBe(before)
  await db.writing((writer) => writer.atOnce(() => writer.about.update({ value: 'done' }, { where: { name: 'room' } })))
  expect(await about()).toBe('done')
})
