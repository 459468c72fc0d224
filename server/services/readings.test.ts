import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { Readings } from './readings'

beforeEach(() => void vi.useFakeTimers())
afterEach(() => void vi.useRealTimers())

const turn = () => vi.advanceTimersByTimeAsync(0)

/** Asks to read, and notes when it may. */
function asked(readings: Readings, who: string, log: string[], name: string) {
  const ends: { end: () => void } = { end: () => {} }
  void readings.begin(who)!.then((end) => {
    log.push(name)
    ends.end = end
  })
  return ends
}

it('of one sign-in go two at a time, and leave room for others', async () => {
  const readings = new Readings(Date.now)
  const log: string[] = []
  const greedy = [1, 2, 3, 4, 5, 6].map((i) => asked(readings, 'greedy', log, `g${i}`))
  asked(readings, 'other', log, 'o1')
  await turn()
  expect(log).toEqual(['g1', 'g2', 'o1'])
  greedy[0]!.end()
  greedy[0]!.end()
  await turn()
  expect(log).toEqual(['g1', 'g2', 'o1', 'g3'])
})

it('stand back while a tap is on its way, and not for ever', async () => {
  const readings = new Readings(Date.now)
  const log: string[] = []
  const answered = readings.tap()
  asked(readings, 'a', log, 'a1')
  await turn()
  expect(log).toEqual([])
  answered()
  answered()
  await turn()
  expect(log).toEqual(['a1'])
  readings.tap()
  asked(readings, 'b', log, 'b1')
  await vi.advanceTimersByTimeAsync(350)
  expect(log).toEqual(['a1'])
  await vi.advanceTimersByTimeAsync(200)
  expect(log).toEqual(['a1', 'b1'])
})

it('that are too many are not taken', () => {
  const readings = new Readings(Date.now)
  const given = Array.from({ length: 80 }, () => readings.begin('greedy'))
  expect(given.filter((one) => one === null)).toHaveLength(80 - 62)
  expect(readings.begin('other')).not.toBeNull()
})
