import { expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { samples } from '../../tests/fixtures/requests'
import { stockColumns, stockLines } from '../stores/stock-lines'
import {
  editionColumns,
  editionLine,
  impressionColumns,
  impressionLines,
  sheetColumns,
  sheetTable,
} from './table-lines'

/** A proof, a good pull, one struck out, and one that was disputed, at a press that was set twice. */
function pulled(): PressTable {
  const table = new PressTable({ size: 2 }).tear(3)
  table.submit({ type: 'add-press', stream: 'press:p1', data: samples['add-press'] })
  table.must('set-press', { ...samples['set-press'], layerId: table.layer, pressId: 'p1' })
  const { seq } = table.edition.layers[0]!.setups[0]!
  table.pull(1, { setupSeq: seq, batchIds: ['b1'], faults: ['salt'], verdict: 'doubtful' })
  const struck = table.pull(2)
  table.must('void-pull', { pullId: struck, reason: 'a slip' })
  table.pull(1)
  return table
}

it('an edition is one line that says what counts', () => {
  const line = editionLine(pulled().edition)
  expect(Object.keys(line)).toEqual([...editionColumns])
  expect(line).toMatchObject({
    edition: 'Tide Gauge',
    size: 2,
    sheets: 3,
    good: 0,
    impressions: 1,
    closed: '',
    block: '',
  })
  expect(editionLine(new PressTable({ sizeSchool: 'open work' }).edition).size).toBe('')
})

it('every impression is a line, those struck out and disputed too, with its press, inks and printer', () => {
  const lines = impressionLines(
    pulled().edition,
    (id) => `name of ${id}`,
    (id) => `ink ${id}`,
  )
  expect(lines.map(({ impression, counts }) => [impression, counts])).toEqual([
    [1, 'counts'],
    [2, 'struck out'],
    [3, 'disputed'],
  ])
  expect(Object.keys(lines[0]!)).toEqual([...impressionColumns])
  expect(lines[0]).toMatchObject({ verdict: 'doubtful', faults: 'salt', sheets: '1', by: 'name of p1', inks: 'ink b1' })
  expect(lines[0]!.press).not.toBe('')
})

it('sheets carry the title of their edition, and stock is in sheets and grams', () => {
  const sheets = sheetTable(pulled().edition)
  expect(sheets.map(({ edition, sheet }) => [edition, sheet])).toEqual([1, 2, 3].map((id) => ['Tide Gauge', id]))
  expect(Object.keys(sheets[0]!)).toEqual([...sheetColumns])
  const kept = { maker: 'Oakum Vale', price: 4, keptAt: 'drawer 2' }
  const lines = stockLines(
    [{ name: 'laid', left: -2, ...kept }],
    [{ name: 'black', left: 1250, ...kept }],
    [{ name: 'slate', left: 40 }],
  )
  expect(lines.map(({ kind, left, unit }) => [kind, left, unit])).toEqual([
    ['paper', -2, 'sheets'],
    ['ink', 1.3, 'g'],
    ['mixed ink', 0, 'g'],
  ])
  for (const line of lines) expect(Object.keys(line)).toEqual([...stockColumns])
})
