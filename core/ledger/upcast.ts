import type { Happening } from './envelope'

/** Turns the data of one event version into that of the next. Pure. */
export type Upcaster = (data: Record<string, unknown>) => Record<string, unknown>

/** The version each event type is written with today; types not named here are at 1. */
export const currentVersions: Record<string, number> = {}

/** Keyed `type@version`: what turns that version into the next. */
export const upcasters: Record<string, Upcaster> = {}

/** Thrown when the ledger was written by a newer program than this one. */
export class NewerLedgerError extends Error {
  constructor(event: Pick<Happening, 'stream' | 'seq' | 'type' | 'version'>) {
    super(`The ledger holds “${event.type}” version ${event.version} at ${event.stream}, number ${event.seq}, which this program does not know. Start the newer program again; nothing was changed.`)
  }
}

/**
 * An event as today's `evolve` expects it.
 * @throws NewerLedgerError when its version is above the one we write.
 */
export function upcast<Event extends Happening>(event: Event, steps = upcasters, versions = currentVersions): Event {
  const current = versions[event.type] ?? 1
  if (event.version > current) throw new NewerLedgerError(event)
  let { version, data } = event
  while (version < current) {
    const step = steps[`${event.type}@${version}`]
    if (!step) throw new Error(`No way from ${event.type} version ${version} to ${version + 1}.`)
    data = step(data as Record<string, unknown>)
    version += 1
  }
  return version === event.version ? event : { ...event, version, data }
}
