import { agree, pluralise } from '../units/pluralise'
import { type CountRow, rowOf } from './count-rows'
import { aliveKinds, type Place } from './places'
import { isLive } from './pull'
import type { EditionState } from './state'
import { isOdd, sheetOddities, standings, tallied, talliedUnder } from './tally'

export interface Count {
  rows: CountRow[]
  /** Sheets made: what the rows must add up to. */
  made: number
  total: number
  balances: boolean
  /** What is wrong and where to look, in sentences; empty when it balances. */
  findings: string[]
  /** Late pulls that wait for a person to settle them. */
  disputed: number
}

/**
 * Reconcile an edition: every sheet in exactly one place, the places adding up to the sheets made, no number used twice
 * nor on a sheet that may carry none. Pure; run after every write and shown on every edition screen.
 */
export function countEdition(state: EditionState): Count {
  const rows = rowsOf(state)
  const total = rows.reduce((sum, row) => sum + row.sheets, 0)
  // Looked for only when something is odd: the tally tells, whatever the size of the edition.
  const findings = isOrdinary(state, total) ? [] : findingsOf(state, total)
  return {
    rows,
    made: state.made,
    total,
    balances: findings.length === 0,
    findings,
    disputed: tallied(state, 'disputed'),
  }
}

function rowsOf(state: EditionState): CountRow[] {
  const known = new Map<string, CountRow & { order: number }>()
  const counts = talliedUnder(state, 'row ')
  for (const { place } of standings(state)) {
    if (known.size === counts.size) break
    const row = rowOf(place)
    if (row && !known.has(row.key)) known.set(row.key, { ...row, sheets: counts.get(row.key)! })
  }
  return [...known.values()].sort((a, b) => a.order - b.order).map(({ key, label, sheets }) => ({ key, label, sheets }))
}

function isOrdinary(state: EditionState, total: number): boolean {
  if (total !== state.made || tallied(state, 'odd sheet') > 0 || tallied(state, 'odd pull') > 0) return false
  return [...talliedUnder(state, 'number ').values()].every((count) => count === 1)
}

function findingsOf(state: EditionState, total: number): string[] {
  return [
    ...sumFindings(state, total),
    ...standings(state).flatMap((standing) => sheetOddities(state, standing)),
    ...pullFindings(state),
    ...numberFindings(state),
  ]
}

function sumFindings(state: EditionState, total: number): string[] {
  if (total === state.made) return []
  const difference = state.made - total
  return [
    difference > 0
      ? `${difference} of ${state.made} sheets ${difference === 1 ? 'is' : 'are'} in no place. Look at what was torn and split.`
      : `${pluralise(-difference, 'sheet')} too many ${agree(-difference, 'is', 'are')} counted. Look at what was torn and split.`,
  ]
}

function pullFindings(state: EditionState): string[] {
  return state.pulls
    .filter((pull) => isOdd(state, pull))
    .map((pull) =>
      isLive(pull)
        ? `Pull ${pull.ordinal} is counted but lies on no sheet.`
        : `Pull ${pull.ordinal} is void but still lies on a sheet.`,
    )
}

function numberFindings(state: EditionState): string[] {
  const used = new Map<string, number>()
  return state.sheets.flatMap((sheet) => {
    if (!sheet.mark || sheet.destroyed?.replaceable) return []
    const label = `${sheet.mark.series} ${sheet.mark.number}`
    const twice = used.get(label)
    used.set(label, sheet.id)
    return twice === undefined ? [] : [`${label} stands on sheets ${twice} and ${sheet.id}.`]
  })
}

/** Sheets in each place of interest, for headings and the strip. */
export interface Figures {
  made: number
  blank: number
  good: number
  doubtful: number
  rejects: number
  numbered: number
  signed: number
  /** Sheets that may still become a print. */
  alive: number
}

export function figures(state: EditionState): Figures {
  const is = (...kinds: Place['kind'][]) => kinds.reduce((sum, kind) => sum + tallied(state, `is ${kind}`), 0)
  return {
    made: state.made,
    blank: is('blank'),
    good: is('good', 'marked'),
    doubtful: is('doubtful'),
    rejects: is('reject'),
    numbered: is('marked'),
    signed: tallied(state, 'is signed'),
    alive: is(...aliveKinds),
  }
}
