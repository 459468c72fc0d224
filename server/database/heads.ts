import { createHash } from 'node:crypto'
import { constants, existsSync, readFileSync } from 'node:fs'
import { type FileHandle, open } from 'node:fs/promises'
import { join } from 'node:path'
import type { Sequelize } from 'sequelize'
import { rows } from './connections'
import { chainStart } from './events'

/** How far the ledger reaches, and what all of it up to there hashes to. */
export interface Head {
  position: number
  head: string
}

export const noHead: Head = { position: 0, head: chainStart }

/** The head once one event more is there. */
export function headAfter(head: string, eventHash: string): string {
  return createHash('sha256').update(head).update(eventHash).digest('hex')
}

/** The head as the ledger itself has it. */
export async function storedHead(db: Sequelize): Promise<Head> {
  const [found] = await rows<Head>(db, 'SELECT position, head FROM heads ORDER BY position DESC LIMIT 1')
  return found ?? noHead
}

const page = 20_000

/** Reckon the head of all events that are there, and keep it: what later ones are chained to. */
export async function chainHead(db: Sequelize): Promise<void> {
  let { position, head } = noHead
  for (;;) {
    const found = await rows<{ position: number; hash: string }>(
      db,
      `SELECT position, hash FROM events WHERE position > $1 ORDER BY position LIMIT ${page}`,
      [position],
    )
    for (const { hash } of found) head = headAfter(head, hash)
    if (found.length > 0) position = found.at(-1)!.position
    if (found.length < page) break
  }
  if (position > 0)
    await db.query('INSERT OR REPLACE INTO heads (position, head) VALUES ($1, $2)', { bind: [position, head] })
}

const slot = 128
const checkOf = (text: string) => createHash('sha256').update(text).digest('hex').slice(0, 16)

/**
 * The head in a small file of its own beside the ledger. It is written after the events are durable and before anyone is
 * told so: what was acknowledged can be missed. Two places in turn, so that a write cut short spoils only the older one.
 */
export class HeadFile {
  private turn = 0

  private constructor(private readonly file: FileHandle) {}

  static async open(folder: string): Promise<HeadFile> {
    return new HeadFile(await open(join(folder, 'head'), constants.O_RDWR | constants.O_CREAT, 0o600))
  }

  /** What a folder's file says, or null when there is none that can be read. */
  static read(folder: string): Head | null {
    const file = join(folder, 'head')
    if (!existsSync(file)) return null
    const text = readFileSync(file, 'latin1')
    const found = [text.slice(0, slot), text.slice(slot, 2 * slot)].flatMap((line) => {
      const [position = '', head = '', check = ''] = line.trim().split(' ')
      return check !== '' && check === checkOf(`${position} ${head}`) ? [{ position: Number(position), head }] : []
    })
    return found.sort((a, b) => b.position - a.position)[0] ?? null
  }

  /** Durable when it resolves. */
  async write({ position, head }: Head): Promise<void> {
    const text = `${position} ${head}`
    const line = Buffer.from(`${text} ${checkOf(text)}\n`.padEnd(slot, ' '), 'latin1')
    this.turn = 1 - this.turn
    await this.file.write(line, 0, slot, this.turn * slot)
    await this.file.datasync()
  }

  /** Write both places: nothing of what stood there before counts any more. */
  async begin(head: Head): Promise<void> {
    await this.write(head)
    await this.write(head)
  }

  async close(): Promise<void> {
    await this.file.close()
  }
}

/** Why a ledger is not all that was acknowledged, in words, or null when nothing speaks against it. */
export async function missingFrom(db: Sequelize, kept: Head | null): Promise<string | null> {
  const [found] = await rows<{ events: number; first: number | null; last: number | null }>(
    db,
    'SELECT count(*) AS events, min(position) AS first, max(position) AS last FROM events',
  )
  const last = found!.last ?? 0
  if (kept && kept.position > last)
    return `${kept.position - last} of the newest events are missing: the last that was acknowledged is number ${kept.position}, and the ledger ends at ${last}`
  if (found!.events !== last || (last > 0 && found!.first !== 1))
    return `${last - found!.events} events are missing within the ledger`
  const head = await storedHead(db)
  if (head.position !== last) return `the ledger ends at event ${last}, its own head at ${head.position}`
  if (!kept) return null
  const [at] = await rows<{ head: string }>(db, 'SELECT head FROM heads WHERE position = $1', [kept.position])
  return kept.position === 0 || at?.head === kept.head
    ? null
    : `event ${kept.position} is not the one that was acknowledged under that number`
}
