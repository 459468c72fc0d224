import { dayIn } from '~/format/days'
import { type Finding, findings } from '#core/care/findings'
import type { AsLeft } from '#core/station/state'

/** Longer than a printing day: whoever opened it has most likely gone home. */
const longestDay = 12 * 3600_000

/** Of a session opened the day before: an evening that goes on over midnight is none that was left open. */
const longestEvening = 6 * 3600_000

/** True when a session was most likely left open. @param at when it was opened */
export function isLeftOpen(at: string, now: number): boolean {
  const open = now - Date.parse(at)
  const isOfAnotherDay = dayIn(at) !== dayIn(now)
  return open > (isOfAnotherDay ? longestEvening : longestDay)
}

/** How a place was, in a line: all right, or what was not. */
export function describeFindings(items: readonly Finding[]): string {
  if (items.length === 0) return 'not looked over'
  const wrong = items.filter(({ isRight }) => !isRight)
  return wrong.length === 0 ? 'all right' : wrong.map(({ key }) => findings[key].wrong).join(', ')
}

/** How a session ended, in a line. */
export function leftWords({ how, items }: AsLeft, nameOf: (id: string) => string, by: string): string {
  if (how === 'taken over') return `left open, taken over by ${nameOf(by)}`
  return how === 'left'
    ? `left ${describeFindings(items)}`
    : `closed by ${nameOf(by)} as it seemed: ${describeFindings(items)}`
}
