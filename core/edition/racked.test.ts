import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import type { RackDescription } from '../stores/rack/description'
import { freeSlots, type RackState, roomIn } from '../stores/rack/state'
import { nextLays } from './stack'

const rackOf = (table: PressTable, id = 'r1') => table.states.get(`rack:${id}`) as RackState
const at = (table: PressTable, type: string, stream: string, data: unknown, role?: 'student') =>
  table.submit({ type, stream, data, expectedSeq: table.states.get(stream)?.seq }, role).refusal?.code
const long: RackDescription = { name: 'Long rack', kind: 'rack', slots: 4, perSlot: 1, place: 'north wall' }

function printed(sheets = 6, images = 1): PressTable {
  const table = new PressTable().tear(sheets, images)
  expect(at(table, 'add-rack', 'rack:r1', long)).toBeUndefined()
  for (let id = 1; id <= Math.min(sheets * images, 3); id++) table.pull(id)
  return table
}
const lay = (table: PressTable, sheetIds: number[], from: number | null = null, rackId = 'r1') =>
  table.give('lay-in', { rackId, layerId: table.layer, sheetIds, from }).refusal?.code

describe('a rack', () => {
  it('takes a stack into its next free slots, and says so on both sides', () => {
    const table = printed()
    expect(lay(table, [3, 1])).toBeUndefined()
    expect(rackOf(table).lain.map(({ slot, sheetIds, title }) => [slot, sheetIds, title])).toEqual([
      [1, [3], 'Tide Gauge'],
      [2, [1], 'Tide Gauge'],
    ])
    expect(table.edition.sheets[0]!.rack).toEqual({ rackId: 'r1', rackName: 'Long rack', slot: 2, isOut: false })
    expect([freeSlots(rackOf(table)), roomIn([rackOf(table), { ...long, lain: [], perSlot: 5 }])]).toEqual([[3, 4], 22])
  })

  it('refuses a slot that is taken, more than it holds, and what lies somewhere already', () => {
    const table = printed()
    expect(lay(table, [1], 2)).toBeUndefined()
    expect(table.give('lay-in', { rackId: 'r1', layerId: table.layer, sheetIds: [2], from: 2 }).refusal).toMatchObject({
      code: 'slot-taken',
      message: expect.stringContaining('Slot 2 of Long rack holds a sheet of Tide Gauge'),
    })
    expect(lay(table, [2, 3, 4, 5])).toBe('rack-full')
    expect(lay(table, [2, 3], 4)).toBe('rack-full')
    expect(lay(table, [1])).toBe('lies-already')
    expect([lay(table, []), lay(table, [99]), lay(table, [2], null, 'r9')]).toEqual([
      'no-sheet',
      'unknown-sheet',
      'unknown-rack',
    ])
  })

  it('is emptied by slots, only of what lies there, and remembers the order', () => {
    const table = printed()
    lay(table, [3, 2, 1])
    const out = (slots: number[]) => table.give('take-out', { rackId: 'r1', slots }).refusal?.code
    expect([out([]), out([4])]).toEqual(['no-slot', 'not-there'])
    expect(out([1, 2, 3])).toBeUndefined()
    expect(rackOf(table).lain).toEqual([])
    expect(table.edition.sheets.slice(0, 3).map(({ rack }) => [rack?.slot, rack?.isOut])).toEqual([
      [3, true],
      [2, true],
      [1, true],
    ])
    table.must('add-layer', { name: 'second', blocks: [] })
    const second = table.edition.layers[1]!
    const { name, blocks, routine } = second
    table.must('change-layer', { layerId: second.id, name, blocks, routine, stackOrder: 'slot' })
    const coming = nextLays(table.edition, table.edition.layers[1]!, 9, new Set()).flat()
    expect(coming.map(({ id }) => id)).toEqual([3, 2, 1])
  })

  it('takes paper of several images as the one piece it is, and several pieces to a slot', () => {
    const table = printed(3, 2)
    expect(at(table, 'describe-rack', 'rack:r1', { ...long, perSlot: 2 })).toBeUndefined()
    expect(lay(table, [1, 2, 3])).toBeUndefined()
    expect(rackOf(table).lain.map(({ sheetIds }) => sheetIds)).toEqual([[1, 2, 3, 4]])
  })

  it('keeps what lies in it when it is described anew, and is described by staff', () => {
    const table = printed()
    lay(table, [1], 4)
    expect(at(table, 'describe-rack', 'rack:r1', { ...long, slots: 3 })).toBe('rack-unfit')
    expect(at(table, 'describe-rack', 'rack:r1', { ...long, name: ' ' })).toBe('rack-unfit')
    expect(at(table, 'describe-rack', 'rack:r1', long, 'student')).toBe('not-allowed')
    expect(at(table, 'add-rack', 'rack:r1', long)).toBe('already-there')
    expect(table.give('split-sheet', { sheetId: 1 }).refusal?.code).toBe('in-a-rack')
    table.must('split-sheet', { sheetId: 2 })
    expect(lay(table, [2])).toBe('split')
  })

  it('is emptied of a closed edition, and takes nothing of it', () => {
    const table = printed()
    lay(table, [1])
    table.must('close', { note: '', block: 'kept', blockIds: [] })
    expect(lay(table, [2])).toBe('closed')
    expect(table.give('take-out', { rackId: 'r1', slots: [1] }).refusal).toBeUndefined()
  })
})
