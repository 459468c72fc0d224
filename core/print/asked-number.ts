import { roman } from './pencil-line'
import { type ProofSeries, proofSeries } from './series'

/** What somebody looks for: words, and perhaps a sheet’s serial or a print’s number. */
export interface Asked {
  words: string[]
  number: number | null
  /** Series of a number that can be no sheet’s serial; null for one that may be either. */
  series: 'edition' | ProofSeries | null
}

const largest = 5_000
const romans = new Map(Array.from({ length: 200 }, (_, i) => [roman(i + 1).toLowerCase(), i + 1]))
/** Said beside a number, and found nowhere. */
const said = new Set(['sheet', 'sheets', 'number', 'no', 'print', 'of'])

/**
 * Take what was typed apart: “sheet 21 harbour”, “3/20 tide”, “AP II”, “ap 2 lamp”. The first number counts; others are words.
 */
export function asked(text: string): Asked {
  const found: Asked = { words: [], number: null, series: null }
  const parts = text
    .toLowerCase()
    .split(/[\s,;“”"']+/)
    .filter(Boolean)
  for (const [i, part] of parts.entries()) {
    const [whole = '', of] = part.split('/')
    const before = parts[i - 1]?.toUpperCase() as ProofSeries
    const isAfterSeries = proofSeries.includes(before)
    const number = /^\d+$/.test(whole) ? Number(whole) : isAfterSeries ? (romans.get(whole) ?? 0) : 0
    if (found.number === null && number >= 1 && number <= largest && (of === undefined || of !== '')) {
      found.number = number
      if (isAfterSeries) found.series = before
      else if (of !== undefined) found.series = 'edition'
    } else if (!said.has(part) && !proofSeries.includes(part.toUpperCase() as ProofSeries)) found.words.push(part)
  }
  return found
}
