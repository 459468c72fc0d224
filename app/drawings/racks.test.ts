import { describe, expect, it } from 'vitest'
import { airSentence } from './air'
import { slotWords } from './rack'
import { listed } from './words'

describe('slots', () => {
  it('are said as one says them', () => {
    expect([[4], [22, 23], [1, 2, 3], [1, 3], [20, 2, 1, 3, 9]].map(slotWords)).toEqual([
      'slot 4',
      'slots 22 and 23',
      'slots 1 to 3',
      'slots 1 and 3',
      'slots 1 to 3, 9 and 20',
    ])
  })
})

it('words are listed', () => {
  expect([[], ['a'], ['a', 'b'], ['a', 'b', 'c']].map(listed)).toEqual(['', 'a', 'a and b', 'a, b and c'])
})

it('the air is said in a sentence', () => {
  const reading = (hour: number, temperature: number, humidity: number) => ({
    at: new Date(Date.UTC(2026, 10, 2, hour)).toISOString(),
    temperature,
    humidity,
  })
  expect(airSentence([reading(0, 16.5, 60), reading(30, 19, 52)])).toBe(
    'The air over a day, 2 readings: 16.5 to 19 °C, 52 to 60 % humidity.',
  )
})
