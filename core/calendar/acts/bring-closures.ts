import { definePlainAct } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import { staff } from '../../ground/who'
import { closureFault } from '../closure-fault'
import { closureSaid } from '../events/closure-said'
import { closureWithdrawn } from '../events/closure-withdrawn'
import type { ClosureSaid } from '../state'
import { calendar } from '../stream'

interface Bringing {
  /** The calendar they come from: what it said before is replaced. */
  source: string
  closures: ClosureSaid[]
}

/** Closures from a calendar file. The same file brought in again says what it says now. */
export const bringClosures = definePlainAct(calendar, 'bring-closures', staff, {
  events: [closureSaid, closureWithdrawn],
  rule: ({ calendar }, { source, closures }: Bringing, { commandId, zone }) => {
    if (source.trim() === '') return refuse('source-missing', 'Say which calendar it is.', 'source')
    const faulty = closures.map((one) => closureFault(one, zone)).find((fault) => fault !== null)
    if (faulty) return faulty
    const gone = calendar.closures.filter((one) => one.source === source)
    if (gone.length === 0 && closures.length === 0)
      return refuse('nothing-in-it', 'No day in that calendar closes the room.', 'closures')
    return [
      ...gone.map(({ id }) => closureWithdrawn.on(calendar, { closureId: id })),
      ...closures.map((one, i) => closureSaid.on(calendar, { ...one, closureId: `${commandId}-${i}`, source })),
    ]
  },
})
