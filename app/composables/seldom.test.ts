import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { useSeldom } from './seldom'

let done = 0
beforeEach(() => {
  done = 0
  vi.useFakeTimers()
})
afterEach(() => vi.useRealTimers())

describe('what is dear and done seldom', () => {
  it('is done soon the first time, then once a minute however often it is asked for', () => {
    const { soon } = useSeldom(() => (done += 1))
    soon('one')
    vi.advanceTimersByTime(1000)
    expect(done).toBe(1)
    for (let second = 0; second < 50; second++) {
      soon('one')
      vi.advanceTimersByTime(1000)
    }
    expect(done).toBe(1)
    vi.advanceTimersByTime(10_000)
    expect(done).toBe(2)
    vi.advanceTimersByTime(120_000)
    expect(done).toBe(2)
  })

  it('is done soon again for something new', () => {
    const { soon } = useSeldom(() => (done += 1))
    soon('one')
    vi.advanceTimersByTime(1000)
    soon('one')
    soon('another')
    vi.advanceTimersByTime(1000)
    expect(done).toBe(2)
    vi.advanceTimersByTime(120_000)
    expect(done).toBe(2)
  })
})
