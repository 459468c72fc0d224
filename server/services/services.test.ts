import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { HandOuts } from './hand-outs'
import { Attempts, hashSecret, secretMatches } from './secrets'

const minute = 60_000

describe('handing out sheets', () => {
  it('keeps a sheet for the station it was handed to, for a while', () => {
    const table = new PressTable().tear(3)
    const hands = new HandOuts()
    const next = (device: string, now = 0) => hands.next(table.edition, table.layer, device, now)
    expect(next('long press')).toEqual({ sheetId: 1, heldByOthers: [] })
    expect(next('long press')).toEqual({ sheetId: 1, heldByOthers: [] })
    expect(next('platen')).toEqual({ sheetId: 2, heldByOthers: [1] })
    expect(next('table')).toEqual({ sheetId: 3, heldByOthers: [1, 2] })
    expect(next('fourth')).toEqual({ sheetId: null, heldByOthers: [1, 2, 3] })
    expect(next('fourth', 11 * minute)).toEqual({ sheetId: 1, heldByOthers: [] })
  })

  it('forgets a sheet that was pulled', () => {
    const table = new PressTable().tear(3)
    const hands = new HandOuts()
    hands.next(table.edition, table.layer, 'long press', 0)
    table.pull(1)
    expect(hands.next(table.edition, table.layer, 'platen', 0)).toEqual({ sheetId: 2, heldByOthers: [] })
    expect(hands.next(table.edition, 'no layer', 'platen', 0)).toEqual({ sheetId: null, heldByOthers: [] })
    hands.clear()
    expect(hands.next(table.edition, table.layer, 'third', 0).sheetId).toBe(2)
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

describe('guessing', () => {
  it('is slowed after five misses, more with each, to a quarter of an hour', () => {
    const attempts = new Attempts()
    for (let i = 0; i < 4; i++) attempts.miss('wren', 0)
    expect(attempts.wait('wren', 0)).toBe(0)
    attempts.miss('wren', 0)
    expect(attempts.wait('wren', 0)).toBe(5)
    expect(attempts.wait('wren', 5_000)).toBe(0)
    attempts.miss('wren', 5_000)
    expect(attempts.wait('wren', 5_000)).toBe(10)
    for (let i = 0; i < 20; i++) attempts.miss('wren', 5_000)
    expect(attempts.wait('wren', 5_000)).toBe(15 * 60)
    expect(attempts.wait('rook', 5_000)).toBe(0)
    attempts.hit('wren')
    expect(attempts.wait('wren', 5_000)).toBe(0)
  })
})
