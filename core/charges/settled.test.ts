import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { SettledStatement } from '../account/state'
import { type ChargeLine, totalOf } from './line'
import { openIn, owed, usedIn } from './settled'

const line = (position: number, cents: number, day = 5): ChargeLine => ({
  at: `2026-11-${String(day).padStart(2, '0')}T10:00:00.000Z`,
  position,
  personId: 'p2',
  editionStream: 'edition:e1',
  kind: 'paper',
  what: 'paper',
  cents,
  isReckoned: false,
  isUnpriced: false,
})
const statement = (
  id: string,
  upTo: number,
  cents: number,
  more: Partial<SettledStatement> = {},
): SettledStatement => ({
  id,
  from: '2026-11-01T00:00:00.000Z',
  until: '2026-12-01T00:00:00.000Z',
  upTo,
  cents,
  corrections: [],
  note: '',
  at: '2026-12-02T09:00:00.000Z',
  position: upTo + 1,
  by: 'p1',
  via: null,
  ...more,
})

describe('a statement', () => {
  it('settles what was there when it was drawn up, and nothing later', () => {
    const told = owed([line(1, 300), line(9, 200), line(20, 70)], [statement('s', 9, 500)], 'p2')
    expect(told.map(({ settledBy }) => settledBy)).toEqual(['s', 's', null])
    expect(openIn(told)).toBe(70)
    expect(usedIn(told)).toBe(570)
  })

  it('leaves lines of other days open', () => {
    const november = statement('s', 9, 300)
    expect(openIn(owed([line(1, 300), { ...line(2, 80), at: '2026-12-01T00:00:00.000Z' }], [november], 'p2'))).toBe(80)
  })

  it('that was settled at another price is put right by a line of its own', () => {
    const told = owed([line(1, 300)], [statement('s', 9, 260)], 'p2')
    const correction = told.find(({ corrects }) => corrects === 's')!
    expect(correction).toMatchObject({ cents: 40, settledBy: null, kind: 'correction' })
    expect(openIn(told)).toBe(40)
    expect(usedIn(told)).toBe(300)
  })

  it('may settle the correction of an earlier one, and a later change is one more correction', () => {
    const later = statement('t', 9, 0, { corrections: [{ statementId: 's', cents: 40 }] })
    expect(openIn(owed([line(1, 300)], [statement('s', 9, 260), later], 'p2'))).toBe(0)
    expect(openIn(owed([line(1, 290)], [statement('s', 9, 260), later], 'p2'))).toBe(-10)
  })

  it('covers no line twice', () => {
    const told = owed([line(1, 300), line(12, 20)], [statement('s', 9, 300), statement('t', 15, 20)], 'p2')
    expect(told.map(({ settledBy }) => settledBy)).toEqual(['s', 't'])
    expect(openIn(told)).toBe(0)
  })
})

it('what is open is always what was used less what was settled, and settling it leaves nothing open', () => {
  const someLine = fc
    .tuple(fc.integer({ min: 1, max: 60 }), fc.integer({ min: -400, max: 900 }), fc.integer({ min: 1, max: 30 }))
    .map(([position, cents, day]) => line(position, cents, day))
  fc.assert(
    fc.property(
      fc.array(someLine, { maxLength: 25 }),
      fc.array(fc.tuple(fc.integer({ min: 0, max: 60 }), fc.integer({ min: -300, max: 300 })), { maxLength: 5 }),
      (lines, rounds) => {
        const statements: SettledStatement[] = []
        for (const [i, [upTo, drift]] of rounds.entries()) {
          const told = owed(lines, statements, 'p2').filter(({ settledBy }) => settledBy === null)
          const those = told.filter(({ corrects, position }) => corrects === null && position <= upTo)
          const corrections = told.flatMap(({ corrects, cents }) =>
            corrects === null ? [] : [{ statementId: corrects, cents }],
          )
          // The ledger may say something else by then.
          statements.push(statement(`s${i}`, upTo, totalOf(those) + drift, { corrections }))
        }
        const told = owed(lines, statements, 'p2')
        const settled = statements.reduce((sum, { cents, corrections }) => sum + cents + totalOf(corrections), 0)
        expect(openIn(told)).toBe(totalOf(lines) - settled)
        const open = told.filter(({ settledBy }) => settledBy === null)
        const last = statement('last', 60, totalOf(open.filter(({ corrects }) => corrects === null)), {
          corrections: open.flatMap(({ corrects, cents }) => (corrects ? [{ statementId: corrects, cents }] : [])),
        })
        expect(openIn(owed(lines, [...statements, last], 'p2'))).toBe(0)
      },
    ),
    { numRuns: 300 },
  )
})
