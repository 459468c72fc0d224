import type { CommandRequest } from '#shared/commands/envelope'
import { type Answered, type AnsweredStore, keepCopy, letGoOfPages, readCopy, withKept } from './kept'

/** Stored commands that are kept: an evening's work at a busy press. */
const mostKept = 2_000

/** Which ledger this is, and how far it is the same as the one before. */
export interface Lineage {
  id: string
  from: number
}

/**
 * Keep a command that was stored, without its seal: handed in once more it is its sender's. Nothing depends on it while
 * the ledger is whole.
 */
export async function keepAnswered(answered: Answered): Promise<void> {
  await withKept(async (db) => {
    const tx = db.transaction('answered', 'readwrite')
    await addAnswered(tx.objectStore('answered'), answered)
    await tx.done
  }).catch(() => undefined)
}

/** The same as part of something larger, and let the oldest go. */
export async function addAnswered(
  store: AnsweredStore,
  { command: { proof: _, ...command }, ...answered }: Answered,
): Promise<void> {
  // Plain data: what a form holds is watched, and nothing watched can be kept.
  const key = await store.add(JSON.parse(JSON.stringify({ ...answered, command })) as Answered)
  await store.delete(IDBKeyRange.upperBound(key - mostKept))
}

/**
 * What this browser had stored that the ledger of today lacks: it was put back to an earlier state. What is kept of pages
 * is let go then, since it may be of what is no more.
 * @returns the commands in the order they were given; none while the ledger is the one known here
 */
export async function missingFrom(lineage: Lineage): Promise<CommandRequest[]> {
  const known = await readCopy<string>('lineage')
  if (known === lineage.id) return []
  if (known === undefined) {
    await keepCopy('lineage', lineage.id)
    return []
  }
  await letGoOfPages()
  const all = await withKept((db) => db.getAll('answered')).catch((): Answered[] => [])
  return all.filter((one) => one.lineage !== lineage.id && one.position > lineage.from).map(({ command }) => command)
}

/** From now on this is the ledger that is known here; while it is the one that was, nothing is let go. */
export async function settleLineage(lineage: Lineage): Promise<void> {
  if ((await readCopy<string>('lineage')) === lineage.id) return
  await keepCopy('lineage', lineage.id)
  await withKept((db) => db.clear('answered')).catch(() => undefined)
}
