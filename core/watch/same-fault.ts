/** The plain rule beside the score: the same fault on three of the last five pulls (models.md, M11). */
export const ofLast = 5
export const timesAlike = 3

/** A fault that came on three of the last five pulls. */
export interface SameFault {
  fault: string
  times: number
  of: number
}

/** @param faults of the pulls in their order, the newest last */
export function sameFault(faults: readonly (readonly string[])[]): SameFault | null {
  const last = faults.slice(-ofLast)
  const times = new Map<string, number>()
  for (const named of last) for (const fault of new Set(named)) times.set(fault, (times.get(fault) ?? 0) + 1)
  const [most] = [...times].sort((a, b) => b[1] - a[1])
  return most && most[1] >= timesAlike ? { fault: most[0], times: most[1], of: last.length } : null
}

/**
 * Pulls until that rule speaks by chance, on average, while every pull that is not good has one and the same fault. The
 * states are the last four pulls; those in which it has spoken already are left out.
 * @param share of pulls with the fault, above 0, at most 1
 */
export function sameFaultFalseAfter(share: number): number {
  const kept = ofLast - 1
  const states = 1 << kept
  const ones = (bits: number) => bits.toString(2).replaceAll('0', '').length
  // L_s = 1 + (1 − p)·L_(s, good) + p·L_(s, fault), the last left out where the rule speaks.
  const rows = Array.from({ length: states }, (_, state) => {
    const row = new Float64Array(states + 1)
    row[state] = 1
    row[states] = 1
    const good = (state << 1) & (states - 1)
    row[good]! -= 1 - share
    if (ones(state) + 1 < timesAlike) row[good | 1]! -= share
    return row
  })
  for (let i = states - 1; i > 0; i--) {
    const pivot = rows[i]!
    for (let k = 0; k < i; k++) {
      const factor = rows[k]![i]! / pivot[i]!
      if (factor !== 0) for (let j = 0; j <= states; j++) rows[k]![j]! -= factor * pivot[j]!
    }
  }
  return rows[0]![states]! / rows[0]![0]!
}
