import { hasNoRoom } from '../database/durable'
import type { Refusal } from '#core/ground/refusal'

/** A command that the server fell over: nothing of it was done, and the log tells why under the reference. */
export function stumbled(reference: string): Refusal {
  return {
    code: 'stumbled',
    message: `The server stumbled over this and did not do it; nothing else was touched. Reload the page and try again. If it stays, tell the manager the reference ${reference}.`,
  }
}

/** What to tell whoever waits when a group could not be stored. */
export function storageRefusal(error: unknown): Refusal {
  if (hasNoRoom(error)) {
    return {
      code: 'disk-full',
      message:
        'The server’s disk is full, so nothing was stored. Your taps are kept here and are sent again; make room on the disk.',
    }
  }
  if (/SQLITE_BUSY|SQLITE_LOCKED/.test(String((error as Error).message))) {
    return {
      code: 'busy',
      message:
        'The ledger is locked by another program. Your taps are kept and sent again; close whatever has the file open.',
    }
  }
  console.error('The ledger could not store a group of commands:', error)
  return {
    code: 'storage',
    message:
      'The server could not store this. Your taps are kept here and are sent again; ask the manager to look at the server’s log.',
  }
}
