import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { newFolder } from '../../tests/fixtures/server'
import { allBreaks } from './breaks'
import { type Connections, openConnections } from './connections'
import { chainStart, eventHash } from './events'
import { chainHead, type Head, headAfter, HeadFile, missingFrom, storedHead } from './heads'
import { beginLineage, lineageOf } from './lineage'
import { migrate } from './migrations'
import { storeGroup } from './writing'

let db: Connections
let last: Head

/** A ledger written in groups of three events, as the writer does. */
beforeEach(async () => {
  db = await openConnections(newFolder())
  await migrate(db.writer)
  const hashes = new Map<string, string>()
  const chained = new PressTable()
    .tear(8)
    .number(3)
    .events.map((event) => {
      const hash = eventHash(hashes.get(event.stream) ?? chainStart, event)
      hashes.set(event.stream, hash)
      return { ...event, hash }
    })
  let head = chainStart
  for (let i = 0; i < chained.length; i += 3) {
    const events = chained.slice(i, i + 3)
    head = events.reduce((so, { hash }) => headAfter(so, hash), head)
    await storeGroup(db, { events, head, commands: [], summaries: [], beside: [] })
    last = { position: events.at(-1)!.position, head }
  }
  await db.writer.query('DROP TRIGGER events_never_go')
  await db.writer.query('DROP TRIGGER events_never_change')
})
afterEach(() => db.close())

const loses = (where: string) => db.writer.query(`DELETE FROM events WHERE ${where}`)
const found = async () => (await allBreaks(db.long, last)).map(({ position, what }) => [position, what])

describe('a ledger', () => {
  it('that is whole shows no break, and its head is that of all its events', async () => {
    expect(await found()).toEqual([])
    expect(await missingFrom(db.long, last)).toBeNull()
    expect(await missingFrom(db.long, null)).toBeNull()
    expect(await storedHead(db.long)).toEqual(last)
    await db.writer.query('DELETE FROM heads')
    await chainHead(db.writer)
    expect(await storedHead(db.long)).toEqual(last)
  })

  it('without its newest events is missed', async () => {
    await loses(`position > ${last.position - 5}`)
    await db.writer.query(`DELETE FROM heads WHERE position > ${last.position - 5}`)
    expect(await missingFrom(db.long, last)).toContain(`5 of the newest events are missing`)
    expect(await found()).toEqual([[last.position, 'the newest 5 events are missing']])
  })

  it('without a stream is missed', async () => {
    await loses(`stream LIKE 'lot:%'`)
    expect(await missingFrom(db.long, last)).toMatch(/events are missing within/)
    expect((await found()).length).toBeGreaterThan(0)
  })

  it('whose newest event is another than was acknowledged is told apart', async () => {
    await db.writer.query(`UPDATE heads SET head = $1 WHERE position = ${last.position}`, { bind: ['f'.repeat(64)] })
    expect(await missingFrom(db.long, last)).toContain('is not the one that was acknowledged')
    expect(await found()).toEqual([[last.position, 'the head kept with it is another']])
  })

  it('tells all breaks, each once', async () => {
    await db.writer.query(`UPDATE events SET actor = 'someone else' WHERE position IN (4, 9)`)
    await loses('position = 12')
    const breaks = await found()
    expect(breaks.slice(0, 2)).toEqual([
      [4, 'it was changed, or the one before it'],
      [9, 'it was changed, or the one before it'],
    ])
    expect(breaks).toContainEqual([13, '1 events before it are missing'])
    expect(new Set(breaks.map(([position]) => position))).toEqual(new Set([4, 9, 12, 13].filter((p) => p !== 12)))
  })

  it('that is put back goes on as another', async () => {
    const before = await lineageOf(db.long)
    expect(before.from).toBe(0)
    await beginLineage(db.writer)
    const after = await lineageOf(db.long)
    expect(after).toEqual({ id: expect.not.stringMatching(before.id), from: last.position })
  })
})

describe('the head beside the ledger', () => {
  const folder = () => mkdtempSync(join(tmpdir(), 'ample-tally-head-'))
  const at = (position: number): Head => ({ position, head: String(position % 10).repeat(64) })

  it('says the newest that was written', async () => {
    const place = folder()
    expect(HeadFile.read(place)).toBeNull()
    const file = await HeadFile.open(place)
    for (const position of [3, 8, 12]) {
      await file.write(at(position))
      expect(HeadFile.read(place)).toEqual(at(position))
    }
    await file.close()
    const again = await HeadFile.open(place)
    await again.write(at(14))
    await again.close()
    expect(HeadFile.read(place)).toEqual(at(14))
  })

  it('says the one before when a write was cut short, and forgets what was before a new beginning', async () => {
    const place = folder()
    const file = await HeadFile.open(place)
    await file.write(at(5))
    await file.write(at(6))
    const bytes = readFileSync(join(place, 'head'))
    bytes.write('x', bytes.lastIndexOf('6 666') + 20)
    writeFileSync(join(place, 'head'), bytes)
    expect(HeadFile.read(place)).toEqual(at(5))
    await file.begin(at(2))
    expect(HeadFile.read(place)).toEqual(at(2))
    await file.close()
  })
})
