import { expect, it } from 'vitest'
import { isLeftOpen } from './sessions'

it('a session was left open when it is longer than a day at the press, or an evening that went on over midnight', () => {
  const at = (day: number, hour: number) => new Date(2026, 10, day, hour)
  const left = (from: Date, now: Date) => isLeftOpen(from.toISOString(), now.getTime())
  expect(left(at(25, 9), at(25, 20))).toBe(false)
  expect(left(at(25, 9), at(25, 22))).toBe(true)
  expect(left(at(25, 21), at(26, 1))).toBe(false)
  expect(left(at(25, 17), at(26, 1))).toBe(true)
})
