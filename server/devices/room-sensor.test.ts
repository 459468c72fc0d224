import { describe, expect, it } from 'vitest'
import { SimulatedRoomSensor } from './room-sensor'

const hour = 3600_000
const at = (hours: number) => new SimulatedRoomSensor(() => hours * hour)

describe('the stand-in for the room sensor', () => {
  it('is warmer by day and damper by night, and wavers a little', () => {
    const [day, night] = [at(16).reading(), at(4).reading()]
    expect(day.temperature! - night.temperature!).toBeGreaterThan(3)
    expect(night.humidity! - day.humidity!).toBeGreaterThan(8)
    const sensor = at(9)
    const readings = Array.from({ length: 20 }, () => sensor.reading().humidity!)
    expect(new Set(readings).size).toBeGreaterThan(3)
    expect(Math.max(...readings) - Math.min(...readings)).toBeLessThan(2)
  })

  it('follows a hand, and shows nothing while it is unplugged', () => {
    const sensor = at(16)
    const before = sensor.reading().temperature!
    sensor.standIn('warm')
    sensor.standIn('damp')
    expect(sensor.reading().temperature! - before).toBeGreaterThan(1.4)
    sensor.standIn('unplug')
    expect(sensor.reading()).toEqual({ temperature: null, humidity: null, simulated: true })
    sensor.standIn('plug')
    expect(sensor.reading().temperature! - before).toBeGreaterThan(1.4)
  })
})
