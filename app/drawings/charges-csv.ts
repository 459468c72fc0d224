import type { OwedLine } from '#core/charges/settled'
import { rowsCsv } from './tables-csv'

/** Charges for any spreadsheet: amounts with a point and two places, whatever the place writes. */
export async function chargesCsv(
  lines: readonly OwedLine[],
  nameOf: (id: string) => string,
  titleOf: (stream: string | null) => string,
): Promise<string> {
  const rows = lines.map(({ at, personId, editionStream, kind, what, cents, isReckoned, isUnpriced, settledBy }) => ({
    when: at,
    person: nameOf(personId),
    edition: titleOf(editionStream),
    kind,
    what,
    amount: (cents / 100).toFixed(2),
    reckoned: isReckoned ? 'yes' : 'no',
    priced: isUnpriced ? 'no' : 'yes',
    settled: settledBy === null ? 'no' : 'yes',
  }))
  return await rowsCsv(rows)
}
