import { describe, expect, it } from 'vitest'
import { typedNumber } from './typed-number'

describe('a number as it is typed', () => {
  it('takes a point or a comma, and blanks around it', () => {
    for (const [text, number] of [
      ['2,5', 2.5],
      ['2.5', 2.5],
      [' 12 ', 12],
      ['-3', -3],
      [7, 7],
    ] as const)
      expect(typedNumber(text)).toBe(number)
  })

  it('is no number when it is none, and what is asked for when it is blank', () => {
    for (const text of ['', '  ', null, undefined, 'minus one', '1,000,5']) expect(typedNumber(text)).toBeNaN()
    expect(typedNumber('', 0)).toBe(0)
    expect(typedNumber('minus one', 0)).toBeNaN()
  })
})
