import { Parts, Words } from '../../ground/shape'
import { defineAct } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import { staff } from '../../ground/who'
import { closureFault } from '../closure-fault'
import { closureSaid } from '../events/closure-said'
import { closureWithdrawn } from '../events/closure-withdrawn'
import { ClosureSaid } from '../state'
import { calendar } from '../stream'

class Bringing {
  static readonly sample: Bringing = {
    source: 'Town holidays',
    closures: [{ from: '2026-12-24T00:00', until: '2026-12-27T00:00', personId: null, why: 'the holidays' }],
  }

  /** The calendar they come from: what it said before is replaced. */
  @Words(120) source!: string
  @Parts(() => ClosureSaid, 400) closures!: ClosureSaid[]
}

/** Closures from a calendar file. The same file brought in again says what it says now. */
export const bringClosures = defineAct(calendar, 'bring-closures', Bringing, staff, {
  events: [closureSaid, closureWithdrawn],
  rule: ({ calendar }, { source, closures }, { commandId, zone }) => {
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
