import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { handWidth, initialsOf, lineWidth } from './hand-width'

describe('a line in pencil', () => {
  it('is as wide as its letters, wide ones and narrow ones, and the paper between its parts', () => {
    expect(handWidth('')).toBe(0)
    expect(handWidth('mm')).toBeGreaterThan(handWidth('nn'))
    expect(handWidth('ii')).toBeLessThan(handWidth('nn'))
    expect(lineWidth({ left: '7/30', middle: '', right: 'A. Q.' })).toBeCloseTo(
      handWidth('7/30') + handWidth('A. Q.') + 6,
      9,
    )
  })

  it('grows with every letter, and with its height in proportion', () => {
    fc.assert(
      fc.property(
        fc.string(),
        fc.string({ minLength: 1 }),
        fc.double({ min: 1, max: 9, noNaN: true }),
        (a, b, height) => {
          expect(handWidth(a + b)).toBeGreaterThan(handWidth(a))
          expect(handWidth(a, height)).toBeCloseTo((handWidth(a, 1) * height) / 1, 6)
        },
      ),
    )
  })

  it('is signed with initials where the name is too long for it', () => {
    expect(initialsOf('Ansa Quill')).toBe('A. Q.')
    expect(initialsOf('  Jean-Luc  de  Vore ')).toBe('J. L. D. V.')
    expect(initialsOf('')).toBe('')
  })
})
