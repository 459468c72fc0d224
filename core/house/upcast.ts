import type { Upcast } from '../ground/act'
import type { Happening } from '../ground/envelope'
import { eventOf } from './acts'
import { withWrittenDays } from './old-days'

/** The version an event is written with today, and what turns each older version into the next. */
interface Versions {
  version: number
  upcasts: readonly Upcast[]
}

const unknownYet: Versions = { version: 1, upcasts: [] }

/** Thrown when the ledger was written by a newer program than this one. */
export class NewerLedgerError extends Error {
  constructor(event: Pick<Happening, 'stream' | 'seq' | 'type' | 'version'>) {
    super(
      `The ledger holds “${event.type}” version ${event.version} at ${event.stream}, number ${event.seq}, which this program does not know. Start the newer program again; nothing was changed.`,
    )
  }
}

/** True when an event was written by a newer program: its version is above the one written here. */
export function isNewer({ type, version }: Pick<Happening, 'type' | 'version'>): boolean {
  return version > (eventOf.get(type)?.version ?? unknownYet.version)
}

/**
 * An event as today's evolvers expect it.
 * @throws NewerLedgerError when its version is above the one we write
 */
export function upcast<Event extends Happening>(event: Event, known: ReadonlyMap<string, Versions> = eventOf): Event {
  const { version, upcasts } = known.get(event.type) ?? unknownYet
  if (event.version > version) throw new NewerLedgerError(event)
  const data = upcasts
    .slice(event.version - 1)
    .reduce((older, step) => step(older), event.data as Record<string, unknown>)
  const written = withWrittenDays(event.type, data)
  return event.version === version && written === event.data ? event : { ...event, version, data: written }
}
