import { Climate } from '../../../drying/moments'
import { defineAct } from '../../../ground/act'
import { printers } from '../../../ground/who'
import { climateRead } from '../events/climate-read'
import { studio } from '../stream'

/** The air of the room as somebody read it: everything that dries is reckoned by it. */
export const readClimate = defineAct(studio, 'read-climate', Climate, printers, {
  events: [climateRead],
  rule: ({ studio }, data) => [climateRead.on(studio, data)],
})
