import { expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { editionRecord } from '../edition/record'
import { emptyStudio } from '../stores/studio/state'
import { readPastRecords } from './past-records'

const record = () => {
  const table = new PressTable({ work: 'beginners' }).tear(4)
  for (const id of [1, 2, 3]) table.pull(id)
  table.pull(4, { verdict: 'reject', faults: ['slur'] })
  return editionRecord(table.edition, emptyStudio(), String, 'UTC')
}

it('a record of another room is read as totals', () => {
  const { rows, faults } = readPastRecords([JSON.stringify(record())])
  expect(faults).toEqual([])
  expect(rows).toEqual([
    { title: 'Tide Gauge', method: 'single', work: 'beginners', passed: 3, rejected: 1, finished: 0, lost: 0 },
  ])
})

it('what is no record, is cut, newer, or has a part missing is told file by file', () => {
  const whole = record()
  const files = [
    '{"format":"something else"}',
    JSON.stringify(whole).slice(0, 200),
    JSON.stringify({ ...whole, version: 2 }),
    JSON.stringify({ ...whole, title: undefined }),
    JSON.stringify({ ...whole, layers: 'many' }),
    'null',
    JSON.stringify(whole),
  ]
  const { rows, faults } = readPastRecords(files)
  expect(rows).toHaveLength(1)
  expect(faults.map(({ line }) => line)).toEqual([1, 2, 3, 4, 5, 6])
})
