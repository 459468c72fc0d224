import { listed } from './words'

/** Slots as one says them: “slot 4”, “slots 1 to 12 and 20”. */
export function slotWords(slots: readonly number[]): string {
  const runs: [number, number][] = []
  for (const slot of [...slots].sort((a, b) => a - b)) {
    const last = runs.at(-1)
    if (last && last[1] === slot - 1) last[1] = slot
    else runs.push([slot, slot])
  }
  const words = runs.flatMap(([from, to]) =>
    to - from < 2 ? [...new Set([from, to])].map(String) : [`${from} to ${to}`],
  )
  return `${slots.length === 1 ? 'slot' : 'slots'} ${listed(words)}`
}

/** Shelves that stand above one another before the next column begins. */
export const shelvesAColumn = 10
