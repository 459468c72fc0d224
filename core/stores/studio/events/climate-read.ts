import type { Climate } from '../../../drying/moments'
import { defineEvent } from '../../../ground/act'
import { whenOf } from '../../../ground/envelope'
import { changed } from '../../../ground/fold'
import { studio } from '../stream'

/** The air of the room was read, by somebody or by the sensor. */
export const climateRead = defineEvent(studio, 'climate-read', (state, data: Climate, event) =>
  changed(state, { climate: { ...data, ...whenOf(event) } }),
)
