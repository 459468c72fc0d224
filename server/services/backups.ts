import { minuteOfLocal } from '#core/time/room-clock'
import { dayOf, daysAfter, type RoomDay } from '#core/time/room-day'
import { hereZone } from '#core/time/zone'
import { type Instant, instantAt } from '#core/time/instant'
import { createHash } from 'node:crypto'
import { createReadStream, existsSync } from 'node:fs'
import { chmod, copyFile, mkdir, readdir, readFile, rename, rm, stat, writeFile } from 'node:fs/promises'
import { join, resolve } from 'node:path'
import type { Sequelize } from 'sequelize'
import { picturesNamed } from '../database/over-events'
import type { StudioState } from '#core/stores/studio/state'
import type { BackupsReply } from '#shared/replies/replies'
import { durable } from '../database/durable'
import { type Head, HeadFile } from '../database/heads'

/** What a backup says of itself, in `backup.json`. */
export interface BackupNote {
  made: string
  events: number
  head: string
  /** SHA-256 of its `ledger.sqlite`. */
  ledger: string
  pictures: string[]
  /** Pictures that events name and that were gone when it was made; none in backups of earlier versions. */
  lost?: string[]
  bytes: number
}

/** How a picture's file is called: after its content. */
export const pictureName = /^[0-9a-f]{64}\.webp$/

const minute = 60_000
const hour = 60 * minute

/** Names sort by time: `2026-11-25T23-10-04Z`. */
const nameFor = (at: Instant) => `${at.slice(0, 19).replaceAll(':', '-')}Z`
const pattern = /^\d{4}-\d\d-\d\dT\d\d-\d\d-\d\dZ$/

/** SHA-256 of a file, hex. */
export async function hashOfFile(file: string): Promise<string> {
  const hash = createHash('sha256')
  for await (const chunk of createReadStream(file)) hash.update(chunk as Buffer)
  return hash.digest('hex')
}

/** Whole copies of the room, made while it runs: the ledger as of one moment, its head, and every picture. */
export class Backups {
  readonly folder: string
  private running: Promise<BackupNote> | null = null
  private newest: { note: BackupNote; madeAt: number } | null = null
  private seen: { at: number; newest: number | null } | null = null
  private timer: ReturnType<typeof setInterval> | null = null
  private soon: ReturnType<typeof setTimeout> | undefined
  private looking: Promise<void> | null = null

  constructor(
    private readonly db: Sequelize,
    private readonly dataFolder: string,
    private readonly reach: () => Head,
  ) {
    this.folder = resolve(process.env.AMPLE_TALLY_BACKUPS || join(dataFolder, 'backups'))
  }

  /** Make one now, or wait for the one that is being made; one of this minute is new enough. */
  async make(): Promise<BackupNote> {
    if (this.newest && performance.now() - this.newest.madeAt < minute) return this.newest.note
    this.running ??= this.makeNow().finally(() => {
      this.running = null
    })
    return await this.running
  }

  /** Make one each night when it is asked for, and keep so many. */
  everyNight(studio: () => Promise<Pick<StudioState, 'backupsKept'>>): void {
    const look = async () => {
      const { backupsKept } = await studio()
      if (backupsKept === 0) return
      const newest = await this.newestGood()
      if (newest !== null && newest >= lastNight(Date.now())) return
      await this.make()
      for (const { name } of (await this.list()).slice(backupsKept))
        await rm(join(this.folder, name), { recursive: true })
    }
    const tryIt = () => {
      // One look at a time: a slow disk must not gather them.
      this.looking ??= look()
        .catch((error: unknown) => console.error('The nightly backup could not be made:', error))
        .finally(() => {
          this.looking = null
        })
    }
    // Looked at often: a machine that slept at three makes it soon after it wakes.
    this.timer = setInterval(tryIt, hour / 2)
    this.soon = setTimeout(tryIt, 60_000).unref()
  }

  /**
   * When the newest good backup was made, where that is more than two days ago.
   * @param since when the room began
   * @returns null while there is a newer one
   */
  async late(now: number, since: number): Promise<{ at: string | null } | null> {
    if (!this.seen || now - this.seen.at > minute) this.seen = { at: now, newest: await this.newestGood() }
    const { newest } = this.seen
    if (now - (newest ?? since) <= 2 * 24 * hour) return null
    return { at: newest === null ? null : instantAt(newest) }
  }

  /** When the newest backup was made, or null. One that says it was made later than now is of a wrong clock, and proves nothing. */
  async newestGood(): Promise<number | null> {
    const made = (await this.list()).map(({ at }) => Date.parse(at)).filter((at) => at <= Date.now() + minute)
    return made.length > 0 ? Math.max(...made) : null
  }

  /** Look no more; resolves when what is being made is made. */
  async stop(): Promise<void> {
    if (this.timer) clearInterval(this.timer)
    clearTimeout(this.soon)
    await this.looked()
  }

  /** Resolves when the look that is under way, if any, has come to its end, with the backup it makes. */
  async looked(): Promise<void> {
    await this.looking
  }

  async reply(): Promise<BackupsReply> {
    return { folder: this.folder, isRunning: this.running !== null, backups: await this.list() }
  }

  private async list(): Promise<BackupsReply['backups']> {
    if (!existsSync(this.folder)) return []
    const names = (await readdir(this.folder)).filter((name) => pattern.test(name))
    const notes = await Promise.all(
      names.map(async (name) => {
        const note = await readNote(join(this.folder, name)).catch(() => null)
        if (!note) return []
        return [{ name, at: note.made, events: note.events, bytes: note.bytes, lost: note.lost?.length ?? 0 }]
      }),
    )
    return notes.flat().sort((a, b) => b.name.localeCompare(a.name))
  }

  private async makeNow(): Promise<BackupNote> {
    const made = instantAt(Date.now())
    const place = join(this.folder, nameFor(made))
    const draft = `${place}.draft`
    await mkdir(this.folder, { recursive: true, mode: 0o700 })
    await rm(draft, { recursive: true, force: true })
    await mkdir(join(draft, 'pictures'), { recursive: true, mode: 0o700 })
    try {
      const note = await this.fill(draft, made)
      await rename(draft, place)
      await durable(this.folder)
      this.newest = { note, madeAt: performance.now() }
      this.seen = null
      return note
    } catch (error) {
      await rm(draft, { recursive: true, force: true })
      throw error
    }
  }

  private async fill(draft: string, made: Instant): Promise<BackupNote> {
    const ledger = join(draft, 'ledger.sqlite')
    // It reads one moment of the ledger while pulls go on being stored.
    const before = this.reach()
    await this.db.query('PRAGMA query_only = OFF')
    try {
      await this.db.query('VACUUM INTO $1', { bind: [ledger] })
    } finally {
      await this.db.query('PRAGMA query_only = ON')
    }
    await chmod(ledger, 0o600)
    const pictures = await this.copyPictures(join(draft, 'pictures'))
    const head = await HeadFile.open(draft)
    await head.begin(before)
    await head.close()
    const there = new Set(pictures)
    const lost = (await picturesNamed(this.db)).filter((id) => !there.has(`${id}.webp`))
    if (lost.length > 0)
      console.error(`${lost.length} pictures that events name are missing in ${this.dataFolder}: ${lost.join(', ')}`)
    const { size } = await stat(ledger)
    const note: BackupNote = {
      made,
      events: before.position,
      head: before.head,
      ledger: await hashOfFile(ledger),
      pictures,
      lost,
      bytes: size,
    }
    await writeFile(join(draft, 'backup.json'), `${JSON.stringify(note, null, 2)}\n`, { mode: 0o600 })
    for (const name of ['ledger.sqlite', 'backup.json', '.']) await durable(join(draft, name))
    return note
  }

  /** Pictures are never changed, so a copy is whole whenever it is made; one that comes later is named by later events. */
  private async copyPictures(to: string): Promise<string[]> {
    const from = join(this.dataFolder, 'pictures')
    const names = (await readdir(from)).filter((name) => pictureName.test(name)).sort()
    for (const name of names) await copyFile(join(from, name), join(to, name))
    return names
  }
}

/** Three in the morning of the machine's own clock, the last one before a moment. */
function lastNight(now: number): number {
  const zone = hereZone()
  const nightOf = (day: RoomDay) => minuteOfLocal(`${day}T03:00`, zone)! * 60_000
  const today = dayOf(now, zone)
  return nightOf(today) <= now ? nightOf(today) : nightOf(daysAfter(today, -1))
}

const isHash = (text: unknown): boolean => typeof text === 'string' && /^[0-9a-f]{64}$/.test(text)

/** What a backup says of itself. @throws Error when that is damaged, or names anything but content */
export async function readNote(backup: string): Promise<BackupNote> {
  const note = JSON.parse(await readFile(join(backup, 'backup.json'), 'utf8')) as BackupNote
  const isNote =
    typeof note === 'object' &&
    !Number.isNaN(Date.parse(note.made)) &&
    Number.isSafeInteger(note.events) &&
    isHash(note.head) &&
    isHash(note.ledger) &&
    Array.isArray(note.pictures) &&
    note.pictures.every((name) => typeof name === 'string' && pictureName.test(name)) &&
    (note.lost === undefined || (Array.isArray(note.lost) && note.lost.every(isHash)))
  if (!isNote) throw new Error('damaged')
  return note
}
