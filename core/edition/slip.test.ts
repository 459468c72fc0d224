import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { countEdition } from './count'
import { layersOn } from './layers-on'
import { placeOf } from './places'
import { slipMoves } from './slip'

const reason = 'two sheets stuck together'
const mend = (at: PressTable, pullId: string, by = 1) => at.give('mend-slip', { pullId, by, reason }).refusal?.code
const liesOn = (at: PressTable) => at.edition.pulls.map(({ sheetIds }) => sheetIds[0])
const moves = (at: PressTable, pullId: string, by: number) => {
  const found = slipMoves(at.edition, pullId, by)
  return 'refusal' in found ? found.refusal.code : found.map(({ from, to }) => [from, to])
}

describe('a slip', () => {
  it('from one pull on is previewed and put right, with verdicts going along', () => {
    const at = new PressTable().tear(6)
    const pulls = [1, 2, 3, 4].map((sheet) => at.pull(sheet, { verdict: sheet === 3 ? 'reject' : 'good' }))
    expect(moves(at, pulls[1]!, 1)).toEqual([
      [2, 3],
      [3, 4],
      [4, 5],
    ])
    expect(mend(at, pulls[1]!)).toBeUndefined()
    expect(liesOn(at)).toEqual([1, 3, 4, 5])
    const place = (id: number) => placeOf(at.edition, at.edition.sheets[id - 1]!).kind
    expect([1, 2, 3, 4, 5, 6].map(place)).toEqual(['good', 'blank', 'good', 'reject', 'good', 'blank'])
    expect(countEdition(at.edition)).toMatchObject({ balances: true, findings: [] })
    // And back again, as it was.
    expect(mend(at, pulls[1]!, -1)).toBeUndefined()
    expect(liesOn(at)).toEqual([1, 2, 3, 4])
    expect(place(3)).toBe('reject')
  })

  it('steps over sheets that others pulled, and moves nobody else’s', () => {
    const at = new PressTable().tear(6)
    const first = at.pull(1)
    at.person = 'p2'
    at.pull(2)
    at.person = 'p1'
    at.pull(3)
    expect(moves(at, first, 1)).toEqual([
      [1, 3],
      [3, 4],
    ])
    expect(mend(at, first)).toBeUndefined()
    expect(liesOn(at)).toEqual([3, 2, 4])
  })

  it('follows the stack of a later layer, in whatever order that came', () => {
    const at = new PressTable().tear(4)
    at.must('add-layer', { name: 'second', blocks: [] })
    const second = at.edition.layers[1]!
    for (const sheet of [1, 2, 3, 4]) at.pull(sheet)
    at.must('declare-dry', { layerId: at.layer, sheetIds: [1, 2, 3, 4] })
    at.must('change-layer', { layerId: second.id, name: 'second', blocks: [], routine: '', stackOrder: 'reversed' })
    const pull = at.pull(4, { layerId: second.id })
    at.pull(3, { layerId: second.id })
    expect(moves(at, pull, 1)).toEqual([
      [4, 3],
      [3, 2],
    ])
    expect(mend(at, pull)).toBeUndefined()
    expect(at.edition.sheets.map((sheet) => layersOn(at.edition, sheet).length)).toEqual([1, 2, 2, 1])
    // The first layer's pulls lie beneath the second's now.
    expect(mend(at, at.edition.pulls[0]!.pullId)).toBe('later-layer')
  })

  it('is refused where no sheet could have come, or where it would break what is settled', () => {
    const at = new PressTable().tear(3)
    const pulls = [1, 2, 3].map((sheet) => at.pull(sheet))
    expect(mend(at, pulls[0]!)).toBe('no-such-sheet')
    expect(mend(at, pulls[0]!, -1)).toBe('no-such-sheet')
    expect(mend(at, pulls[0]!, 0)).toBe('slip-range')
    expect(mend(at, 'none')).toBe('unknown-pull')
    at.must('void-pull', { pullId: pulls[2]!, reason })
    expect(mend(at, pulls[2]!)).toBe('not-counted')
    expect(at.give('mend-slip', { pullId: pulls[0]!, by: 1, reason: ' ' }).refusal?.code).toBe('reason-missing')
    // A sheet that was spoiled meanwhile was not the one that came.
    at.must('spoil-sheet', { sheetId: 3, fault: 'handling', reason: '' })
    expect(mend(at, pulls[0]!)).toBe('no-such-sheet')
  })
})
