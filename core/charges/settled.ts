import type { SettledStatement } from '../account/state'
import { type ChargeLine, totalOf } from './line'

/** A line, and the statement it was settled by, or null while it is open. */
export interface OwedLine extends ChargeLine {
  settledBy: string | null
  /** Of a correction: the statement that it corrects. */
  corrects: string | null
}

type Covering = Pick<SettledStatement, 'from' | 'until' | 'upTo'>

const covers = ({ from, until, upTo }: Covering, { at, position }: ChargeLine): boolean =>
  position <= upTo && Date.parse(at) >= Date.parse(from) && Date.parse(at) < Date.parse(until)

/**
 * What of one person's lines is settled and what is open (models.md, M18): a line belongs to the first statement that covers it.
 * Where the ledger says something else of a settled statement's lines by now, the difference is an open line of its own,
 * so that what is open is always what the lines come to less what was settled.
 * @param lines every line of the person within the spans of the statements, at least
 * @param statements as they were settled, the first of them first
 */
export function owed(
  lines: readonly ChargeLine[],
  statements: readonly SettledStatement[],
  personId: string,
): OwedLine[] {
  const settled = new Map<string, ChargeLine[]>(statements.map(({ id }) => [id, []]))
  const told = lines.map((line): OwedLine => {
    const by = statements.find((statement) => covers(statement, line))
    if (by) settled.get(by.id)!.push(line)
    return { ...line, settledBy: by?.id ?? null, corrects: null }
  })
  const corrections = statements.flatMap((statement) => {
    const paid = statements.flatMap(({ id, at, position, corrections }) =>
      corrections
        .filter(({ statementId }) => statementId === statement.id)
        .map(({ cents }) => ({ at, position, cents, settledBy: id as string | null })),
    )
    const open = totalOf(settled.get(statement.id)!) - statement.cents - totalOf(paid)
    const all =
      open === 0 ? paid : [...paid, { at: statement.at, position: statement.position, cents: open, settledBy: null }]
    return all.map((one): OwedLine => ({
      ...one,
      personId,
      editionStream: null,
      kind: 'correction',
      what: 'Correction of what was settled',
      isReckoned: false,
      isUnpriced: false,
      corrects: statement.id,
    }))
  })
  return [...told, ...corrections]
}

/** What lines come to by the ledger: corrections are the difference between that and what was settled, and no more use. */
export const usedIn = (lines: readonly OwedLine[]): number => totalOf(lines.filter(({ corrects }) => corrects === null))

/** What is still to be settled of them. */
export const openIn = (lines: readonly OwedLine[]): number =>
  totalOf(lines.filter(({ settledBy }) => settledBy === null))
