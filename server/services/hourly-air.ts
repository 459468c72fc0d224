import { instantAt } from '#core/time/instant'
import { v7 } from 'uuid'
import { isHourDue, type RoomAirState } from '#core/stores/climate/state'
import type { RoomSensor } from '../devices/room-sensor'
import type { Ledger } from './ledger'
import type { People } from './people'

const air = 'climate:room'
const lookEvery = 60_000

/**
 * Reads the room sensor once an hour while somebody has it switched on, in that person's name. A silent sensor is passed
 * over: the last reading stands, and the racks say how old it is.
 */
export class HourlyAir {
  private timer: ReturnType<typeof setInterval> | null = null
  private reading = false

  constructor(
    private readonly ledger: Ledger,
    private readonly people: People,
    private readonly sensor: RoomSensor,
  ) {}

  start(): void {
    this.timer ??= setInterval(() => void this.look(Date.now()), lookEvery)
    this.timer.unref()
  }

  stop(): void {
    if (this.timer) clearInterval(this.timer)
    this.timer = null
  }

  /** Keep the hour's reading when it is due. @returns true when one was kept */
  async look(now: number): Promise<boolean> {
    // One look at a time: the first may still be on its way to the disk when the next minute begins.
    if (this.reading) return false
    this.reading = true
    try {
      return await this.keep(now)
    } catch (error) {
      console.warn(`The room sensor's reading was not kept: ${(error as Error).message}`)
      return false
    } finally {
      this.reading = false
    }
  }

  private async keep(now: number): Promise<boolean> {
    const state = await this.ledger.read<RoomAirState>(air)
    if (!isHourDue(state, now)) return false
    const person = this.people.get(state.watchedBy!)
    const { temperature, humidity } = this.sensor.reading()
    if (!person?.active || temperature === null || humidity === null) return false
    const answer = await this.ledger.submit({
      command: { type: 'sense-climate', stream: air, data: { temperature, humidity } },
      context: {
        personId: person.id,
        role: person.role,
        commandId: v7({ msecs: now }),
        occurredAt: instantAt(now),
        isSure: true,
      },
      device: 'room sensor',
      via: null,
    })
    return answer.status === 'stored'
  }
}
