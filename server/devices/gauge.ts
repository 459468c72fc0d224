import type { GaugeReading } from '#shared/replies/replies'
import { StandIn } from './stand-in'

/** A gauge on a press: it streams how high each end of the roller stands over zero. A real one takes this place behind the same calls. */
export interface Gauge {
  /** True for the stand-in, so that a screen offers its hand to turn. */
  readonly simulated: boolean
  /** Hear every reading, some twenty a second. @returns what ends it */
  follow(listener: (reading: GaugeReading) => void): () => void
  /** Where the roller stands now is its zero from here on. */
  zero(): void
}

export type Side = 'left' | 'right'
/** What a hand would do at the press. */
export type GaugeAct = 'turn' | 'stop' | 'unplug' | 'plug'

/** How the press is made whose screws are turned. Turns and mm. */
export interface Geared {
  pitch: number
  /** Turns lost when a screw is turned back. */
  play: number
  left: number
  right: number
}

const readingEvery = 50
/** mm to either side that a reading wavers. */
const noise = 0.004
/** mm it creeps in an hour, while the frame warms. */
const driftAnHour = 0.02

/** One screw: its head as it is turned, and the end of the roller that follows once the play is taken up. Turns. */
class Screw {
  private rate = 0
  private since: number
  private roller: number

  constructor(
    private head: number,
    private readonly play: number,
    now: number,
  ) {
    this.since = now
    this.roller = head
  }

  turn(rate: number, now: number): void {
    this.settle(now)
    this.rate = rate
  }

  /** Turned down it presses the roller at once; turned up it first runs through its play. */
  settle(now: number): number {
    this.head += (this.rate * (now - this.since)) / 1000
    this.since = now
    this.roller = Math.min(this.head, Math.max(this.roller, this.head - this.play))
    return this.roller
  }

  get isStill(): boolean {
    return this.rate === 0
  }
}

/** A gauge that never was, on a press whose screws are turned on the screen. */
export class SimulatedGauge extends StandIn<GaugeReading> implements Gauge {
  private readonly screws: Record<Side, Screw>
  private offset = { left: 0, right: 0 }
  private plugged = true

  constructor(
    private readonly press: Geared,
    private readonly clock: () => number = Date.now,
  ) {
    super(readingEvery, 97)
    const now = clock()
    this.screws = {
      left: new Screw(press.left, press.play, now),
      right: new Screw(press.right, press.play, now),
    }
  }

  zero(): void {
    if (this.plugged) this.offset = { left: this.height('left'), right: this.height('right') }
    this.tell()
  }

  /** The hand at the press. @param rate turns a second, up above zero */
  standIn(act: GaugeAct, sides: readonly Side[], rate: number): void {
    const now = this.clock()
    if (act === 'turn' || act === 'stop')
      for (const side of sides) this.screws[side].turn(act === 'turn' ? rate : 0, now)
    else this.plugged = act === 'plug'
    this.tell()
  }

  /** What it shows now. A gauge keeps its zero when it is plugged in again. */
  reading(): GaugeReading {
    if (!this.plugged) return { left: null, right: null, steady: false, simulated: true }
    const shown = (side: Side) => Math.round((this.height(side) - this.offset[side] + this.waver(noise)) * 1000) / 1000
    return {
      left: shown('left'),
      right: shown('right'),
      steady: this.screws.left.isStill && this.screws.right.isStill,
      simulated: true,
    }
  }

  private height(side: Side): number {
    const now = this.clock()
    return this.screws[side].settle(now) * this.press.pitch + (driftAnHour * (now % 3_600_000)) / 3_600_000
  }
}
