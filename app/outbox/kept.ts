import { type DBSchema, type IDBPDatabase, openDB } from 'idb'
import type { CommandRequest } from '#shared/commands/envelope'

/** A command waiting to be stored, in the order it was given. */
export interface Outgoing extends CommandRequest {
  /** Place in the outbox. */
  order?: number
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
}

let opened: Promise<IDBPDatabase<Kept>> | undefined

/** What this browser keeps through reloads and dead servers. */
export function kept(): Promise<IDBPDatabase<Kept>> {
  opened ??= openDB<Kept>('ample-tally', 1, {
    upgrade(db) {
      db.createObjectStore('outbox', { keyPath: 'order', autoIncrement: true })
      db.createObjectStore('refused', { autoIncrement: true })
      db.createObjectStore('copies')
    },
  })
  return opened
}

/** Keep a copy of what a page shows, for starting without the server. */
export async function keepCopy(key: string, value: unknown): Promise<void> {
  await (await kept()).put('copies', value, key)
}

export async function readCopy<Value>(key: string): Promise<Value | undefined> {
  return (await (await kept()).get('copies', key)) as Value | undefined
}
