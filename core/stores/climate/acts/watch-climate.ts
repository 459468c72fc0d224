import { IsBoolean } from 'class-validator'
import { defineAct, defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { refuse } from '../../../ground/refusal'
import { staff } from '../../../ground/who'
import { climate } from '../stream'

class WatchClimate {
  static readonly sample: WatchClimate = { isOn: true }

  @IsBoolean() isOn!: boolean
}

const climateWatched = defineEvent(climate, 'climate-watched', (state, { isOn }: WatchClimate, event) =>
  changed(state, { watchedBy: isOn ? event.actor : null }),
)

/** The room sensor is switched on, to be read every hour in that person's name, or off. */
export const watchClimate = defineAct(climate, 'watch-climate', WatchClimate, staff, {
  events: [climateWatched],
  rule: ({ climate }, data) =>
    data.isOn === (climate.watchedBy !== null)
      ? refuse('as-it-is', data.isOn ? 'The sensor is on already.' : 'The sensor is off already.')
      : [climateWatched.on(climate, data)],
})
