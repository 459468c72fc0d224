import { createHash } from 'node:crypto'
import { createReadStream, existsSync } from 'node:fs'
import { chmod, copyFile, mkdir, readdir, readFile, rename, rm, stat, writeFile } from 'node:fs/promises'
import { join, resolve } from 'node:path'
import type { Sequelize } from 'sequelize'
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
  bytes: number
}

const minute = 60_000
const hour = 60 * minute

/** Names sort by time: `2026-11-25T23-10-04Z`. */
const nameFor = (at: Date) => `${at.toISOString().slice(0, 19).replaceAll(':', '-')}Z`
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
  private timer: ReturnType<typeof setInterval> | null = null

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
      const newest = (await this.list())[0]
      if (newest && Date.now() - Date.parse(newest.at) < 23 * hour) return
      await this.make()
      for (const { name } of (await this.list()).slice(backupsKept))
        await rm(join(this.folder, name), { recursive: true })
    }
    const tryIt = () =>
      void look().catch((error: unknown) => console.error('The nightly backup could not be made:', error))
    // In the small hours, or when the machine was off then, soon after it is on again.
    this.timer = setInterval(() => {
      if (new Date().getHours() === 3) tryIt()
    }, hour / 2)
    setTimeout(tryIt, 60_000).unref()
  }

  stop(): void {
    if (this.timer) clearInterval(this.timer)
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
        return note ? [{ name, at: note.made, events: note.events, bytes: note.bytes }] : []
      }),
    )
    return notes.flat().sort((a, b) => b.name.localeCompare(a.name))
  }

  private async makeNow(): Promise<BackupNote> {
    const made = new Date()
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
      return note
    } catch (error) {
      await rm(draft, { recursive: true, force: true })
      throw error
    }
  }

  private async fill(draft: string, made: Date): Promise<BackupNote> {
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
    const { size } = await stat(ledger)
    const note: BackupNote = {
      made: made.toISOString(),
      events: before.position,
      head: before.head,
      ledger: await hashOfFile(ledger),
      pictures,
      bytes: size,
    }
    await writeFile(join(draft, 'backup.json'), `${JSON.stringify(note, null, 2)}\n`, { mode: 0o600 })
    for (const name of ['ledger.sqlite', 'backup.json', '.']) await durable(join(draft, name))
    return note
  }

  /** Pictures are never changed, so a copy is whole whenever it is made; one that comes later is named by later events. */
  private async copyPictures(to: string): Promise<string[]> {
    const from = join(this.dataFolder, 'pictures')
    const names = (await readdir(from)).filter((name) => /^[0-9a-f]{64}\.webp$/.test(name)).sort()
    for (const name of names) await copyFile(join(from, name), join(to, name))
    return names
  }
}

export async function readNote(backup: string): Promise<BackupNote> {
  return JSON.parse(await readFile(join(backup, 'backup.json'), 'utf8')) as BackupNote
}
