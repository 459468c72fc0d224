import { planDefaults } from '../plan/plan'
import { lotDefaults } from '../stores/lot'
import { studioDefaults } from '../stores/studio'
import type { Happening } from './envelope'
import { currentVersions } from './versions'

/** Turns the data of one event version into that of the next. Pure. */
export type Upcaster = (data: Record<string, unknown>) => Record<string, unknown>

/** Keyed `type@version`: what turns that version into the next. */
export const upcasters: Record<string, Upcaster> = {
  'edition-started@1': withPlanDefaults,
  'plan-changed@1': withPlanDefaults,
  'sheets-torn@1': (data) => ({ ...data, width: 0, height: 0 }),
  'lot-added@1': (data) => ({ ...data, ...lotDefaults }),
  'lot-torn@1': (data) => ({ ...data, rationId: null }),
  'batch-mixed@1': (data) => ({
    ...data,
    components: (data.components as object[]).map((component) => ({ ...component, tubId: null, batchId: null })),
  }),
  'studio-set@1': (data) => ({ ...data, ...studioDefaults }),
}

function withPlanDefaults(data: Record<string, unknown>): Record<string, unknown> {
  return { ...data, plan: { ...planDefaults, ...(data.plan as object) } }
}

/** Thrown when the ledger was written by a newer program than this one. */
export class NewerLedgerError extends Error {
  constructor(event: Pick<Happening, 'stream' | 'seq' | 'type' | 'version'>) {
    super(
      `The ledger holds “${event.type}” version ${event.version} at ${event.stream}, number ${event.seq}, which this program does not know. Start the newer program again; nothing was changed.`,
    )
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
