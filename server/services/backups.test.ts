import { appendFileSync, existsSync, readFileSync, rmSync, truncateSync, writeFileSync } from 'node:fs'
import { readdir } from 'node:fs/promises'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { keptFolder } from '../../tests/fixtures/kept-data'
import { newFolder } from '../../tests/fixtures/server'
import { rows } from '../database/connections'
import { lineageOf } from '../database/lineage'
import { backUp } from './back-up'
import { openPressroom, type Pressroom } from './pressroom'
import { restore } from './restore'

/** The demo as the program before sign-ins left it, brought to this one’s shape by opening it. */
let folder: string
let room: Pressroom | null = null

beforeEach(async () => {
  folder = keptFolder('before-sign-ins')
  room = await openPressroom(folder, true)
})
afterEach(async () => {
  await room?.close()
  room = null
})

const close = async () => {
  await room?.close()
  room = null
}
const reopen = async (at = folder) => (room = await openPressroom(at, true))
const people = () => room!.people.all().map(({ name }) => name)

async function change(): Promise<void> {
  const manager = room!.people.all().find(({ role }) => role === 'manager')!
  const added = await room!.people.add('Late Comer', 'member', '2580', manager)
  if ('refusal' in added) throw new Error(added.refusal.message)
}

describe('a backup', () => {
  it('of a room that lost a picture says so, and comes back with a remark', async () => {
    const lost = picture(folder)
    rmSync(lost)
    const told = vi.spyOn(console, 'error').mockImplementation(() => undefined)
    const { folder: backup, note } = await backUp(folder)
    expect(told).toHaveBeenCalledWith(expect.stringContaining('1 pictures that events name are missing'))
    told.mockRestore()
    expect(note.lost).toHaveLength(1)
    expect((await room!.backups.reply()).backups[0]).toMatchObject({ lost: 1 })
    await close()
    const { remarks } = await restore(backup, newFolder())
    expect(remarks).toEqual([expect.stringContaining(note.lost![0]!)])
  })

  it('without its head is told, and compared with its note', async () => {
    const { folder: backup } = await backUp(folder)
    rmSync(join(backup, 'head'))
    const { remarks } = await restore(backup, newFolder())
    expect(remarks).toEqual([expect.stringContaining('head file is missing')])
    const note = JSON.parse(readFileSync(join(backup, 'backup.json'), 'utf8')) as { events: number }
    writeFileSync(join(backup, 'backup.json'), JSON.stringify({ ...note, events: note.events + 1 }))
    await expect(restore(backup, newFolder())).rejects.toThrow('newest events are missing')
  })

  it.each([
    ['a picture outside it', { pictures: ['../../climbed'] }],
    ['a picture of another name', { pictures: ['x.webp'] }],
    ['no list of pictures', { pictures: 'all' }],
    ['no day', { made: 'yesterday' }],
    ['half an event', { events: 1.5 }],
    ['a ledger that is no hash', { ledger: '../ledger.sqlite' }],
  ])('whose note names %s is refused, and writes nothing anywhere', async (_, change) => {
    const { folder: backup } = await backUp(folder)
    const note = JSON.parse(readFileSync(join(backup, 'backup.json'), 'utf8')) as object
    writeFileSync(join(backup, 'backup.json'), JSON.stringify({ ...note, ...change }))
    writeFileSync(join(backup, '..', 'climbed'), 'x')
    const [above, into] = [newFolder(), newFolder()]
    await expect(restore(backup, join(into, 'data'))).rejects.toThrow('backup.json is missing or damaged')
    expect([await readdir(above), await readdir(into)]).toEqual([[], []])
  })

  it('is made while the room goes on, and brings it back as it was', async () => {
    const { folder: backup, note } = await (async () => {
      const made = await room!.backups.make()
      return { folder: join(room!.backups.folder, (await room!.backups.reply()).backups[0]!.name), note: made }
    })()
    expect(note).toMatchObject({ events: room!.ledger.position, head: room!.ledger.reach.head })
    expect(note.pictures).toHaveLength((await readdir(join(folder, 'pictures'))).length)
    const [then, lineage] = [people(), await lineageOf(room!.db.reader)]
    await change()
    expect(people()).not.toEqual(then)
    await close()
    const { events, replaced } = await restore(backup, folder)
    expect(events).toBe(note.events)
    await reopen()
    expect(people()).toEqual(then)
    expect(room!.lineage).toEqual({ id: expect.not.stringMatching(lineage.id), from: note.events })
    // What was there is kept, and can be opened.
    await close()
    await reopen(replaced!)
    expect(people()).toContain('Late Comer')
  })

  it('is made from the command line, beside the server or without it', async () => {
    const beside = await backUp(folder)
    expect(beside.note.events).toBe(room!.ledger.position)
    await close()
    rmSync(beside.folder, { recursive: true })
    const { note, folder: backup } = await backUp(folder)
    expect(note.events).toBe(beside.note.events)
    const empty = newFolder()
    expect(await restore(backup, empty)).toMatchObject({ events: note.events, replaced: null })
  })

  it('is brought back to a folder that a server uses by nobody', async () => {
    const { folder: backup } = await backUp(folder)
    await expect(restore(backup, folder)).rejects.toThrow('already running')
  })

  it.each([
    ['one changed byte', (backup: string) => flip(join(backup, 'ledger.sqlite')), /changed or cut short/],
    [
      'a ledger cut short',
      (backup: string) => truncateSync(join(backup, 'ledger.sqlite'), 50_000),
      /changed or cut short/,
    ],
    ['no ledger', (backup: string) => rmSync(join(backup, 'ledger.sqlite')), /ledger.sqlite is missing/],
    ['no note', (backup: string) => rmSync(join(backup, 'backup.json')), /backup.json is missing/],
    [
      'a picture changed',
      (backup: string) => appendFileSync(picture(backup), 'x'),
      /is not the one that was backed up/,
    ],
    ['a picture missing', (backup: string) => rmSync(picture(backup)), /is missing in/],
  ])('with %s is refused, and what is there stays', async (_, spoil, words) => {
    const { folder: backup } = await backUp(folder)
    await close()
    spoil(backup)
    const before = readFileSync(join(folder, 'ledger.sqlite'))
    await expect(restore(backup, folder)).rejects.toThrow(words)
    expect(readFileSync(join(folder, 'ledger.sqlite')).equals(before)).toBe(true)
    expect((await readdir(folder)).filter((name) => name.startsWith('rest'))).toEqual([])
    await reopen()
  })
})

const picture = (backup: string) =>
  join(backup, 'pictures', '06511ee50411b658253a3d9a9b46842b383eae45734b5f16e56e99993d47749b.webp')

function flip(file: string): void {
  const bytes = readFileSync(file)
  bytes[20_000]! ^= 1
  writeFileSync(file, bytes)
}

describe('a start', () => {
  it('finds out when the newest events or the journal are gone', async () => {
    const old = readFileSync(join(folder, 'ledger.sqlite'))
    await change()
    await close()
    writeFileSync(join(folder, 'ledger.sqlite'), old)
    for (const part of ['ledger.sqlite-wal', 'ledger.sqlite-shm']) rmSync(join(folder, part), { force: true })
    await expect(openPressroom(folder, true)).rejects.toThrow(/of the newest events are missing.*npm run restore/)
    // Whoever knows goes on, as another lineage, and is not asked again.
    process.env.AMPLE_TALLY_AS_IT_IS = '1'
    const warned = vi.spyOn(console, 'warn').mockImplementation(() => undefined)
    await reopen().finally(() => delete process.env.AMPLE_TALLY_AS_IT_IS)
    expect(warned).toHaveBeenCalledWith(expect.stringContaining('It goes on as it is'))
    warned.mockRestore()
    const { from } = room!.lineage
    expect(from).toBe(room!.ledger.position)
    await close()
    await reopen()
    expect(room!.lineage.from).toBe(from)
  })

  it('as it is, shows what is there: lists are built anew, and a command of what is gone is forgotten', async () => {
    await change()
    const { db, ledger } = room!
    const last = ledger.position
    const people = (await rows<{ id: string }>(db.reader, 'SELECT id FROM commands')).length
    await db.writer.query('DROP TRIGGER events_never_go')
    await db.writer.query('DELETE FROM events WHERE position > $1', { bind: [last - 2] })
    await db.writer.query(`UPDATE summaries SET title = 'stale' WHERE kind = 'edition'`)
    await close()
    process.env.AMPLE_TALLY_AS_IT_IS = '1'
    const warned = vi.spyOn(console, 'warn').mockImplementation(() => undefined)
    await reopen().finally(() => delete process.env.AMPLE_TALLY_AS_IT_IS)
    warned.mockRestore()
    expect(room!.ledger.position).toBe(last - 2)
    const reader = room!.db.reader
    expect(await rows(reader, `SELECT title FROM summaries WHERE title = 'stale'`)).toEqual([])
    expect((await rows(reader, `SELECT stream FROM summaries WHERE kind = 'edition'`)).length).toBeGreaterThan(3)
    const left = await rows<{ at: number }>(reader, `SELECT max(reply ->> '$.position') AS at FROM commands`)
    expect(left[0]!.at).toBeLessThanOrEqual(last - 2)
    expect((await rows(reader, 'SELECT id FROM commands')).length).toBeLessThan(people)
  })

  it('takes no empty or missing ledger for a new room', async () => {
    await close()
    truncateSync(join(folder, 'ledger.sqlite'), 0)
    await expect(openPressroom(folder, true)).rejects.toThrow('is empty, though this folder has held a pressroom')
    rmSync(join(folder, 'ledger.sqlite'))
    await expect(openPressroom(folder, true)).rejects.toThrow('is not there, though')
    expect(existsSync(join(folder, 'ledger.sqlite'))).toBe(false)
  })

  it('shuts its folder and files to everyone else', async () => {
    const { statSync } = await import('node:fs')
    const mode = (name: string) => (statSync(join(folder, name)).mode & 0o777).toString(8)
    expect([mode('.'), mode('ledger.sqlite'), mode('pictures'), mode('session-secret'), mode('head')]).toEqual([
      '700',
      '600',
      '700',
      '600',
      '600',
    ])
    expect(await rows(room!.db.reader, 'SELECT 1 AS one')).toEqual([{ one: 1 }])
  })
})
