import { divisionsOf } from '#core/press/screws'
import type { PressState } from '#core/stores/press/state'
import type { SimulatedGauge } from '../devices/gauge'
import { failure } from './failure'
import type { Pressroom } from './pressroom'

/**
 * The gauge of a press with two screws of known pitch. The stand-in starts where the press was last set.
 * @throws a failure that says what to do, where there is none
 */
export async function pressGauge(room: Pressroom, pressId: string): Promise<SimulatedGauge> {
  const { name, pitch, divisions, backlash, last } = await room.ledger.read<PressState>(`press:${pressId}`)
  if (name === '' || divisions < 1)
    throw failure({ code: 'no-screws', message: 'That press has no screws that a gauge could follow.' })
  if (pitch === null)
    throw failure({
      code: 'no-pitch',
      message: `Nobody knows yet how far a turn of ${name} lifts. Calibrate it with two known thicknesses, under Presses.`,
    })
  const turns = (screw: { turns: number; divisions: number }) => divisionsOf(screw, { divisions }) / divisions
  return room.devices.gaugeOf(pressId, () => ({
    pitch,
    play: backlash / divisions,
    left: last ? turns(last.setting.left) : 0,
    right: last ? turns(last.setting.right) : 0,
  }))
}
