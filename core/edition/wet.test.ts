import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { layerDrying, undriedUnder } from './wet'

describe('what is wet', () => {
  it('is alive, printed, and said dry by nobody', () => {
    const table = new PressTable().tear(4)
    for (const id of [1, 2, 3]) table.pull(id)
    table.pull(4, { verdict: 'reject' })
    table.must('declare-dry', { layerId: table.layer, sheetIds: [2] })
    expect(undriedUnder(table.edition, table.layer)).toEqual([1, 3])
  })

  it('is looked for on the layer that dries, not on the next that waits for it', () => {
    const table = new PressTable().tear(2)
    expect(layerDrying(table.edition)?.id).toBe(table.layer)
    for (const id of [1, 2]) table.pull(id)
    table.must('add-layer', { name: 'grey', blocks: [] })
    expect(layerDrying(table.edition)?.id).toBe(table.layer)
    table.must('declare-dry', { layerId: table.layer, sheetIds: [1, 2] })
    expect(layerDrying(table.edition)?.id).toBe(table.layer)
  })
})
