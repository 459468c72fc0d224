import { type ChargeLine, totalOf } from './line'

/** Lines told apart by one thing, with what they come to. */
export interface Statement {
  key: string
  lines: ChargeLine[]
  cents: number
}

/** Statements by whatever the key says, the largest first; what has no key is left out. */
export function statementsBy(lines: readonly ChargeLine[], keyOf: (line: ChargeLine) => string | null): Statement[] {
  const byKey = new Map<string, ChargeLine[]>()
  for (const line of lines) {
    const key = keyOf(line)
    if (key === null) continue
    const known = byKey.get(key)
    if (known) known.push(line)
    else byKey.set(key, [line])
  }
  return [...byKey]
    .map(([key, those]) => ({ key, lines: those, cents: totalOf(those) }))
    .sort((a, b) => b.cents - a.cents || a.key.localeCompare(b.key))
}
