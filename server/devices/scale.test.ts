import { describe, expect, it, vi } from 'vitest'
import type { ScaleReading } from '#shared/replies/replies'
import { SimulatedScale } from './scale'

/** A scale whose time the test moves, in seconds. */
function scaleAt() {
  let now = 1_000_000
  return {
    scale: new SimulatedScale(() => now),
    pass: (seconds: number) => {
      now += seconds * 1000
    },
  }
}

describe('the stand-in scale', () => {
  it('shows what was poured since it was tared, wavering a little', () => {
    const { scale, pass } = scaleAt()
    scale.tare()
    scale.standIn('pour', 2)
    pass(6)
    expect(scale.reading().steady).toBe(false)
    scale.standIn('stop', 0)
    const readings = Array.from({ length: 30 }, () => scale.reading().grams!)
    expect(Math.max(...readings) - Math.min(...readings)).toBeGreaterThan(0)
    for (const grams of readings) expect(Math.abs(grams - 12)).toBeLessThan(0.1)
    scale.tare()
    expect(Math.abs(scale.reading().grams!)).toBeLessThan(0.05)
    scale.standIn('clear', 0)
    expect(scale.reading().grams!).toBeLessThan(-11.9)
  })

  it('creeps while it stands', () => {
    const { scale, pass } = scaleAt()
    scale.tare()
    pass(1800)
    expect(scale.reading().grams!).toBeGreaterThan(0.2)
  })

  it('shows nothing while unplugged, and starts from zero when it comes back', () => {
    const { scale, pass } = scaleAt()
    scale.standIn('pour', 5)
    pass(4)
    scale.standIn('unplug', 0)
    expect(scale.reading()).toEqual({ grams: null, steady: false, simulated: true })
    scale.tare()
    scale.standIn('plug', 0)
    expect(Math.abs(scale.reading().grams!)).toBeLessThan(0.05)
  })

  it('tells everyone who follows, and rests when nobody does', () => {
    vi.useFakeTimers()
    const { scale } = scaleAt()
    const heard: ScaleReading[] = []
    const one = scale.follow((reading) => heard.push(reading))
    const other = scale.follow(() => undefined)
    vi.advanceTimersByTime(500)
    expect(heard).toHaveLength(6)
    one()
    other()
    vi.advanceTimersByTime(500)
    expect(heard).toHaveLength(6)
    expect(vi.getTimerCount()).toBe(0)
    vi.useRealTimers()
  })
})
