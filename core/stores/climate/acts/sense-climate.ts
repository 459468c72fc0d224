import { Climate } from '../../../drying/moments'
import { defineAct, defineEvent } from '../../../ground/act'
import { appended, changed } from '../../../ground/fold'
import { refuse } from '../../../ground/refusal'
import { staff } from '../../../ground/who'
import { climateRead } from '../../studio/events/climate-read'
import { studio } from '../../studio/stream'
import { keptReadings } from '../state'
import { climate } from '../stream'

const climateSensed = defineEvent(climate, 'climate-sensed', (state, { temperature, humidity }: Climate, event) =>
  changed(state, {
    readings: appended(state.readings, { at: event.occurredAt, temperature, humidity }).slice(-keptReadings),
  }),
)

/** The sensor's reading of the hour. Everything that dries is reckoned by it until the next, or until somebody reads the room. */
export const senseClimate = defineAct(climate, 'sense-climate', Climate, staff, {
  needs: () => ({ studio: studio.of() }),
  events: [climateSensed, climateRead],
  rule: ({ climate, studio }, data) =>
    climate.watchedBy === null
      ? refuse('not-watched', 'The room sensor is off. Switch it on under Racks first.')
      : [climateSensed.on(climate, data), climateRead.on(studio, data)],
})
