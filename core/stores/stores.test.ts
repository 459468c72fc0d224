import { tornRight } from '../../tests/fixtures/torn'
import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { lotDefaults } from './lot/defaults'
import { inHand, type LotState } from './lot/state'
import type { StudioState } from './studio/state'

const description = {
  ...lotDefaults,
  maker: 'Oakum Vale',
  name: 'cream laid',
  width: 760,
  height: 560,
  weight: 200,
  price: 4.6,
}
const laid = { ...description, sheets: 20 }
const lotOf = (table: PressTable) => table.states.get('lot:l1') as LotState

function code(table: PressTable, type: string, stream: string, data: unknown, role?: 'student' | 'member') {
  return table.submit({ type, stream, data }, role).refusal?.code
}

describe('a paper lot', () => {
  it('falls as sheets are torn, and a tear beyond the book waits for a count', () => {
    const table = new PressTable()
    expect(code(table, 'add-lot', 'lot:l1', laid)).toBeUndefined()
    table.must('tear', tornRight('l1', 7, 26, { width: 300, height: 230 }))
    expect(lotOf(table)).toMatchObject({ left: 13, bought: 20 })
    expect(table.edition.torn).toEqual([
      {
        lotId: 'l1',
        lotName: 'cream laid',
        lotSheets: 7,
        count: 26,
        images: 1,
        pricePerLotSheet: 4.6,
        width: 300,
        height: 230,
      },
    ])
    table.must('tear', tornRight('l1', 14, 56))
    expect(lotOf(table).left).toBe(-1)
    expect(code(table, 'count-lot', 'lot:l1', { sheets: 15, reason: '' })).toBe('reason-missing')
    expect(code(table, 'count-lot', 'lot:l1', { sheets: 15, reason: 'two were under the press' })).toBeUndefined()
    expect(lotOf(table)).toMatchObject({
      left: 15,
      counts: [{ before: -1, after: 15, reason: 'two were under the press' }],
    })
  })

  it('keeps what was torn wrong as spoiled sheets, and offcuts as proof paper', () => {
    const table = new PressTable()
    code(table, 'add-lot', 'lot:l1', laid)
    table.must('tear', {
      ...tornRight('l1', 6, 24),
      wrong: 2,
      reason: 'edge slipped',
      offcuts: [{ lotId: 'o1', width: 200, height: 150, count: 6 }],
    })
    expect(table.edition.made).toBe(26)
    expect(
      table.edition.sheets.filter((sheet) => sheet.spoiled).map((sheet) => [sheet.id, sheet.spoiled!.reason]),
    ).toEqual([
      [25, 'torn wrong: edge slipped'],
      [26, 'torn wrong: edge slipped'],
    ])
    expect(table.states.get('lot:o1')).toMatchObject({ name: 'cream laid, offcuts', use: 'proof', left: 6, price: 0 })
    expect(
      table.give('tear', { ...tornRight('l1', 1, 4), offcuts: [{ lotId: 'o1', width: 90, height: 90, count: 1 }] })
        .refusal?.code,
    ).toBe('already-there')
  })

  it('is put aside for a person, given out, torn from and brought back', () => {
    const table = new PressTable()
    code(table, 'add-lot', 'lot:l1', laid)
    const ration = () => lotOf(table).rations[0]!
    expect(code(table, 'ration-paper', 'lot:l1', { personId: 'p2', sheets: 21 })).toBe('stock-short')
    expect(code(table, 'ration-paper', 'lot:l1', { personId: 'p2', sheets: 6 }, 'student')).toBe('not-allowed')
    expect(code(table, 'ration-paper', 'lot:l1', { personId: 'p2', sheets: 6 })).toBeUndefined()
    const rationId = ration().id
    expect(lotOf(table).left).toBe(20)
    expect(code(table, 'ration-paper', 'lot:l1', { personId: 'p3', sheets: 15 })).toBe('stock-short')
    expect(code(table, 'return-paper', 'lot:l1', { rationId, sheets: 1 })).toBe('more-than-in-hand')
    expect(code(table, 'release-paper', 'lot:l1', { rationId, sheets: 7 })).toBe('more-than-put-aside')
    expect(code(table, 'release-paper', 'lot:l1', { rationId, sheets: 5 })).toBeUndefined()
    expect(lotOf(table).left).toBe(15)
    expect(table.give('tear', { ...tornRight('l1', 6, 24), rationId }).refusal?.code).toBe('more-than-in-hand')
    table.must('tear', { ...tornRight('l1', 3, 12), rationId })
    expect([lotOf(table).left, inHand(ration())]).toEqual([15, 2])
    expect(code(table, 'return-paper', 'lot:l1', { rationId, sheets: 2 })).toBeUndefined()
    expect(lotOf(table).left).toBe(17)
    expect(code(table, 'release-paper', 'lot:l1', { rationId: 'other', sheets: 1 })).toBe('unknown-ration')
  })

  it('is described anew and bought again', () => {
    const table = new PressTable()
    code(table, 'add-lot', 'lot:l1', laid)
    expect(
      code(table, 'describe-lot', 'lot:l1', { ...description, grain: 'height', keptAt: 'drawer 3' }),
    ).toBeUndefined()
    expect(code(table, 'describe-lot', 'lot:l1', { ...description, name: ' ' })).toBe('name-missing')
    expect(code(table, 'buy-paper', 'lot:l1', { sheets: 30, price: 5.1 })).toBeUndefined()
    expect(lotOf(table)).toMatchObject({ grain: 'height', keptAt: 'drawer 3', left: 50, bought: 50, price: 5.1 })
  })

  it('refuses a lot twice, without a name, or unknown', () => {
    const table = new PressTable()
    expect(code(table, 'add-lot', 'lot:l1', { ...laid, name: '  ' })).toBe('name-missing')
    code(table, 'add-lot', 'lot:l1', laid)
    expect(code(table, 'add-lot', 'lot:l1', laid)).toBe('already-there')
    expect(code(table, 'count-lot', 'lot:other', { sheets: 3, reason: 'x' })).toBe('unknown-lot')
    expect(table.give('tear', tornRight('other', 1, 4)).refusal?.code).toBe('unknown-lot')
  })

  it.each([
    [{ lotSheets: 1, count: 0 }, 'count-range'],
    [{ lotSheets: 0, count: 4 }, 'lot-sheets-range'],
    [{ lotSheets: 5, count: 4 }, 'lot-sheets-range'],
    [{ lotSheets: 1, count: 3, wrong: 1 }, 'reason-missing'],
    [{ lotSheets: 1, count: 6000 }, 'too-many-sheets'],
  ])('refuses to tear %o', (given, expected) => {
    const table = new PressTable()
    code(table, 'add-lot', 'lot:l1', laid)
    expect(table.give('tear', { ...tornRight('l1', 1, 4), ...given }).refusal?.code).toBe(expected)
    expect(lotOf(table).left).toBe(20)
    expect(table.edition.made).toBe(0)
  })
})

describe('the studio', () => {
  const studio = (table: PressTable) => table.states.get('studio') as StudioState

  it('keeps at least one manager', () => {
    const table = new PressTable()
    code(table, 'add-person', 'studio', { personId: 'ansa', role: 'manager' })
    expect(code(table, 'add-person', 'studio', { personId: 'ansa', role: 'member' })).toBe('already-there')
    expect(code(table, 'change-person', 'studio', { personId: 'ansa', role: 'member', active: true })).toBe(
      'last-manager',
    )
    expect(code(table, 'change-person', 'studio', { personId: 'ansa', role: 'manager', active: false })).toBe(
      'last-manager',
    )
    code(table, 'add-person', 'studio', { personId: 'piers', role: 'manager' })
    expect(code(table, 'change-person', 'studio', { personId: 'ansa', role: 'member', active: true })).toBeUndefined()
    expect(studio(table).people).toEqual({
      ansa: { role: 'member', active: true },
      piers: { role: 'manager', active: true },
    })
    expect(code(table, 'change-person', 'studio', { personId: 'nobody', role: 'member', active: true })).toBe(
      'unknown-person',
    )
  })

  it('is set by its manager alone', () => {
    const table = new PressTable()
    const data = { name: 'Rope Works', line: 'number-signature', destroyedNumber: 'replaced', currency: '€' }
    expect(code(table, 'set-studio', 'studio', data, 'member')).toBe('not-allowed')
    expect(code(table, 'set-studio', 'studio', { ...data, name: '' })).toBe('name-missing')
    expect(code(table, 'set-studio', 'studio', data)).toBeUndefined()
    expect(studio(table)).toMatchObject(data)
  })
})
