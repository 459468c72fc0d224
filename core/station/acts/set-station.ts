import type { StationKind } from '../../care/findings'
import { definePlainAct, defineEvent } from '../../ground/act'
import { changed } from '../../ground/fold'
import { refuse } from '../../ground/refusal'
import { staff } from '../../ground/who'
import { station } from '../stream'

interface Described {
  name: string
  kind: StationKind
  isUsed: boolean
}

const stationSet = defineEvent(station, 'station-set', (state, data: Described) => changed(state, data))

/** A station that is no press comes into the room, is called something else, or is given up. */
export const setStation = definePlainAct(station, 'set-station', staff, {
  events: [stationSet],
  rule: ({ station }, data: Described) =>
    data.name.trim() === ''
      ? refuse('name-missing', 'Give the station the name people call it by, for instance “north ink table”.', 'name')
      : [stationSet.on(station, data)],
})
