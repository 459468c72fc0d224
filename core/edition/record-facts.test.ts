import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { emptyStudio } from '../stores/studio/state'
import { allocate, candidatesFor } from './allocate'
import { editionRecord } from './record'
import { certificateFacts, recordFacts } from './record-facts'

const writing = {
  size: (width: number, height: number) => `${width} × ${height}`,
  day: (iso: string) => iso.slice(0, 10),
}
const recordOf = (table: PressTable) => editionRecord(table.edition, emptyStudio(), (id) => `name of ${id}`, 'UTC')
const fact = (table: PressTable, term: string) =>
  recordFacts(recordOf(table), writing).find((one) => one.term === term)?.lines

function signed(): PressTable {
  const table = new PressTable({ size: 3, sizeSchool: 'declared' }).tear(4)
  for (let id = 1; id <= 4; id++) table.pull(id)
  table.must('declare-dry', { layerId: table.layer, sheetIds: [1, 2, 3, 4] })
  table.must('curate-run', { sheetIds: [1, 2, 3], verdict: 'good', reason: '' })
  table.must('give-numbers', allocate(table.edition, 'edition', candidatesFor(table.edition, 'edition')))
  for (const sheetId of [1, 2, 3]) table.must('sign', { sheetId })
  return table
}

describe('the facts of a record', () => {
  it('leave out what nobody said, and say of what is not done that it is not', () => {
    const table = new PressTable().tear(1)
    expect(fact(table, 'Edition')).toEqual(['not numbered yet'])
    expect([fact(table, 'Image'), fact(table, 'By'), fact(table, 'Amended')]).toEqual([undefined, undefined, undefined])
    expect(fact(table, 'Closed')).toEqual(['not closed'])
  })

  it('name size, signatures, who printed and when, amendments and the end', () => {
    const table = signed()
    const proofs = table.edition.plan!.proofs
    table.must('amend-size', { size: 4, proofs, reason: 'one found behind the rack' })
    expect(fact(table, 'Edition')).toEqual(['numbered 4 (3 signed)', 'declared before printing'])
    expect(fact(table, 'By')).toEqual(['name of p1'])
    expect(fact(table, 'On')).toEqual(['2026-11-02'])
    expect(fact(table, 'Amended')![0]).toMatch(/^to 4 on 2026-11-02 by name of p1: one found behind the rack$/)
    table.must('close', { note: 'scored across', block: 'cancelled', blockIds: [] })
    expect(fact(table, 'Closed')).toEqual(['2026-11-02', 'the block is cancelled', 'scored across'])
  })

  it('are fewer on a certificate, with its number first', () => {
    const facts = certificateFacts(recordOf(signed()), '2/3', writing)
    expect(facts.slice(0, 2)).toEqual([
      { term: 'Number', lines: ['2/3'] },
      { term: 'Edition', lines: ['3 numbered prints'] },
    ])
    expect(facts.some(({ term }) => term === 'The count')).toBe(false)
  })
})
