import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { lengthUnits, mmPerInch, readLength, showLength, showSize, showThickness } from './length'

const mm = (text: string, unit: 'mm' | 'in' = 'mm') => (readLength(text, unit) as { mm: number }).mm

describe('a length as printers write it', () => {
  it.each([
    ['216', 216],
    ['216 mm', 216],
    ['21.6cm', 216],
    ['21,6 cm', 216],
    ['8.5 in', 215.9],
    ['8 1/2"', 215.9],
    ['8-1/2', 215.9],
    ['8 1/2', 215.9],
    ['3/4 in', 19.05],
    ['3/4', 19.05],
    ['¾', 19.05],
    ['8½"', 215.9],
    ['8 ½ in', 215.9],
    ['1⁄2″', 12.7],
    ['8 inches', 203.2],
    ['.5 in', 12.7],
    [',5 cm', 5],
    ['0', 0],
    ['1/2 mm', 0.5],
    ['≈11 13/16"', 300.0375],
    ['8.5 IN', 215.9],
    ['8 in.', 203.2],
    ["8 1/2''", 215.9],
    ['216\u00a0mm', 216],
  ])('%s', (text, wanted) => expect(mm(text)).toBeCloseTo(wanted, 6))

  it('gives a bare number the user’s unit, and a bare fraction inches', () => {
    expect(mm('8', 'in')).toBeCloseTo(203.2)
    expect(mm('8', 'mm')).toBe(8)
    expect(mm('1/2', 'mm')).toBeCloseTo(12.7)
  })

  it.each(['', '  ', 'wide', '-5', '−5 mm', '1/0', '8 1/2 1/2', '8 km', '1,250.5', '1.2.3', '8"x', '5 mm 3'])(
    'refuses “%s” with the text that was typed',
    (text) => {
      const read = readLength(text, 'mm')
      expect(read).toHaveProperty('refused')
      if (text.trim()) expect((read as { refused: string }).refused).toContain(`“${text.trim()}”`)
    },
  )
})

describe('a length as it is shown', () => {
  it('rounds mm to a half and inches to a sixteenth, halves up', () => {
    expect(showLength(216, 'mm')).toBe('216 mm')
    expect(showLength(216.25, 'mm')).toBe('≈216.5 mm')
    expect(showLength(216.05, 'mm')).toBe('216 mm')
    expect(showLength(8.4375 * mmPerInch, 'in')).toBe('8 7/16"')
    expect(showLength(12.7, 'in')).toBe('1/2"')
    expect(showLength(203.2, 'in')).toBe('8"')
    expect(showLength(300, 'in')).toBe('11 13/16"')
    expect(showLength(301, 'in')).toBe('≈11 7/8"')
    expect(showLength(0, 'in')).toBe('0"')
    expect(showLength((1 + 1 / 32) * mmPerInch, 'in')).toBe('≈1 1/16"')
  })

  it('names two sides once, and thickness finer than a ruler', () => {
    expect(showSize(300, 230, 'mm')).toBe('300 × 230 mm')
    expect(showSize(203.2, 254, 'in')).toBe('8 × 10"')
    expect(showThickness(2.405, 'mm')).toBe('2.41 mm')
    expect(showThickness(2.4, 'in')).toBe('0.094"')
  })

  const length = fc.double({ min: 0, max: 3000, noNaN: true })

  it('can always be read again, and lies within half a step', () => {
    fc.assert(
      fc.property(length, fc.constantFrom(...lengthUnits), fc.constantFrom(...lengthUnits), (value, unit, other) => {
        expect(Math.abs(mm(showLength(value, unit), other) - value)).toBeLessThanOrEqual(
          (unit === 'mm' ? 0.25 : mmPerInch / 32) + 1e-6,
        )
      }),
    )
  })

  it('shown twice is shown the same, and ≈ stands exactly when more than 0.1 mm were moved', () => {
    fc.assert(
      fc.property(length, fc.constantFrom(...lengthUnits), (value, unit) => {
        const shown = showLength(value, unit)
        const back = mm(shown, unit)
        expect(showLength(back, unit)).toBe(shown.replace('≈', ''))
        if (Math.abs(Math.abs(back - value) - 0.1) > 1e-6)
          expect(shown.startsWith('≈')).toBe(Math.abs(back - value) > 0.1)
      }),
    )
  })

  it('reads every decimal and fraction it is given', () => {
    fc.assert(
      fc.property(
        fc.nat(3000),
        fc.nat(99),
        fc.integer({ min: 1, max: 64 }),
        fc.integer({ min: 1, max: 64 }),
        (whole, part, above, below) => {
          expect(mm(`${whole},${String(part).padStart(2, '0')} mm`)).toBeCloseTo(whole + part / 100, 9)
          expect(mm(`${whole} ${above}/${below} in`)).toBeCloseTo((whole + above / below) * mmPerInch, 6)
        },
      ),
    )
  })
})
