import { ActAtScale } from '#shared/commands/scale'
import { scale } from '../../devices/scale'
import { readChecked } from '../../services/request'
import { asking } from '../../services/session'

/** Tare the scale, or lend the stand-in a hand. */
export default defineEventHandler(async (event) => {
  await asking(event)
  const { act, rate } = await readChecked(event, ActAtScale)
  if (act === 'tare') scale.tare()
  else scale.standIn(act, rate)
  return scale.reading()
})
