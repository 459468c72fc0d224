import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { HandOuts } from './hand-outs'
import { hashSecret, secretMatches } from './secrets'

const minute = 60_000

describe('handing out sheets', () => {
  it('keeps a station its next sheets for a while, and gives up those ahead when another has none', () => {
    const table = new PressTable().tear(5)
    const hands = new HandOuts()
    const next = (device: string, now = 0) => hands.next(table.edition, table.layer, device, now)
    expect(next('long press')).toEqual({ sheetIds: [1, 2, 3], heldByOthers: [] })
    expect(next('long press')).toEqual({ sheetIds: [1, 2, 3], heldByOthers: [] })
    expect(next('platen')).toEqual({ sheetIds: [4, 5], heldByOthers: [1, 2, 3] })
    expect(next('table')).toEqual({ sheetIds: [2], heldByOthers: [1, 3, 4, 5] })
    expect(next('fourth')).toEqual({ sheetIds: [3], heldByOthers: [1, 2, 4, 5] })
    expect(next('fifth')).toEqual({ sheetIds: [5], heldByOthers: [1, 2, 3, 4] })
    expect(next('sixth')).toEqual({ sheetIds: [], heldByOthers: [1, 2, 3, 4, 5] })
    // The first of them finds its next still kept, and the others gone.
    expect(next('long press')).toEqual({ sheetIds: [1], heldByOthers: [2, 3, 4, 5] })
    expect(next('sixth', 11 * minute)).toEqual({ sheetIds: [1, 2, 3], heldByOthers: [] })
  })

  it('never hands the same sheet to two stations as their next', () => {
    const table = new PressTable().tear(12)
    const hands = new HandOuts()
    const stations = ['a', 'b', 'c', 'd', 'e']
    const mine = new Map<string, number[]>()
    for (let turn = 0; turn < 200 && table.edition.pulls.length < 12; turn++) {
      const station = stations[(turn * 7) % 5]!
      const { sheetIds } = hands.next(table.edition, table.layer, station, turn)
      const firsts = [...mine].filter(([other]) => other !== station).map(([, ids]) => ids[0])
      expect(firsts).not.toContain(sheetIds[0] ?? 'none')
      mine.set(station, sheetIds)
      if (sheetIds.length === 0 || turn % 3 === 0) continue
      table.pull(sheetIds[0]!)
      mine.delete(station)
    }
    expect(table.edition.pulls.every((pull) => pull.disputed === null)).toBe(true)
  })

  it('forgets a sheet that was pulled', () => {
    const table = new PressTable().tear(3)
    const hands = new HandOuts()
    hands.next(table.edition, table.layer, 'long press', 0)
    table.pull(1)
    expect(hands.next(table.edition, table.layer, 'platen', 0)).toEqual({ sheetIds: [2], heldByOthers: [3] })
    expect(hands.next(table.edition, 'no layer', 'platen', 0)).toEqual({ sheetIds: [], heldByOthers: [] })
    hands.clear()
    expect(hands.next(table.edition, table.layer, 'third', 0).sheetIds).toEqual([2, 3])
  })

  it('leaves a station what it was handed by a server that was started anew, whoever asks first', () => {
    const table = new PressTable().tear(8)
    const before = new HandOuts()
    const first = before.next(table.edition, table.layer, 'long press', 0)
    const second = before.next(table.edition, table.layer, 'platen', 0)
    const after = new HandOuts()
    const next = (device: string, inHand: number[]) =>
      after.next(table.edition, table.layer, device, 0, new Set(inHand)).sheetIds
    expect(next('platen', second.sheetIds)).toEqual([4, 5, 6])
    expect(next('long press', first.sheetIds)).toEqual([1, 2, 3])
    // What another holds, or carries the layer already, is not got by asking for it.
    table.pull(8)
    expect(next('table', [8, 4, 99])).toEqual([7])
  })

  it('lets go of what the stations of a device hold when its person signs out', () => {
    const table = new PressTable().tear(3)
    const hands = new HandOuts()
    hands.next(table.edition, table.layer, 'tablet~one', 0)
    hands.release('phone')
    expect(hands.next(table.edition, table.layer, 'phone~one', 0).sheetIds).toEqual([2])
    hands.release('tablet')
    expect(hands.next(table.edition, table.layer, 'phone~two', 0).sheetIds).toEqual([1, 3])
  })
})

describe('secrets', () => {
  it('match only themselves, and are never kept in clear', async () => {
    const kept = await hashSecret('net loft')
    expect(kept).not.toContain('net')
    expect(await hashSecret('net loft')).not.toBe(kept)
    expect(await secretMatches('net loft', kept)).toBe(true)
    expect(await secretMatches('Net loft', kept)).toBe(false)
    expect(await secretMatches('net loft', 'broken')).toBe(false)
  })

  it('fit however an accent was typed', async () => {
    expect(await secretMatches('cafe\u0301', await hashSecret('caf\u00e9'))).toBe(true)
  })
})
