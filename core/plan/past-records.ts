import { type PastEditionRow, readPastEdition, type ReadRows } from './past-editions'

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/** Sum of a whole number in each of a list; a list that is none counts as empty. */
function sumOf(list: unknown, of: (one: Record<string, unknown>) => unknown): number {
  return Array.isArray(list)
    ? list.filter(isObject).reduce((sum, one) => sum + (Number.isInteger(of(one)) ? (of(one) as number) : 0), 0)
    : 0
}

/**
 * What an edition record (docs/formats.md), of this room or another, says as totals: its pulls over all layers, the prints
 * that were numbered, and those destroyed afterwards.
 */
export function readPastRecord(record: unknown): PastEditionRow | { fault: string } {
  if (!isObject(record) || record.format !== 'ample-tally edition record')
    return { fault: 'This is no edition record. Hand in what Close gives out as JSON.' }
  if (record.version !== 1)
    return {
      fault: `The record is of version ${String(record.version)}; this program reads version 1. Use the newer one.`,
    }
  const { title, method, plan, layers, series } = record
  const rejected = sumOf(layers, ({ rejects }) => rejects)
  const text = (value: unknown) => (typeof value === 'string' ? value : '')
  return readPastEdition({
    title: text(title),
    method: text(method),
    work: isObject(plan) ? text(plan.work) : '',
    passed: String(sumOf(layers, ({ pulls }) => pulls) - rejected),
    rejected: String(rejected),
    finished: String(sumOf(series, ({ given }) => given)),
    lost: String(sumOf(series, ({ destroyed }) => destroyed)),
  })
}

/** Several record files, each a row or its fault by its place. */
export function readPastRecords(files: readonly string[]): ReadRows {
  const read: ReadRows = { rows: [], faults: [] }
  files.forEach((text, i) => {
    let record: unknown
    try {
      record = JSON.parse(text)
    } catch {
      read.faults.push({ line: i + 1, message: 'The file is no JSON, or was cut. Fetch it again.' })
      return
    }
    const row = readPastRecord(record)
    if ('fault' in row) read.faults.push({ line: i + 1, message: row.fault })
    else read.rows.push(row)
  })
  return read
}
