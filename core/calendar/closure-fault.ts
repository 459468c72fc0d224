import { type Refused, refuse } from '../ground/refusal'
import { spanOfClosure } from './hours'
import type { ClosureSaid } from './state'

/** Why days cannot be closed so, or null. */
export function closureFault(said: ClosureSaid, timeZone: string): Refused | null {
  const span = spanOfClosure(said, timeZone)
  if (!span) return refuse('no-time', 'Say from which day until which.', 'from')
  return span.to > span.from ? null : refuse('ends-before', 'The last day is before the first one.', 'until')
}
