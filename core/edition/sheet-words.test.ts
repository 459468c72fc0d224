import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { sheetWords } from './sheet-words'

const words = (table: PressTable, id: number) => sheetWords(table.edition, table.edition.sheets[id - 1]!)

describe('a sheet in words', () => {
  it('tells where it stands, with the faults that were named', () => {
    const table = new PressTable().tear(6)
    table.pull(1, { verdict: 'doubtful', faults: ['salt'] })
    table.pull(2, { verdict: 'reject', faults: ['slur'] })
    table.must('spoil-sheet', { sheetId: 3, fault: 'handling', reason: '' })
    expect(words(table, 1)).toBe('doubtful, salt')
    expect(words(table, 2)).toBe('reject at layer 1, slur')
    expect(words(table, 3)).toBe('spoiled blank, handling')
    expect(words(table, 4)).toBe('blank')
  })

  it('tells its number once it has one', () => {
    const table = new PressTable()
    table.tear(5).number(4)
    expect(words(table, 1)).toMatch(/^edition, numbered, \d\/4$/)
  })
})
