/** How often a remedy was tried against a fault in this room, and how often it worked. */
export interface Trials {
  worked: number
  tried: number
}

/** By fault and remedy, see `trialKey`. */
export type TrialRecord = Readonly<Record<string, Trials>>

export const trialKey = (fault: string, remedy: string): string => `${fault}: ${remedy}`

/** Two records as one. */
export function together(a: TrialRecord, b: TrialRecord): TrialRecord {
  const sum: Record<string, Trials> = { ...a }
  for (const [key, { worked, tried }] of Object.entries(b)) {
    const before = sum[key] ?? { worked: 0, tried: 0 }
    sum[key] = { worked: before.worked + worked, tried: before.tried + tried }
  }
  return sum
}

/** A record less what one edition added to it. */
export function without(all: TrialRecord, own: TrialRecord): TrialRecord {
  const rest: Record<string, Trials> = { ...all }
  for (const [key, { worked, tried }] of Object.entries(own)) {
    const before = rest[key]
    if (!before) continue
    if (before.tried <= tried) delete rest[key]
    else rest[key] = { worked: before.worked - worked, tried: before.tried - tried }
  }
  return rest
}
