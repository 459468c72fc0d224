import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { plan } from '../../tests/fixtures/plan'
import { allocate, candidatesFor, inOrder } from './allocate'
import { numberAsWritten, pencilLine, roman } from '../print/pencil-line'

const curatedTable = (overrides = {}) => {
  const table = new PressTable(overrides).tear(8)
  for (const sheet of [3, 1, 2, 4, 5])
    table.pull(sheet, { faults: sheet === 1 ? ['hickey'] : [], rescued: sheet === 2 ? 'burnished' : null })
  for (const sheetId of [5, 4, 3, 2, 1]) table.must('curate', { sheetId, verdict: 'good', reason: '' })
  return table
}

describe('which print gets number 1', () => {
  it.each([
    ['pulled', [3, 1, 2, 4, 5]],
    ['curated', [5, 4, 3, 2, 1]],
    ['best', [3, 4, 5, 1, 2]],
    ['hand', [1, 2, 3, 4, 5]],
  ] as const)('in the order %s', (school, order) => {
    expect(inOrder(curatedTable().edition, school).map((sheet) => sheet.id)).toEqual(order)
  })
})

describe('the size of a series', () => {
  it('is declared, and surplus prints get no number', () => {
    const { edition } = curatedTable({ size: 4 })
    expect(allocate(edition, 'edition', inOrder(edition, 'hand'))).toEqual({
      series: 'edition',
      size: 4,
      assignments: [1, 2, 3, 4].map((n) => ({ sheetId: n, number: n })),
    })
  })

  it('counted from the good prints leaves back those that are promised as proofs', () => {
    const table = curatedTable({ sizeSchool: 'counted', proofs: { AP: 1, PP: 1, HC: 0 } })
    const ids = (series: 'edition' | 'AP') => candidatesFor(table.edition, series).map(({ id }) => id)
    expect(ids('edition')).toEqual([5, 4, 3])
    // One of them is set aside: it is owed no more.
    table.must('set-aside', { sheetIds: [5], bound: 'PP' })
    expect(ids('edition')).toEqual([4, 3, 2])
    table.must('give-numbers', allocate(table.edition, 'AP', candidatesFor(table.edition, 'AP').slice(0, 1)))
    expect(ids('edition')).toEqual([3, 2, 1])
    table.must('give-numbers', allocate(table.edition, 'edition', candidatesFor(table.edition, 'edition')))
    expect([ids('edition'), table.edition.seriesSize.edition]).toEqual([[], 3])
    const late = curatedTable({ sizeSchool: 'counted', proofs: { AP: 2, PP: 0, HC: 0 } })
    late.must('give-numbers', allocate(late.edition, 'edition', candidatesFor(late.edition, 'edition')))
    // The edition has its numbers: what is left is for the proofs alone.
    expect(candidatesFor(late.edition, 'edition')).toEqual([])
    const { edition } = curatedTable({ sizeSchool: 'counted', proofs: { AP: 9, PP: 0, HC: 0 } })
    expect(candidatesFor(edition, 'edition')).toHaveLength(5)
  })

  it('is counted from the good prints, and grows by tranches', () => {
    const table = curatedTable({ sizeSchool: 'counted' })
    const first = allocate(table.edition, 'edition', inOrder(table.edition, 'hand').slice(0, 2))
    table.must('give-numbers', first)
    expect(allocate(table.edition, 'edition', inOrder(table.edition, 'hand'))).toEqual({
      series: 'edition',
      size: 5,
      assignments: [
        [3, 3],
        [4, 4],
        [5, 5],
      ].map(([sheetId, number]) => ({ sheetId, number })),
    })
  })
})

describe('the pencilled line', () => {
  it('writes roman numerals', () => {
    expect([1, 4, 9, 14, 40, 1994].map(roman)).toEqual(['I', 'IV', 'IX', 'XIV', 'XL', 'MCMXCIV'])
  })

  it('follows the custom, the school and the series', () => {
    const mark = { series: 'edition' as const, number: 7 }
    expect(pencilLine(plan, 'Tide Gauge', mark, 30)).toEqual({
      left: '7/30',
      middle: 'Tide Gauge',
      right: 'Ansa Quill 2026',
    })
    expect(pencilLine({ ...plan, line: 'title-number-signature', year: null }, 'Tide Gauge', mark, 30)).toEqual({
      left: 'Tide Gauge',
      middle: '7/30',
      right: 'Ansa Quill',
    })
    expect(pencilLine({ ...plan, line: 'number-signature' }, 'Tide Gauge', mark, 30).middle).toBe('')
    expect(numberAsWritten({ ...plan, sizeSchool: 'varied' }, mark, 30)).toBe('EV 7/30')
    expect(numberAsWritten({ ...plan, sizeSchool: 'open' }, mark, 30)).toBe('7')
    expect(numberAsWritten(plan, { series: 'AP', number: 2 }, 3)).toBe('AP II/III')
    expect(numberAsWritten({ ...plan, numerals: 'arabic' }, { series: 'HC', number: 2 }, 3)).toBe('HC 2/3')
  })
})
