import { IsIn, IsInt, Length, Max, Min } from 'class-validator'
import { type Method, methods } from './plan'
import { type Work, works } from './work'

const mostPulls = 100_000

/** One edition from before the ledger, as totals. It feeds pass rates and never becomes pulls. */
export class PastEditionRow {
  @Length(1, 120) title!: string
  @IsIn(methods) method!: Method
  @IsIn(works) work!: Work
  /** Pulls that passed and that did not, over all layers; warm-up and proofs left out. */
  @IsInt() @Min(0) @Max(mostPulls) passed!: number
  @IsInt() @Min(0) @Max(mostPulls) rejected!: number
  /** Finished prints that were numbered, and those lost in curating, colouring or signing. */
  @IsInt() @Min(0) @Max(mostPulls) finished!: number
  @IsInt() @Min(0) @Max(mostPulls) lost!: number
}

export interface PastEdition extends PastEditionRow {
  id: string
}

/** Columns of the CSV, in the order of the template. */
export const pastEditionColumns = ['title', 'method', 'work', 'passed', 'rejected', 'finished', 'lost'] as const

export interface ReadRows {
  rows: PastEditionRow[]
  /** Lines that could not be read, counted as a text editor counts them, with what to do. */
  faults: { line: number; message: string }[]
}

function whole(text: string | undefined, what: string, needed: boolean): number | string {
  const trimmed = (text ?? '').trim()
  if (trimmed === '') return needed ? `“${what}” is empty; a whole number is expected.` : 0
  const value = Number(trimmed)
  if (!Number.isInteger(value) || value < 0 || value > mostPulls)
    return `“${what}” is “${trimmed}”; a whole number from 0 to ${mostPulls} is expected.`
  return value
}

function oneOf<Word extends string>(
  text: string | undefined,
  words: readonly Word[],
  what: string,
  otherwise: Word,
): Word | { fault: string } {
  const trimmed = (text ?? '').trim().toLowerCase()
  if (trimmed === '') return otherwise
  const found = words.find((word) => word === trimmed)
  return found ?? { fault: `“${what}” is “${text!.trim()}”; one of ${words.join(', ')} is expected.` }
}

/** Read one row of totals. Every field is the text that was typed. */
export function readPastEdition(
  given: Readonly<Record<string, string | undefined>>,
): PastEditionRow | { fault: string } {
  const title = (given.title ?? '').trim()
  if (title === '') return { fault: '“title” is empty; give the edition a name to find it by.' }
  if (title.length > 120) return { fault: `“title” has ${title.length} characters; at most 120 are kept.` }
  const method = oneOf(given.method, methods, 'method', 'single')
  if (typeof method === 'object') return method
  const work = oneOf(given.work, works, 'work', 'press')
  if (typeof work === 'object') return work
  const numbers = {
    passed: whole(given.passed, 'passed', true),
    rejected: whole(given.rejected, 'rejected', true),
    finished: whole(given.finished, 'finished', false),
    lost: whole(given.lost, 'lost', false),
  }
  for (const value of Object.values(numbers)) if (typeof value === 'string') return { fault: value }
  const { passed, rejected, finished, lost } = numbers as Record<keyof typeof numbers, number>
  if (passed + rejected === 0) return { fault: 'No pull is counted; “passed” and “rejected” are both 0.' }
  return { title, method, work, passed, rejected, finished, lost }
}

/**
 * Read the rows of a CSV whose first line names its columns, in any order; columns not known are named as a fault.
 * Broken rows are reported and the others read.
 * @param lines the parsed lines, header first, each with its line number in the file
 */
export function readPastEditions(lines: readonly { line: number; fields: readonly string[] }[]): ReadRows {
  const [header, ...rest] = lines
  if (!header)
    return {
      rows: [],
      faults: [
        {
          line: 1,
          message: `The file is empty. Its first line must name the columns ${pastEditionColumns.join(', ')}.`,
        },
      ],
    }
  const names = header.fields.map((name) => name.trim().toLowerCase())
  const missing = (['title', 'passed', 'rejected'] as const).filter((column) => !names.includes(column))
  const unknown = names.filter((name) => !(pastEditionColumns as readonly string[]).includes(name))
  if (missing.length > 0 || unknown.length > 0) {
    const parts = [
      missing.length > 0 ? `${missing.join(', ')} missing` : '',
      unknown.length > 0 ? `${unknown.map((name) => `“${name}”`).join(', ')} not known` : '',
    ].filter(Boolean)
    return {
      rows: [],
      faults: [
        {
          line: header.line,
          message: `The first line must name the columns ${pastEditionColumns.join(', ')}: ${parts.join('; ')}.`,
        },
      ],
    }
  }
  const read: ReadRows = { rows: [], faults: [] }
  for (const { line, fields } of rest) {
    if (fields.every((field) => field.trim() === '')) continue
    if (fields.length !== names.length) {
      read.faults.push({
        line,
        message: `${fields.length} fields stand here where the first line names ${names.length}.`,
      })
      continue
    }
    const row = readPastEdition(Object.fromEntries(names.map((name, i) => [name, fields[i]])))
    if ('fault' in row) read.faults.push({ line, message: row.fault })
    else read.rows.push(row)
  }
  return read
}
