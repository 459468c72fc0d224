import { expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { samples } from '../../tests/fixtures/requests'
import { countEdition } from './count'
import { broughtUpToDate } from './older-copy'
import type { EditionState } from './state'

/** Without keys that a program of some months ago did not know. */
function asOf<Value>(value: Value, unknown: readonly string[]): Value {
  if (Array.isArray(value)) return value.map((one) => asOf(one, unknown)) as Value
  if (typeof value !== 'object' || value === null) return value
  const known = Object.entries(value).filter(([key]) => !unknown.includes(key))
  return Object.fromEntries(known.map(([key, of]) => [key, asOf(of, unknown)])) as Value
}

it('a copy kept by an older program knows today’s defaults, and counts as it did', () => {
  const table = new PressTable().tear(3)
  table.must('plan-piece', { piece: { ...samples['plan-piece'].piece, images: { across: 1, down: 1, gap: 0 } } })
  table.must('draw-register', { register: { ...samples['draw-register'].register, more: [] }, formatId: null })
  table.pull(1)
  const unknown = [
    'fills',
    'withoutPull',
    'settling',
    'drying',
    'together',
    'laid',
    'finished',
    'rack',
    'apart',
    'grade',
    'images',
    'more',
    'finishLog',
    'touchTests',
  ]
  const kept = JSON.parse(JSON.stringify(table.edition)) as EditionState
  Reflect.deleteProperty(kept, 'finishing')
  const older = asOf(kept, unknown)
  expect(JSON.stringify(older)).not.toContain('"apart"')
  const brought = broughtUpToDate(older)
  expect(brought).toEqual(JSON.parse(JSON.stringify(table.edition)))
  expect(countEdition(brought)).toEqual(countEdition(table.edition))
})
