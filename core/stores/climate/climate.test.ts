import { describe, expect, it } from 'vitest'
import { PressTable } from '../../../tests/fixtures/press-table'
import type { StudioState } from '../studio/state'
import { emptyRoomAir, isHourDue, keptReadings, type RoomAirState, silentFor } from './state'

const hour = 3600_000
const nine = Date.parse('2026-11-02T09:00:00.000Z')
const air = (over: Partial<RoomAirState>): RoomAirState => ({ ...emptyRoomAir('climate:room'), ...over })
const reading = (at: number) => ({ at: new Date(at).toISOString(), temperature: 18, humidity: 55 })

describe('the air of the room', () => {
  const table = new PressTable()
  const given = (type: string, data: unknown, role?: 'member') =>
    table.submit({ type, stream: 'climate:room', data }, role).refusal?.code
  const state = () => table.states.get('climate:room') as RoomAirState

  it('is sensed while the sensor is on, and everything that dries is reckoned by it', () => {
    expect(given('sense-climate', { temperature: 18.5, humidity: 55 })).toBe('not-watched')
    expect(given('watch-climate', { isOn: true }, 'member')).toBe('not-allowed')
    expect(given('watch-climate', { isOn: true })).toBeUndefined()
    expect(given('watch-climate', { isOn: true })).toBe('as-it-is')
    expect(given('sense-climate', { temperature: 18.5, humidity: 55 })).toBeUndefined()
    expect(state()).toMatchObject({ watchedBy: 'p1', readings: [{ temperature: 18.5, humidity: 55 }] })
    expect((table.states.get('studio') as StudioState).climate).toMatchObject({ temperature: 18.5, humidity: 55 })
    expect(given('watch-climate', { isOn: false })).toBeUndefined()
    expect(state().watchedBy).toBeNull()
  })

  it('keeps three weeks of hours', () => {
    given('watch-climate', { isOn: true })
    for (let n = 0; n < keptReadings + 5; n++) given('sense-climate', { temperature: n / 100, humidity: 50 })
    expect(state().readings).toHaveLength(keptReadings)
    expect(state().readings.at(-1)!.temperature).toBe((keptReadings + 4) / 100)
  })
})

describe('an hour', () => {
  it('is due once, while somebody has the sensor on', () => {
    expect(isHourDue(air({}), nine)).toBe(false)
    expect(isHourDue(air({ watchedBy: 'p1' }), nine)).toBe(true)
    const read = air({ watchedBy: 'p1', readings: [reading(nine + 60_000)] })
    expect([isHourDue(read, nine + 59 * 60_000), isHourDue(read, nine + hour)]).toEqual([false, true])
  })

  it('that passes twice without a reading is a silence', () => {
    const read = air({ watchedBy: 'p1', readings: [reading(nine)] })
    expect([silentFor(read, nine + 1.9 * hour), silentFor(read, nine + 3 * hour)]).toEqual([0, 3 * hour])
    expect([
      silentFor({ ...read, watchedBy: null }, nine + 9 * hour),
      silentFor(air({ watchedBy: 'p1' }), nine),
    ]).toEqual([0, 0])
  })
})
