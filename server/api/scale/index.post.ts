import { ActAtScale } from '#shared/commands/scale'
import { scale } from '../../devices/scale'
import { asking, readChecked } from '../../services/request'

/** Tare the scale, or lend the stand-in a hand. */
export default defineEventHandler(async (event) => {
  await asking(event)
  const { act, rate } = await readChecked(event, ActAtScale)
  if (act === 'tare') scale.tare()
  else scale.standIn(act, rate)
  return scale.reading()
})
