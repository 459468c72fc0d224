import type { Sequelize } from 'sequelize'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { newFolder } from '../../tests/fixtures/server'
import { allBreaks } from './breaks'
import { type Connections, DatabaseUnusable, lockFolder, openConnections, rows } from './connections'
import {
  chainStart,
  eventColumns,
  eventHash,
  eventsAfter,
  lastPosition,
  readStream,
  storedEvents,
  toRow,
} from './events'
import { migrate } from './migrations'
import { rebuildSummaries, summaryVersion } from './summaries'

let db: Connections
const table = new PressTable().tear(8).number(3)

beforeAll(async () => {
  db = await openConnections(newFolder())
  await migrate(db.writer)
  const last = new Map<string, string>()
  const chained = table.events.map((event) => {
    const hash = eventHash(last.get(event.stream) ?? chainStart, event)
    last.set(event.stream, hash)
    return toRow({ ...event, hash })
  })
  await db.writer.getQueryInterface().bulkInsert('events', chained)
})
afterAll(() => db.close())

describe('the file', () => {
  it('is migrated once, however often it is opened', async () => {
    await migrate(db.writer)
    expect(await rows(db.reader, 'SELECT name FROM migrations ORDER BY name')).toEqual([
      { name: '0001-ledger' },
      { name: '0002-sign-ins' },
      { name: '0003-heads' },
      { name: '0004-finds' },
      { name: '0005-calendar-addresses' },
      { name: '0006-moments' },
    ])
  })

  it('keeps nothing of a migration that fails, which names itself and its cause', async () => {
    const other = await openConnections(newFolder())
    const fails = {
      name: '0002-broken',
      up: async (to: Sequelize) => {
        await to.query('CREATE TABLE half (id TEXT)')
        await to.query('CREATE TABLE half (id TEXT)')
      },
    }
    await migrate(other.writer)
    const failing = migrate(other.writer, [{ name: '0001-ledger', up: async () => {} }, fails])
    await expect(failing).rejects.toThrow(DatabaseUnusable)
    await expect(failing).rejects.toMatchObject({
      message: expect.stringContaining('0002-broken failed'),
      cause: expect.objectContaining({ message: expect.stringContaining('already exists') }),
    })
    expect(await rows(other.reader, "SELECT name FROM sqlite_master WHERE name = 'half'")).toEqual([])
    await other.close()
  })

  it('is written on one connection and only read on the others', async () => {
    for (const reading of [db.reader, db.long])
      await expect(reading.query('DELETE FROM commands')).rejects.toThrow(/readonly/i)
    expect(await rows(db.writer, 'PRAGMA foreign_keys')).toEqual([{ foreign_keys: 1 }])
    expect(await rows(db.writer, 'PRAGMA journal_mode')).toEqual([{ journal_mode: 'wal' }])
  })

  it('holds its folder for one process', async () => {
    const folder = newFolder()
    const unlock = await lockFolder(folder)
    await expect(lockFolder(folder)).rejects.toThrow(DatabaseUnusable)
    await unlock()
    await (
      await lockFolder(folder)
    )()
  })
})

describe('a ledger of a newer program', () => {
  it('is refused by its shape, and by its events', async () => {
    const newer = await openConnections(newFolder())
    await migrate(newer.writer)
    await newer.writer.query(`INSERT INTO migrations (name) VALUES ('9999-later')`)
    await expect(migrate(newer.writer)).rejects.toThrow('written by a newer Ample Tally (9999-later)')
    await newer.writer.query(`DELETE FROM migrations WHERE name = '9999-later'`)
    await newer.writer.getQueryInterface().bulkInsert('events', [toRow({ ...table.events[0]!, version: 7 })])
    await expect(migrate(newer.writer)).rejects.toThrow(`(${table.events[0]!.type} version 7)`)
    await newer.close()
  })
})

describe('events', () => {
  it('come back as they were written, and fold to the same edition', async () => {
    const { events, hash } = await readStream(db.reader, table.stream)
    expect(events).toEqual(
      table.events
        .filter((event) => event.stream === table.stream)
        .map(({ position, stream, seq, type, version, actor, via, occurredAt, claimedAt, data }) => ({
          position,
          stream,
          seq,
          type,
          version,
          actor,
          via,
          occurredAt,
          claimedAt,
          data,
        })),
    )
    expect(hash).toMatch(/^[0-9a-f]{64}$/)
    expect(await readStream(db.reader, 'edition:none')).toEqual({ events: [], hash: chainStart, recordedAt: '' })
    expect(await lastPosition(db.reader)).toBe(table.events.length)
    expect((await eventsAfter(db.reader, 3, 2)).map((event) => event.position)).toEqual([4, 5])
  })

  it('hash the same whatever order their keys were written in', () => {
    const [event] = table.events
    const shuffled = Object.fromEntries(Object.entries(event!).reverse()) as unknown as typeof event
    expect(eventHash(chainStart, shuffled!)).toBe(eventHash(chainStart, event!))
    expect(eventHash('1'.repeat(64), event!)).not.toBe(eventHash(chainStart, event!))
  })

  it('betray a change made behind the program’s back', async () => {
    expect(await allBreaks(db.long, null)).toEqual([])
    const [tampered] = await rows<{ position: number; data: string }>(
      db.reader,
      `SELECT position, data FROM events WHERE type = 'pulled' LIMIT 1`,
    )
    await db.writer.query('DROP TRIGGER events_never_change')
    await db.writer.query('UPDATE events SET data = $1 WHERE position = $2', {
      bind: [tampered!.data.replace('good', 'reject'), tampered!.position],
    })
    expect(await allBreaks(db.long, null)).toEqual([
      { position: tampered!.position, stream: table.stream, what: 'it was changed, or the one before it' },
    ])
    await db.writer.query('UPDATE events SET data = $1 WHERE position = $2', {
      bind: [tampered!.data, tampered!.position],
    })
    expect(await allBreaks(db.long, null)).toEqual([])
  })
})

describe('a moment that an earlier version took', () => {
  // Each as it was stored and hashed, and as everything reads it.
  const recordedAt = '2026-11-30T12:00:00.000Z'
  const odd: [string, string][] = [
    ['2026-335T10:00:00.000Z', recordedAt],
    ['2026-W49-2T10:00:00.000Z', recordedAt],
    ['2026-11-30T10:00:00,000Z', recordedAt],
    ['2026-11-30T10:00:00.000', '2026-11-30T10:00:00.000Z'],
    ['2026-11-30T10:00:00Z', '2026-11-30T10:00:00.000Z'],
    ['2026-11-30T11:00:00+01:00', '2026-11-30T10:00:00.000Z'],
    ['2026-11-30T10:00:00.123Z', '2026-11-30T10:00:00.123Z'],
  ]

  it('is read as the same one, or as when it was recorded; what is stored and hashed stays as it came', async () => {
    const at = await openConnections(newFolder())
    await migrate(at.writer)
    let previous = chainStart
    const rowsIn = odd.map(([occurredAt], i) => {
      const bare = { ...table.events[0]!, stream: 'lot:odd', position: i + 1, seq: i + 1, occurredAt, recordedAt }
      const event = { ...bare, claimedAt: null, hash: eventHash(previous, bare) }
      previous = event.hash
      return toRow(event)
    })
    await at.writer.getQueryInterface().bulkInsert('events', rowsIn)
    expect((await readStream(at.reader, 'lot:odd')).events.map(({ occurredAt }) => occurredAt)).toEqual(
      odd.map(([, read]) => read),
    )
    expect((await eventsAfter(at.reader, 0, 20)).map(({ occurredAt }) => occurredAt)).toEqual(
      odd.map(([, read]) => read),
    )
    expect((await storedEvents(at.reader, 0, 20)).map(({ occurredAt }) => occurredAt)).toEqual(
      odd.map(([stored]) => stored),
    )
    expect(await allBreaks(at.long, null)).toEqual([])
    await at.close()
  })
})

describe('the lists', () => {
  it('are rebuilt when they are missing or old, and left alone when they are not', async () => {
    expect(await rebuildSummaries(db.writer, db.long)).toBe(2)
    const kept = () =>
      rows<{ stream: string; version: number; title: string }>(
        db.reader,
        'SELECT stream, version, title FROM summaries ORDER BY stream',
      )
    expect(await kept()).toEqual([
      { stream: 'edition:e1', version: summaryVersion, title: 'Tide Gauge' },
      { stream: 'lot:l1', version: summaryVersion, title: 'cream laid' },
    ])
    expect(await rebuildSummaries(db.writer, db.long)).toBe(0)
    await db.writer.query(`UPDATE summaries SET version = 0, title = 'old' WHERE stream = 'edition:e1'`)
    expect(await rebuildSummaries(db.writer, db.long)).toBe(1)
    expect((await kept())[0]!.title).toBe('Tide Gauge')
  })

  it('come to an end beside a stream that stands in no list', async () => {
    const [position] = await rows<{ of: number }>(db.reader, 'SELECT max(position) AS of FROM events')
    const first = table.events[0]!
    await db.writer.query(
      `INSERT INTO events (${eventColumns}) SELECT $1, 'block:k1', 1, 'block-kept', 1, actor, via, device, 'c-k1', occurred_at, recorded_at,
        '{"where":"plan chest"}', hash, claimed_at FROM events WHERE position = $2`,
      { bind: [position!.of + 1, first.position] },
    )
    expect(await rebuildSummaries(db.writer, db.long)).toBe(1)
    expect(await rebuildSummaries(db.writer, db.long)).toBe(1)
  })
})
