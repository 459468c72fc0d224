import { ActAtGauge } from '#shared/commands/gauge'
import { pressGauge } from '../../../services/press-gauge'
import { readChecked } from '../../../services/request'
import { asking } from '../../../services/session'

/** Zero a press's gauge, or lend the stand-in a hand. */
export default defineEventHandler(async (event) => {
  const { room } = await asking(event)
  const gauge = await pressGauge(room, getRouterParam(event, 'id') ?? '')
  const { act, screw, rate } = await readChecked(event, ActAtGauge)
  if (act === 'zero') gauge.zero()
  else gauge.standIn(act, screw === 'both' ? ['left', 'right'] : [screw], rate)
  return gauge.reading()
})
