import { defineAct } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import { anyone, isStaff } from '../../ground/who'
import { closureFault } from '../closure-fault'
import { closureSaid } from '../events/closure-said'
import { longPast } from '../kept'
import { ClosureSaid } from '../state'
import { calendar } from '../stream'
import { inZone } from '../zone'

/** The room is closed for some days, as staff say; or somebody is away, as they say themselves. Bookings in it stay, and are told. */
export const closeRoom = defineAct(calendar, 'close-room', ClosureSaid, anyone, {
  events: [closureSaid],
  rule: ({ calendar }, data, { role, personId, commandId, occurredAt, zone }) => {
    if (!isStaff(role) && data.personId !== personId)
      return refuse('not-theirs', 'Staff close the room; others say when they are away themselves.', 'personId')
    const forgotten = longPast(inZone(calendar, zone), occurredAt)
    return (
      closureFault(data, zone) ?? [
        closureSaid.on(calendar, { ...data, closureId: commandId, source: '', ...(forgotten ? { forgotten } : {}) }),
      ]
    )
  },
})
