import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { type FinishingPlan, finishingFault, noFinishing, stepsOf } from '../finish/plan'
import { washDoubts } from '../ink/bears-wash'
import { oneImage } from '../paper/piece'
import { finishingStanding } from '../run/finishing-left'
import { countEdition } from './count'
import { batchesOf, sheetLaidOut } from './finishing'
import { passesOf } from './passes'
import { stops } from './stops'

const plan: FinishingPlan = {
  ...noFinishing,
  colours: [
    { id: 'r', name: 'rust' },
    { id: 'y', name: 'yellow' },
  ],
  batch: 2,
  flatten: true,
}

/** Five prints, all good and dry, to be coloured two at a time. */
function printed(): PressTable {
  const table = new PressTable().tear(5)
  for (let id = 1; id <= 5; id++) table.pull(id)
  table.must('declare-dry', { layerId: table.layer, sheetIds: [1, 2, 3, 4] })
  table.must('plan-finishing', { finishing: plan })
  return table
}
const finish = (table: PressTable, step: string, sheetIds: number[], isDone = true) =>
  table.give('finish-sheets', { step, sheetIds, isDone }).refusal?.code
const row = (table: PressTable, key: string) => countEdition(table.edition).rows.find((one) => one.key === key)?.sheets

describe('work after the press', () => {
  it('goes colour by colour, then flat, trimmed and stamped', () => {
    const chop = { kind: 'inked' as const, left: 5, top: 5, width: 8, height: 8 }
    expect(stepsOf({ ...plan, trim: true, chop }).map(({ key }) => key)).toEqual([
      'colour r',
      'colour y',
      'flatten',
      'trim',
      'chop',
    ])
  })

  it('is counted batch by batch, and in the count', () => {
    const table = printed()
    expect(batchesOf(table.edition).map(({ sheets }) => sheets.map(({ id }) => id))).toEqual([[1, 2], [3, 4], [5]])
    expect(finish(table, 'colour r', [1, 2])).toBeUndefined()
    expect([row(table, 'unfinished'), row(table, 'good')]).toEqual([5, undefined])
    for (const step of ['colour y', 'flatten']) finish(table, step, [1, 2])
    expect([row(table, 'unfinished'), row(table, 'good')]).toEqual([3, 2])
    expect(countEdition(table.edition).balances).toBe(true)
    expect(stops(table.edition).find(({ key }) => key === 'finish')).toMatchObject({ figure: '2 of 5', state: 'open' })
  })

  it('is refused on what is wet, done already, no print, or not planned', () => {
    const table = printed()
    finish(table, 'colour r', [1])
    expect(finish(table, 'colour r', [1])).toBe('as-it-is')
    expect(finish(table, 'colour r', [2], false)).toBe('as-it-is')
    expect(finish(table, 'colour r', [5])).toBe('not-dry')
    expect([finish(table, 'trim', [2]), finish(table, 'flatten', []), finish(table, 'flatten', [9])]).toEqual([
      'unknown-step',
      'no-sheet',
      'unknown-sheet',
    ])
    table.must('spoil-sheet', { sheetId: 2, fault: 'bloom', reason: 'a drop of water' })
    expect(finish(table, 'colour r', [2])).toBe('not-printed')
    expect(finish(table, 'colour r', [1], false)).toBeUndefined()
    expect(table.edition.sheets[0]!.finished).toEqual([])
  })

  it('leaves out what was a reject at the press', () => {
    const table = new PressTable().tear(4)
    for (const id of [1, 3, 4]) table.pull(id)
    table.pull(2, { verdict: 'reject' })
    table.must('plan-finishing', { finishing: plan })
    expect(batchesOf(table.edition).map(({ sheets }) => sheets.map(({ id }) => id))).toEqual([[1, 3], [4]])
    table.must('spoil-sheet', { sheetId: 3, fault: 'bloom', reason: '' })
    expect(batchesOf(table.edition)).toHaveLength(2)
  })

  it('loses prints in finishing, which stay in their batch', () => {
    const table = printed()
    table.must('spoil-sheet', { sheetId: 2, fault: 'bloom', reason: '' })
    expect(passesOf(table.edition).finishing).toEqual({ passed: 0, rejected: 1 })
    expect(batchesOf(table.edition)[0]!.sheets.map(({ id }) => id)).toEqual([1, 2])
    expect(finishingStanding(table.edition).of).toBe(4)
  })

  it('says the time left once a step has shown its pace, pauses left out', () => {
    const table = printed()
    // A minute passes with each act: two prints in the first batch, two in the next, so half a minute each.
    finish(table, 'colour r', [1, 2])
    expect(finishingStanding(table.edition)).toMatchObject({ minutesLeft: 0, unknown: ['rust', 'yellow', 'flattened'] })
    finish(table, 'colour r', [3, 4])
    const { steps, minutesLeft, unknown } = finishingStanding(table.edition)
    expect(steps[0]).toMatchObject({ done: 4, of: 5, minutes: 0.5 })
    expect([minutesLeft, unknown]).toEqual([0.5, ['yellow', 'flattened']])
  })

  it('is absent from the way of an edition that needs none', () => {
    const keys = (table: PressTable) => stops(table.edition).map(({ key }) => key)
    expect(keys(new PressTable())).not.toContain('finish')
    expect(keys(new PressTable({ colouring: true }))).toContain('finish')
  })
})

describe('the chop', () => {
  const laid = {
    sheet: { width: 200, height: 160 },
    images: [{ left: 30, top: 30, width: 140, height: 90 }],
    window: { left: 25, top: 25, width: 150, height: 100 },
  }
  const fault = (left: number, top: number, size = 10) =>
    finishingFault({ ...noFinishing, chop: { kind: 'blind', left, top, width: size, height: size } }, laid)?.message ??
    ''

  it('lies in the margin, on the sheet, under the mat', () => {
    expect(fault(8, 140)).toBe('')
    expect(fault(40, 40)).toContain('stamp the image')
    expect(fault(168, 122, 5)).toContain('window of the mat')
    expect(fault(195, 10)).toContain('off the sheet')
    expect(fault(8, 140, 0)).toContain('how large')
  })

  it('is held against piece and registration sheet as far as they are drawn', () => {
    const table = printed()
    expect(sheetLaidOut(table.edition)).toBeNull()
    const piece = {
      lotId: null,
      sheet: {
        width: 760,
        height: 560,
        deckles: { top: false, right: false, bottom: false, left: false },
        allowance: 0,
        grain: 'unknown' as const,
      },
      image: { width: 100, height: 80 },
      images: { ...oneImage, across: 2, gap: 10 },
      margins: { top: 20, right: 20, bottom: 30, left: 20 },
      foot: null,
      trim: 0,
      grain: 'free' as const,
      deckles: { top: false, right: false, bottom: false, left: false },
      strip: 15,
    }
    table.must('plan-piece', { piece })
    expect(sheetLaidOut(table.edition)).toMatchObject({
      sheet: { width: 250, height: 130 },
      images: [
        { left: 20, top: 20 },
        { left: 130, top: 20 },
      ],
    })
    const chop = { kind: 'blind' as const, left: 140, top: 40, width: 10, height: 10 }
    expect(table.give('plan-finishing', { finishing: { ...plan, chop } }).refusal?.code).toBe('finishing-unfit')
  })
})

it('a plan that cannot be is told so', () => {
  const faults = [
    { ...plan, batch: 0 },
    { ...plan, colours: [{ id: 'a', name: ' ' }] },
    { ...plan, colours: Array.from({ length: 13 }, (_, i) => ({ id: String(i), name: 'blue' })) },
  ].map((one) => finishingFault(one, null)?.field)
  expect(faults).toEqual(['batch', 'colours', 'colours'])
})

it('doubts whether an ink bears the wash are said once each', () => {
  expect(washDoubts(['oil', 'other'])).toEqual([])
  expect(washDoubts(['water-based', 'oil', 'water-based', 'rubber-based'])).toHaveLength(2)
})
