import type { Climate } from '../../../drying/moments'
import { definePlainAct } from '../../../ground/act'
import { printers } from '../../../ground/who'
import { climateRead } from '../events/climate-read'
import { studio } from '../stream'

/** The air of the room as somebody read it: everything that dries is reckoned by it. */
export const readClimate = definePlainAct(studio, 'read-climate', printers, {
  events: [climateRead],
  rule: ({ studio }, data: Climate) => [climateRead.on(studio, data)],
})
