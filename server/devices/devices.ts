import { type Geared, SimulatedGauge } from './gauge'
import { SimulatedRoomSensor } from './room-sensor'
import { SimulatedScale } from './scale'

/** What one room measures with. */
export class Devices {
  readonly scale = new SimulatedScale()
  readonly sensor = new SimulatedRoomSensor()
  private readonly gauges = new Map<string, SimulatedGauge>()

  /** The one gauge of a press, put on when it is first looked at. */
  gaugeOf(pressId: string, made: () => Geared): SimulatedGauge {
    const known = this.gauges.get(pressId)
    if (known) return known
    const gauge = new SimulatedGauge(made())
    this.gauges.set(pressId, gauge)
    return gauge
  }
}
