import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { chanceFor, courseOf, layersPulled, stackOf } from '../run/outlook'
import { noRecord } from '../plan/shop-record'
import { hasEveryLayer } from './layers-on'
import { placeOf } from './places'
import { waitingFor } from './stack'

/** Two layers: gilding first, laid without a press, then a key block. */
function gilded(sheets = 4): PressTable {
  const table = new PressTable({ layersPlanned: 2, layering: 'ahead' }).tear(sheets)
  table.must('set-without-pull', { layerId: table.layer, withoutPull: true })
  return table
}
const key = (table: PressTable) => table.edition.layers[1]!
const lay = (table: PressTable, sheetIds: number[], layerId = table.layer) =>
  table.give('lay-layer', { layerId, sheetIds }).refusal?.code
const kinds = (table: PressTable) => table.edition.sheets.map((sheet) => placeOf(table.edition, sheet).kind)

describe('a layer without a pull', () => {
  it('is laid on sheets that wait for it, dries, and is printed over', () => {
    const table = gilded()
    expect(lay(table, [1, 2, 3])).toBeUndefined()
    expect(kinds(table)).toEqual(['drying', 'drying', 'drying', 'blank'])
    expect(waitingFor(table.edition, key(table))).toBe(3)
    table.must('declare-dry', { layerId: table.layer, sheetIds: [1, 2] })
    table.pull(1, { layerId: key(table).id })
    expect(hasEveryLayer(table.edition, table.edition.sheets[0]!)).toBe(true)
    table.pull(3, { layerId: key(table).id })
    expect(table.edition.pulls[1]!.disputed?.rule).toBe('not-dry')
  })

  it('takes no pulls, and is not laid twice nor on what is no sheet', () => {
    const table = gilded()
    table.pull(1)
    expect(table.edition.pulls[0]!.disputed?.rule).toBe('without-pull')
    lay(table, [1])
    expect([lay(table, [1]), lay(table, []), lay(table, [9]), lay(table, [2], key(table).id)]).toEqual([
      'not-waiting',
      'no-sheet',
      'unknown-sheet',
      'is-pulled',
    ])
    expect(table.give('cut-further', { layerId: table.layer }).refusal?.code).toBe('without-pull')
    expect(table.give('set-without-pull', { layerId: table.layer, withoutPull: false }).refusal?.code).toBe('begun')
  })

  it('is taken off again with a reason, unless something lies on it', () => {
    const table = gilded()
    lay(table, [1, 2])
    table.must('declare-dry', { layerId: table.layer, sheetIds: [1] })
    const pullId = table.pull(1, { layerId: key(table).id })
    const lift = (sheetIds: number[], reason = 'not gilded') =>
      table.give('lift-layer', { layerId: table.layer, sheetIds, reason }).refusal?.code
    expect([lift([1]), lift([2], ' '), lift([3]), lift([])]).toEqual([
      'later-layer',
      'reason-missing',
      'not-on-it',
      'no-sheet',
    ])
    expect(lift([2])).toBeUndefined()
    expect(kinds(table)[1]).toBe('blank')
    table.must('void-pull', { pullId, reason: 'wrong block' })
    expect(lift([1])).toBeUndefined()
  })

  it('holds the pull beneath it', () => {
    const table = new PressTable({ layersPlanned: 2, layering: 'ahead' }).tear(2)
    const gold = table.edition.layers[1]!
    table.must('set-without-pull', { layerId: gold.id, withoutPull: true })
    const pullId = table.pull(1)
    expect(lay(table, [1], gold.id)).toBe('not-dry')
    table.must('declare-dry', { layerId: table.layer, sheetIds: [1] })
    expect(lay(table, [1], gold.id)).toBeUndefined()
    expect(table.give('void-pull', { pullId, reason: 'x' }).refusal?.code).toBe('later-layer')
  })

  it('is no press pass in the chances: what waits for it has only the presses before it', () => {
    const table = gilded(6)
    const plan = table.edition.plan!
    const { layers, printed } = courseOf(stackOf(table.edition), plan, noRecord)
    expect([layers.map(({ waiting }) => waiting), printed, layersPulled(table.edition, 2)]).toEqual([[6], 0, 1])
    const before = chanceFor(stackOf(table.edition), plan, noRecord).chance
    lay(table, [1, 2, 3, 4, 5, 6])
    expect(chanceFor(stackOf(table.edition), plan, noRecord).chance).toBeCloseTo(before, 12)
  })
})
