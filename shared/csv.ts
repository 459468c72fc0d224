import Papa from 'papaparse'

/**
 * What a spreadsheet would run: a cell that begins with one of these signs, in either width, whatever blanks or line ends
 * stand before it or follow. A plain amount below 0 is none.
 */
const formula = /^(?![+-]\d+(\.\d+)?$)[\s\p{Cc}\u200b\ufeff]*[=+\-@|＝＋－＠]/u

interface Layout {
  /** The columns in order; those of the first row when not given. */
  columns?: readonly string[]
  /** False for rows that continue a table. */
  header?: boolean
}

/**
 * Rows as CSV (RFC 4180), the one way for every table that leaves the room. A text that would be run as a formula is led
 * by an apostrophe; numbers stay numbers.
 */
export function csvOf(rows: readonly object[], { columns, header = true }: Layout = {}): string {
  return Papa.unparse([...rows], {
    header,
    escapeFormulae: formula,
    ...(columns === undefined ? {} : { columns: [...columns] }),
  })
}
