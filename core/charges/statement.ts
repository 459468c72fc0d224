import { openIn, type OwedLine, usedIn } from './settled'

/** Lines told apart by one thing, with what they come to by the ledger, and what of it is still to be settled. */
export interface Statement {
  key: string
  lines: OwedLine[]
  cents: number
  open: number
}

/** Statements by whatever the key says, the largest first; what has no key is left out. */
export function statementsBy(lines: readonly OwedLine[], keyOf: (line: OwedLine) => string | null): Statement[] {
  const byKey = new Map<string, OwedLine[]>()
  for (const line of lines) {
    const key = keyOf(line)
    if (key === null) continue
    const known = byKey.get(key)
    if (known) known.push(line)
    else byKey.set(key, [line])
  }
  return [...byKey]
    .map(([key, those]) => ({ key, lines: those, cents: usedIn(those), open: openIn(those) }))
    .sort((a, b) => b.cents - a.cents || a.key.localeCompare(b.key))
}
