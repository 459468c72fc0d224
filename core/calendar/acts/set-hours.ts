import { defineAct, defineEvent } from '../../ground/act'
import { changed } from '../../ground/fold'
import { refuse } from '../../ground/refusal'
import { managers } from '../../ground/who'
import { isZone } from '../../time/zone'
import { RoomHours } from '../state'
import { calendar } from '../stream'
import { zoneToKeep } from '../zone'

const hoursSet = defineEvent(calendar, 'hours-set', (state, { timeZone, hours }: RoomHours) =>
  changed(state, { timeZone, hours }),
)

/** When the room is open, week by week. Bookings that lie outside stay, and are told. */
export const setHours = defineAct(calendar, 'set-hours', RoomHours, managers, {
  events: [hoursSet],
  rule: ({ calendar }, data) => {
    if (!isZone(data.timeZone))
      return refuse('unknown-zone', `“${data.timeZone}” is no time zone. One is written Europe/Oslo.`, 'timeZone')
    return [hoursSet.on(calendar, { ...data, timeZone: zoneToKeep(data.timeZone) })]
  },
})
