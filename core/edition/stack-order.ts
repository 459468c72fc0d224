import type { Sheet } from './sheet'

/** As prints lie on the table: run after run as they were looked at, within a run one after another, then by serial. */
export function inStackOrder(a: Sheet, b: Sheet): number {
  return (
    (a.curated?.seq ?? 0) - (b.curated?.seq ?? 0) || (a.curated?.place ?? 0) - (b.curated?.place ?? 0) || a.id - b.id
  )
}
