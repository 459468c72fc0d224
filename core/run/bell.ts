import { chanceOfGood } from '../plan/beta-binomial'
import type { BetaRate } from '../plan/odds'

/** What somebody has before the bell. */
export interface BeforeBell {
  /** Minutes until it rings; below 0 when it has. */
  minutes: number
  /** Minutes a pull takes. */
  pace: number
  /** Sheets that wait for this layer. */
  sheets: number
  /** Good ones still wanted of it. */
  needed: number
  rate: BetaRate
}

/** What would lift the chance to the share asked for: only what helps is named. */
export interface BellHelp {
  /** Minutes more, with the sheets in hand, or null when those are too few. */
  minutes: number | null
  /** Sheets more, in the time that is left, or null when that is too short. */
  sheets: number | null
  /** Where neither is enough alone. */
  both: { minutes: number; sheets: number } | null
  /** Good ones fewer that are asked for. */
  fewer: number
}

export interface ByTheBell {
  /** Pulls that still fit. */
  pulls: number
  chance: number
  /** Null where the chance is as good as asked. */
  help: BellHelp | null
}

/** What a quotient may miss of a whole number that it is. */
const aHair = 1e-9

/** Nobody has asked for more pulls of one person in an evening. */
const mostPulls = 600

/**
 * Whether somebody will be done by the bell (models.md, M19): the pulls that fit, capped by the sheets in hand, each good at
 * the rate that M3 knows; and the least that lifts the chance to the share asked for.
 * @param wanted 0 to 1
 */
export function byTheBell({ minutes, pace, sheets, needed, rate }: BeforeBell, wanted = 0.8): ByTheBell {
  const fitting = (time: number) => Math.max(0, Math.floor(time / pace + aHair))
  const pulls = Math.min(fitting(minutes), sheets)
  const chance = chanceOfGood(needed, pulls, rate)
  if (chance >= wanted) return { pulls, chance, help: null }
  const least = leastPulls(needed, rate, wanted)
  const moreMinutes = Math.ceil((least - aHair) * pace - Math.max(0, minutes))
  const isTime = least <= fitting(minutes)
  const isPaper = least <= sheets
  return {
    pulls,
    chance,
    help: {
      minutes: isPaper ? Math.max(1, moreMinutes) : null,
      sheets: isTime ? least - sheets : null,
      both: !isPaper && !isTime ? { minutes: Math.max(1, moreMinutes), sheets: least - sheets } : null,
      fewer: fewerNeeded(needed, pulls, rate, wanted),
    },
  }
}

/** Pulls that are enough for so many good ones. */
function leastPulls(needed: number, rate: BetaRate, wanted: number): number {
  let [low, high] = [needed, mostPulls]
  while (low < high) {
    const middle = (low + high) >> 1
    if (chanceOfGood(needed, middle, rate) >= wanted) high = middle
    else low = middle + 1
  }
  return low
}

function fewerNeeded(needed: number, pulls: number, rate: BetaRate, wanted: number): number {
  let fewer = 1
  while (fewer < needed && chanceOfGood(needed - fewer, pulls, rate) < wanted) fewer++
  return fewer
}
