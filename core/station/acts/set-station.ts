import { IsBoolean, IsIn } from 'class-validator'
import { Words } from '../../ground/shape'
import { type StationKind, stationKinds } from '../../care/findings'
import { defineAct, defineEvent } from '../../ground/act'
import { changed } from '../../ground/fold'
import { refuse } from '../../ground/refusal'
import { staff } from '../../ground/who'
import { station } from '../stream'

class Described {
  static readonly sample: Described = { name: 'North ink table', kind: 'ink table', isUsed: true }

  @Words(80) name!: string
  @IsIn(stationKinds) kind!: StationKind
  @IsBoolean() isUsed!: boolean
}

const stationSet = defineEvent(station, 'station-set', (state, data: Described) => changed(state, data))

/** A station that is no press comes into the room, is called something else, or is given up. */
export const setStation = defineAct(station, 'set-station', Described, staff, {
  events: [stationSet],
  rule: ({ station }, data) =>
    data.name.trim() === ''
      ? refuse('name-missing', 'Give the station the name people call it by, for instance “north ink table”.', 'name')
      : [stationSet.on(station, data)],
})
