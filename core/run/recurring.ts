import { together, trialKey, type TrialRecord } from '../print/remedies'
import type { InClass } from './in-class'

/** A fault that several have, and what mended it in the class. */
export interface Recurring {
  fault: string
  editions: number
  pulls: number
  /** The remedy that worked most often here, or null while none has. */
  mended: { remedy: string; worked: number; tried: number } | null
}

/** Faults that two or more of them have lately, those of the most first. */
export function recurring(benches: readonly Pick<InClass, 'faults' | 'trials'>[]): Recurring[] {
  const trials = benches.reduce<TrialRecord>((sum, bench) => together(sum, bench.trials), {})
  const seen = new Map<string, Recurring>()
  for (const { faults } of benches)
    for (const [fault, pulls] of Object.entries(faults)) {
      const known = seen.get(fault)
      seen.set(fault, {
        fault,
        editions: (known?.editions ?? 0) + 1,
        pulls: (known?.pulls ?? 0) + pulls,
        mended: null,
      })
    }
  return [...seen.values()]
    .filter(({ editions }) => editions > 1)
    .map((one) => ({ ...one, mended: mendedBy(one.fault, trials) }))
    .sort((a, b) => b.editions - a.editions || b.pulls - a.pulls || a.fault.localeCompare(b.fault))
}

/** The remedy that worked best against it. */
function mendedBy(fault: string, trials: TrialRecord): Recurring['mended'] {
  const start = trialKey(fault, '')
  const [best] = Object.entries(trials)
    .filter(([key, { worked }]) => key.startsWith(start) && worked > 0)
    .map(([key, line]) => ({ remedy: key.slice(start.length), ...line }))
    .sort((a, b) => b.worked / b.tried - a.worked / a.tried || b.worked - a.worked)
  return best ?? null
}
