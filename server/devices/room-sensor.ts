import type { AirReading } from '#shared/replies/replies'
import { StandIn } from './stand-in'

/** A sensor on the wall: temperature and humidity of the room. A real one takes this place behind the same calls. */
export interface RoomSensor {
  /** True for the stand-in, so that a screen offers to warm or damp it. */
  readonly simulated: boolean
  reading(): AirReading
  /** Hear what it shows, every few seconds. @returns what ends it */
  follow(listener: (reading: AirReading) => void): () => void
}

/** What a hand would do to the air, or to the plug. */
export type AirAct = 'warm' | 'cool' | 'damp' | 'dry' | 'unplug' | 'plug'

const readingEvery = 3000
const hour = 3600_000
/** A room between night and day, °C and per cent: it is warmest at four in the afternoon. */
const room = { temperature: 18, swing: 2.2, humidity: 54, humiditySwing: 6, warmestAt: 16 }

/** A sensor that never was, in a room that warms by day and is damper by night. */
export class SimulatedRoomSensor extends StandIn<AirReading> implements RoomSensor {
  private warmer = 0
  private damper = 0
  private plugged = true

  constructor(private readonly clock: () => number = Date.now) {
    super(readingEvery, 97)
  }

  standIn(act: AirAct): void {
    if (act === 'warm') this.warmer += 2
    if (act === 'cool') this.warmer -= 2
    if (act === 'damp') this.damper += 10
    if (act === 'dry') this.damper -= 10
    if (act === 'unplug') this.plugged = false
    if (act === 'plug') this.plugged = true
    this.tell()
  }

  reading(): AirReading {
    if (!this.plugged) return { temperature: null, humidity: null, simulated: true }
    const day = Math.cos((2 * Math.PI * (((this.clock() / hour) % 24) - room.warmestAt)) / 24)
    const tenth = (value: number) => Math.round(value * 10) / 10
    const humidity = room.humidity - room.humiditySwing * day + this.damper + this.waver(0.8)
    return {
      temperature: tenth(room.temperature + room.swing * day + this.warmer + this.waver(0.2)),
      humidity: tenth(Math.max(5, Math.min(98, humidity))),
      simulated: true,
    }
  }
}
