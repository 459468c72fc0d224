import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'

describe('a cut', () => {
  const twoLayers = () => {
    const table = new PressTable().tear(6)
    table.must('add-layer', { name: 'second', blocks: [] })
    table.pull(1)
    table.must('declare-dry', { layerId: table.layer, sheetIds: [1] })
    table.must('cut-further', { layerId: table.layer })
    return table
  }
  const back = (table: PressTable, reason = 'it was only inked up') =>
    table.give('take-back-cut', { layerId: table.layer, reason }).refusal?.code

  it('is taken back with a reason until the next layer has met a sheet', () => {
    const table = twoLayers()
    expect(table.edition.layers[0]!.cutFurther).toBe(true)
    expect(back(table, ' ')).toBe('reason-missing')
    expect(back(table)).toBeUndefined()
    expect(back(table)).toBe('not-cut')
    expect(table.edition.layers[0]!.cutFurther).toBe(false)
    table.must('cut-further', { layerId: table.layer })
    const [, second] = table.edition.layers
    const pullId = table.pull(1, { layerId: second!.id })
    expect(back(table)).toBe('next-layer-pulled')
    table.must('void-pull', { pullId, reason: 'not of the next state' })
    expect(back(table)).toBeUndefined()
  })

  it('is signed off by staff for a student', () => {
    const table = new PressTable().tear(2)
    const cut = (role: 'student' | 'instructor') =>
      table.submit(
        { type: 'cut-further', stream: 'edition:e1', data: { layerId: table.layer }, expectedSeq: table.edition.seq },
        role,
      ).refusal?.code
    expect(cut('student')).toBe('not-allowed')
    expect(cut('instructor')).toBeUndefined()
  })
})
