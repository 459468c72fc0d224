import { join } from 'node:path'
import { openForReading } from '../database/connections'
import { storedHead } from '../database/heads'
import { type BackupNote, Backups } from './backups'

/** A backup made from the command line, beside a server that runs or without one. */
export async function backUp(dataFolder: string): Promise<{ folder: string; note: BackupNote }> {
  const db = await openForReading(dataFolder)
  try {
    // Read before the copy is made, so that the copy reaches as far at least.
    const head = await storedHead(db)
    const backups = new Backups(db, dataFolder, () => head)
    const note = await backups.make()
    return { folder: join(backups.folder, (await backups.reply()).backups[0]!.name), note }
  } finally {
    await db.close()
  }
}
