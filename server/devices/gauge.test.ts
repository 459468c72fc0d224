import { describe, expect, it, vi } from 'vitest'
import type { GaugeReading } from '#shared/replies/replies'
import { SimulatedGauge } from './gauge'

const both = ['left', 'right'] as const

/** A gauge whose time the test moves, in seconds: 2.54 mm a turn, a twentieth of a turn of play, three turns up. */
function gaugeAt() {
  let now = 0
  return {
    gauge: new SimulatedGauge({ pitch: 2.54, play: 0.05, left: 3, right: 3 }, () => now),
    pass: (seconds: number) => {
      now += seconds * 1000
    },
  }
}

describe('the stand-in gauge', () => {
  it('follows both screws while they are turned, and wavers a little', () => {
    const { gauge, pass } = gaugeAt()
    gauge.standIn('turn', both, -0.5)
    pass(1)
    const half = gauge.reading()
    expect(half.steady).toBe(false)
    expect(half.left).toBeCloseTo(2.5 * 2.54, 1)
    gauge.standIn('stop', ['left'], 0)
    pass(1)
    gauge.standIn('stop', both, 0)
    expect(gauge.reading().left).toBeCloseTo(2.5 * 2.54, 1)
    expect(gauge.reading().right).toBeCloseTo(2 * 2.54, 1)
    const readings = Array.from({ length: 20 }, () => gauge.reading().left!)
    expect(new Set(readings).size).toBeGreaterThan(1)
    expect(Math.max(...readings) - Math.min(...readings)).toBeLessThan(0.01)
  })

  it('turned back, a screw runs through its play before the roller moves', () => {
    const { gauge, pass } = gaugeAt()
    gauge.standIn('turn', both, 0.04)
    pass(1)
    expect(gauge.reading().left).toBeCloseTo(3 * 2.54, 1)
    pass(1)
    expect(gauge.reading().left).toBeCloseTo(3.03 * 2.54, 1)
    gauge.standIn('turn', both, -0.06)
    pass(1)
    // Down again: what was play is taken up, and it presses at once.
    expect(gauge.reading().left).toBeCloseTo(3.02 * 2.54, 1)
  })

  it('has its zero where it is told, creeps, and shows nothing while unplugged', () => {
    const { gauge, pass } = gaugeAt()
    gauge.zero()
    expect(Math.abs(gauge.reading().left!)).toBeLessThan(0.01)
    pass(1800)
    expect(gauge.reading().left!).toBeGreaterThan(0.005)
    gauge.standIn('turn', both, -0.5)
    pass(1)
    gauge.standIn('unplug', [], 0)
    expect(gauge.reading()).toEqual({ left: null, right: null, steady: false, simulated: true })
    pass(1)
    gauge.standIn('stop', both, 0)
    gauge.standIn('plug', [], 0)
    // What was turned meanwhile is seen when it is back.
    expect(gauge.reading().left).toBeCloseTo(-2.54, 1)
  })

  it('tells everyone who follows, and rests when nobody does', () => {
    vi.useFakeTimers()
    const { gauge } = gaugeAt()
    const heard: GaugeReading[] = []
    const end = gauge.follow((reading) => heard.push(reading))
    vi.advanceTimersByTime(500)
    expect(heard).toHaveLength(11)
    end()
    expect(vi.getTimerCount()).toBe(0)
    vi.useRealTimers()
  })
})
