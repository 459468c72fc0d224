import type { Climate } from '../../../drying/moments'
import { defineAct, defineEvent } from '../../../ground/act'
import { whenOf } from '../../../ground/envelope'
import { changed } from '../../../ground/fold'
import { printers } from '../../../ground/who'
import { studio } from '../stream'

const climateRead = defineEvent(studio, 'climate-read', (state, data: Climate, event) =>
  changed(state, { climate: { ...data, ...whenOf(event) } }),
)

/** The air of the room as somebody read it: everything that dries is reckoned by it. */
export const readClimate = defineAct(studio, 'read-climate', printers, {
  events: [climateRead],
  rule: ({ studio }, data: Climate) => [climateRead.on(studio, data)],
})
