import type { ScaleReading } from '#shared/replies/replies'
import { StandIn } from './stand-in'

/** A scale on the slab: it streams what lies on it. A real one takes this place behind the same calls. */
export interface Scale {
  /** True for the stand-in, so that a screen offers its hand to pour. */
  readonly simulated: boolean
  /** Hear every reading, some ten a second. @returns what ends it */
  follow(listener: (reading: ScaleReading) => void): () => void
  tare(): void
}

/** What a hand would do at a real scale. */
export type StandInAct = 'pour' | 'stop' | 'clear' | 'unplug' | 'plug'

const readingEvery = 100

/** Grams it creeps in an hour, as an electronic scale does while it warms. */
const driftAnHour = 0.6

/** Grams to either side that a reading wavers. */
const noise = 0.03

/** A small scale that never was: it drifts, wavers, tares, and can be unplugged. */
export class SimulatedScale extends StandIn<ScaleReading> implements Scale {
  private poured = 0
  private rate = 0
  private rateSince: number
  private tared = 0
  private plugged = true

  constructor(private readonly clock: () => number = Date.now) {
    super(readingEvery, 41)
    this.rateSince = clock()
  }

  tare(): void {
    if (this.plugged) this.tared = this.load()
    this.tell()
  }

  /** The hand that pours, or takes the dish away. @param rate grams a second */
  standIn(act: StandInAct, rate: number): void {
    this.poured = this.lying()
    this.rateSince = this.clock()
    this.rate = act === 'pour' ? rate : 0
    if (act === 'clear') this.poured = 0
    if (act === 'unplug') this.plugged = false
    if (act === 'plug') {
      // A scale that was cut off starts from zero with whatever lies on it.
      this.plugged = true
      this.tared = this.load()
    }
    this.tell()
  }

  /** What it shows now. */
  reading(): ScaleReading {
    if (!this.plugged) return { grams: null, steady: false, simulated: true }
    return {
      grams: Math.round((this.load() - this.tared + this.waver(noise)) * 100) / 100,
      steady: this.rate === 0,
      simulated: true,
    }
  }

  private lying(): number {
    return this.poured + (this.rate * (this.clock() - this.rateSince)) / 1000
  }

  private load(): number {
    return this.lying() + (driftAnHour * (this.clock() % 3_600_000)) / 3_600_000
  }
}
