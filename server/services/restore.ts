import { instantAt } from '#core/time/instant'
import { createHash } from 'node:crypto'
import { existsSync } from 'node:fs'
import { copyFile, mkdir, readdir, readFile, rename, rm } from 'node:fs/promises'
import { join } from 'node:path'
import { allBreaks } from '../database/breaks'
import { DatabaseUnusable, lockFolder, openConnections } from '../database/connections'
import { durable } from '../database/durable'
import { HeadFile, missingFrom, storedHead } from '../database/heads'
import { beginLineage } from '../database/lineage'
import { migrate } from '../database/migrations'
import { type BackupNote, hashOfFile, readNote } from './backups'
import { picturesNamed } from '../database/over-events'

/** A backup that cannot be brought back, with what is wrong. */
export class BackupUnusable extends Error {}

/** What makes up a room's data, in the order it is put aside: as long as the head is there, a missing ledger is noticed. */
const parts = ['ledger.sqlite', 'ledger.sqlite-wal', 'ledger.sqlite-shm', 'pictures', 'head']

/** What was done. */
export interface Restored {
  events: number
  made: string
  /** Where what was there lies now, or null when there was nothing. */
  replaced: string | null
  /** What whoever brings it back should know. */
  remarks: string[]
}

/**
 * Bring a backup back in the place of a data folder's ledger and pictures. It is copied and proved first; what was there is
 * kept beside. From the backup's last event on the ledger goes on as another lineage.
 * @throws BackupUnusable when the backup is not whole
 * @throws DatabaseUnusable when a server runs on the folder
 */
export async function restore(backup: string, dataFolder: string): Promise<Restored> {
  const note = await readNote(backup).catch(() => {
    throw new BackupUnusable(`${backup} holds no backup that can be read: its backup.json is missing or damaged.`)
  })
  await mkdir(dataFolder, { recursive: true, mode: 0o700 })
  const unlock = await lockFolder(dataFolder)
  const stamp = instantAt(Date.now()).slice(0, 19).replaceAll(':', '-')
  const fresh = join(dataFolder, `restoring-${stamp}`)
  try {
    await copyProved(backup, note, fresh)
    const remarks = await prove(fresh, backup, note)
    const replaced = await putAside(dataFolder, join(dataFolder, `replaced-${stamp}`))
    for (const part of parts) if (existsSync(join(fresh, part))) await rename(join(fresh, part), join(dataFolder, part))
    await durable(dataFolder)
    return { events: note.events, made: note.made, replaced, remarks }
  } finally {
    await rm(fresh, { recursive: true, force: true })
    await unlock()
  }
}

/** Copy it, and see that each file is what the backup says it was. */
async function copyProved(backup: string, note: BackupNote, fresh: string): Promise<void> {
  await mkdir(join(fresh, 'pictures'), { recursive: true, mode: 0o700 })
  const copy = (name: string) =>
    copyFile(join(backup, name), join(fresh, name)).catch(() => {
      throw new BackupUnusable(`${name} is missing in ${backup}, or cannot be read.`)
    })
  await copy('ledger.sqlite')
  if ((await hashOfFile(join(fresh, 'ledger.sqlite'))) !== note.ledger)
    throw new BackupUnusable(`The ledger in ${backup} is not the one that was backed up: it was changed or cut short.`)
  for (const name of note.pictures) {
    await copy(`pictures/${name}`)
    const data = await readFile(join(fresh, 'pictures', name))
    if (`${createHash('sha256').update(data).digest('hex')}.webp` !== name)
      throw new BackupUnusable(`The picture ${name} in ${backup} is not the one that was backed up.`)
  }
}

/** Open the copy as the server would, look through all of it, and let it go on as another lineage. */
async function prove(fresh: string, backup: string, note: BackupNote): Promise<string[]> {
  const db = await openConnections(fresh)
  try {
    await migrate(db.writer)
    const remarks: string[] = []
    const head = HeadFile.read(backup)
    if (!head)
      remarks.push('Its head file is missing or damaged. It was compared with what backup.json says of it instead.')
    const kept = head ?? { position: note.events, head: note.head }
    const missing = await missingFrom(db.long, kept)
    if (missing) throw new BackupUnusable(`In ${backup} ${missing}.`)
    const breaks = await allBreaks(db.long, kept)
    if (breaks.length > 0)
      throw new BackupUnusable(`The ledger in ${backup} breaks at event ${breaks[0]!.position}: ${breaks[0]!.what}.`)
    const lost = (await picturesNamed(db.long)).filter((id) => !existsSync(join(fresh, 'pictures', `${id}.webp`)))
    if (lost.length > 0)
      remarks.push(
        `${lost.length === 1 ? 'A picture that is' : `${lost.length} pictures that are`} named in it had been lost before it was made: ${lost.join(', ')}.`,
      )
    await beginLineage(db.writer)
    await db.writer.query('PRAGMA wal_checkpoint(TRUNCATE)')
    const headFile = await HeadFile.open(fresh)
    await headFile.begin(await storedHead(db.long))
    await headFile.close()
    return remarks
  } catch (error) {
    throw error instanceof DatabaseUnusable ? new BackupUnusable(error.message) : error
  } finally {
    await db.close()
  }
}

async function putAside(dataFolder: string, replaced: string): Promise<string | null> {
  const there = (await readdir(dataFolder)).filter((name) => parts.includes(name))
  if (there.length === 0) return null
  await mkdir(replaced, { mode: 0o700 })
  for (const part of parts) if (there.includes(part)) await rename(join(dataFolder, part), join(replaced, part))
  await durable(dataFolder)
  return replaced
}
