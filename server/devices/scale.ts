import type { ScaleReading } from '#shared/replies/replies'

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
export class SimulatedScale implements Scale {
  readonly simulated = true
  private readonly listeners = new Set<(reading: ScaleReading) => void>()
  private timer: ReturnType<typeof setInterval> | null = null
  private poured = 0
  private rate = 0
  private rateSince: number
  private tared = 0
  private plugged = true
  private seed = 41

  constructor(private readonly clock: () => number = Date.now) {
    this.rateSince = clock()
  }

  follow(listener: (reading: ScaleReading) => void): () => void {
    this.listeners.add(listener)
    listener(this.reading())
    this.timer ??= setInterval(() => this.tell(), readingEvery)
    return () => {
      this.listeners.delete(listener)
      if (this.listeners.size > 0 || !this.timer) return
      clearInterval(this.timer)
      this.timer = null
    }
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
      grams: Math.round((this.load() - this.tared + this.waver()) * 100) / 100,
      steady: this.rate === 0,
      simulated: true,
    }
  }

  private tell(): void {
    const reading = this.reading()
    for (const listener of this.listeners) listener(reading)
  }

  private lying(): number {
    return this.poured + (this.rate * (this.clock() - this.rateSince)) / 1000
  }

  private load(): number {
    return this.lying() + (driftAnHour * (this.clock() % 3_600_000)) / 3_600_000
  }

  /** Park and Miller's generator: the same waver on every start. */
  private waver(): number {
    this.seed = (this.seed * 48_271) % 2_147_483_647
    return (this.seed / 2_147_483_647 - 0.5) * 2 * noise
  }
}

/** The one scale of this room. */
export const scale = new SimulatedScale()
