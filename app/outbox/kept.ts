import {
  type DBSchema,
  type IDBPDatabase,
  type IDBPObjectStore,
  type IDBPTransaction,
  openDB,
  type StoreNames,
} from 'idb'
import type { SentEvent } from '#core/ground/envelope'
import type { CommandRequest } from '#shared/commands/envelope'

/** A command waiting to be stored, in the order it was given. */
export interface Outgoing extends CommandRequest {
  /** Place in the outbox. */
  order?: number
}

/** A command that was stored, for when the ledger is put back to before it. */
export interface Answered {
  command: CommandRequest
  position: number
  lineage: string
}

/** A command the server refused, kept until a person has read why. */
export interface Refused {
  command: CommandRequest
  message: string
  at: string
}

interface Kept extends DBSchema {
  outbox: { key: number; value: Outgoing }
  refused: { key: number; value: Refused }
  copies: { key: string; value: unknown }
  /** Events stored since the copy of their stream was made. */
  since: { key: [stream: string, seq: number]; value: SentEvent }
  /** The newest commands that were stored. */
  answered: { key: number; value: Answered }
}

/** The commands that were stored, in a transaction that may change them. */
export type AnsweredStore = IDBPObjectStore<Kept, StoreNames<Kept>[], 'answered', 'readwrite'>

let opened: Promise<IDBPDatabase<Kept>> | undefined

/** Forget a connection that is gone, so that the next who asks opens another. */
const forget = () => {
  opened = undefined
}

/** What this browser keeps through reloads and dead servers. A failed or closed connection is opened again when asked for. */
export function kept(): Promise<IDBPDatabase<Kept>> {
  opened ??= openDB<Kept>('ample-tally', 4, {
    upgrade(db, before, _wanted, tx) {
      if (before < 1) {
        db.createObjectStore('outbox', { keyPath: 'order', autoIncrement: true })
        db.createObjectStore('refused', { autoIncrement: true })
        db.createObjectStore('copies')
      }
      if (before < 2) db.createObjectStore('since', { keyPath: ['stream', 'seq'] })
      if (before < 3) db.createObjectStore('answered', { autoIncrement: true })
      else if (before < 4) void forgetKeys(tx)
    },
    blocking(_current, _wanted, event) {
      // A newer page wants to change what is kept: it must not wait for this one.
      forget()
      ;(event.target as IDBDatabase).close()
    },
    terminated: forget,
  }).catch((error: unknown) => {
    forget()
    throw error
  })
  return opened
}

/** Do something with what is kept; once more on a fresh connection when this one was closed under way. */
export async function withKept<Result>(act: (db: IDBPDatabase<Kept>) => Promise<Result>): Promise<Result> {
  try {
    return await act(await kept())
  } catch (error) {
    if (!(error instanceof DOMException) || error.name !== 'InvalidStateError') throw error
    forget()
    return await act(await kept())
  }
}

/** Ask the browser not to throw away what is kept when its disk runs full. */
export async function askToPersist(): Promise<boolean> {
  return (await navigator.storage?.persist?.().catch(() => false)) ?? false
}

/**
 * Keep a copy of what a page shows, for starting without the server. Nothing depends on it while the server answers.
 * @returns false when this browser cannot keep it
 */
export async function keepCopy(key: string, value: unknown): Promise<boolean> {
  return await withKept((db) => db.put('copies', value, key)).then(
    () => true,
    () => false,
  )
}

/** A copy kept here, if there is one that can be read. */
export async function readCopy<Value>(key: string): Promise<Value | undefined> {
  return (await withKept((db) => db.get('copies', key)).catch(() => undefined)) as Value | undefined
}

/**
 * Earlier versions kept with each command, and with the session, what let whoever read it act as its person. It proves
 * nothing any more, and goes.
 */
async function forgetKeys(tx: IDBPTransaction<Kept, StoreNames<Kept>[], 'versionchange'>): Promise<void> {
  for (const name of ['outbox', 'answered'] as const) {
    for (let at = await tx.objectStore(name).openCursor(); at; at = await at.continue()) {
      const command: Partial<CommandRequest> = 'command' in at.value ? at.value.command : at.value
      delete command.proof
      await at.update(at.value)
    }
  }
  await tx.objectStore('copies').delete('session')
}

const eventsOf = (stream: string, to: number) => IDBKeyRange.bound([stream, 0], [stream, to])

/** What is kept of pages is as one person sees them: when another is here, it goes. */
export async function copiesAreOf(personId: string): Promise<void> {
  if ((await readCopy<string>('copies of')) === personId) return
  await letGoOfPages()
  await keepCopy('copies of', personId)
}

/** Let go of what is kept of pages. */
export async function letGoOfPages(): Promise<void> {
  await withKept(async (db) => {
    const tx = db.transaction(['copies', 'since'], 'readwrite')
    for (const key of await tx.objectStore('copies').getAllKeys())
      if (String(key).includes(':')) await tx.objectStore('copies').delete(key)
    await tx.objectStore('since').clear()
    await tx.done
  }).catch(() => undefined)
}

/** Keep one event beside the copy of its stream: a copy of a long edition is too dear to write at every stroke. */
export async function keepEvent(event: SentEvent): Promise<void> {
  await withKept((db) => db.put('since', event)).catch(() => undefined)
}

/** Events kept since the copy of a stream was made, oldest first. */
export async function eventsSince(stream: string): Promise<SentEvent[]> {
  return await withKept((db) => db.getAll('since', eventsOf(stream, Number.MAX_SAFE_INTEGER))).catch(() => [])
}

/** Let go of events that a new copy holds. */
export async function dropEvents(stream: string, to: number): Promise<void> {
  await withKept((db) => db.delete('since', eventsOf(stream, to))).catch(() => undefined)
}
