import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { flowOf } from '../edition/flow'
import { layerAtPress, nextSheet, stackFor } from '../edition/stack'
import { stops } from '../edition/stops'
import { noRecord } from '../plan/shop-record'
import { gateOf } from './gate'
import { outlook, stackOf } from './outlook'
import { pace } from './pace'
import { sheetsToStart } from './sheets-to-start'

const minutes = (...at: number[]) => at.map((minute) => minute * 60_000)

describe('the pace', () => {
  it('is the median interval, pauses left out', () => {
    expect(pace(minutes(0, 3, 6, 9, 60, 63, 66))).toBe(3)
    expect(pace(minutes(0, 2, 6, 9))).toBe(3)
    expect(pace(minutes(5))).toBeNull()
  })

  it('looks at the last eight intervals only', () => {
    expect(pace(minutes(0, 20, 40, 41, 42, 43, 44, 45, 46, 47, 48))).toBe(1)
  })
})

describe('the outlook of a run', () => {
  it('is certain when the goal is reached and hopeless without sheets', () => {
    const table = new PressTable({ size: 2 }).tear(3)
    for (const sheet of [1, 2, 3]) table.pull(sheet)
    expect(outlook(table.edition)).toMatchObject({ goal: 3, good: 3, rate: { counted: 3 } })
    expect(outlook(table.edition).chance).toBeLessThan(1)
    table.must('declare-dry', { layerId: table.layer, sheetIds: [1, 2, 3] })
    for (const sheetId of [1, 2, 3]) table.must('curate', { sheetId, verdict: 'good', reason: '' })
    expect(outlook(table.edition).chance).toBe(1)
    const short = new PressTable({ size: 4 }).tear(3)
    expect(outlook(short.edition).chance).toBe(0)
  })

  it('falls with each reject and counts doubtful sheets as alive', () => {
    const table = new PressTable({ size: 4 }).tear(6)
    const before = outlook(table.edition).chance
    table.pull(1, { verdict: 'doubtful' })
    const doubted = outlook(table.edition).chance
    table.pull(2, { verdict: 'reject' })
    expect(before).toBeGreaterThan(0.8)
    expect(doubted).toBeGreaterThan(before)
    expect(outlook(table.edition).chance).toBeLessThan(doubted)
  })
})

describe('a gate', () => {
  const table = new PressTable({ size: 5, method: 'reduction', layersPlanned: 2 }).tear(14)
  for (let sheet = 1; sheet <= 5; sheet++) table.pull(sheet)

  it('tells both chances, and how many more pulls of this layer would reach a confidence', () => {
    const stack = stackOf(table.edition)
    expect(stack).toMatchObject({ goal: 6, certain: 0, printed: 0, own: { passed: 5, rejected: 0 } })
    expect(stack.layers).toEqual([
      { waiting: 9, isPulled: true, isBegun: true, proofed: 0 },
      { waiting: 5, isPulled: true, isBegun: false, proofed: 0 },
    ])
    const at = (confidence: number) => gateOf(stack, 0, table.edition.plan!, noRecord, confidence)
    const { waiting, cutNow, pulledFirst, morePulls } = at(0.9)
    // Two of the five are wanted for the next layer's proofs, so six prints cannot come of them.
    expect([waiting, cutNow]).toEqual([9, 0])
    expect(pulledFirst).toBeCloseTo(outlook(table.edition).chance, 9)
    expect(morePulls).toBeGreaterThan(3)
    expect(morePulls).toBeLessThanOrEqual(9)
    expect(at(0.999999).morePulls).toBeNull()
    expect(at(0).morePulls).toBe(0)
  })

  it('leaves out the proofs that were made already', () => {
    const proofed = new PressTable({ size: 5, method: 'reduction', layersPlanned: 2 }).tear(14)
    proofed.must('add-layer', { name: 'slate', blocks: [] })
    const slate = proofed.edition.layers[1]!.id
    for (let sheet = 1; sheet <= 9; sheet++) proofed.pull(sheet)
    const chance = () => gateOf(stackOf(proofed.edition), 0, proofed.edition.plan!, noRecord, 0.9).cutNow
    const before = chance()
    for (const sheet of [1, 2]) proofed.pull(sheet, { kind: 'proof', layerId: slate })
    expect(stackOf(proofed.edition).layers[1]).toEqual({ waiting: 7, isPulled: true, isBegun: false, proofed: 2 })
    expect(chance()).toBeCloseTo(before, 9)
  })

  it('tells the chance with and without the doubtful', () => {
    table.pull(6, { verdict: 'doubtful' })
    const { chance, chanceWithoutDoubtful } = outlook(table.edition)
    expect(chanceWithoutDoubtful).toBeLessThan(chance)
  })
})

describe('the stack', () => {
  it('comes to the next layer in the order pulled, or reversed', () => {
    const table = new PressTable().tear(5)
    table.must('add-layer', { name: 'slate', blocks: [] })
    const second = () => table.edition.layers[1]!
    for (const sheet of [2, 5, 1]) table.pull(sheet)
    expect(layerAtPress(table.edition)?.id).toBe(table.layer)
    expect(stackFor(table.edition, second()).map((sheet) => sheet.id)).toEqual([2, 5, 1])
    table.must('change-layer', { layerId: second().id, name: 'slate', blocks: [], routine: '', stackOrder: 'reversed' })
    expect(stackFor(table.edition, second()).map((sheet) => sheet.id)).toEqual([1, 5, 2])
    expect(nextSheet(table.edition, second(), new Set([1]))?.id).toBe(5)
  })
})

describe('what an edition’s page tells', () => {
  it('gives each stop its state and figure', () => {
    const table = new PressTable().tear(6).number(2)
    const told = Object.fromEntries(stops(table.edition).map((stop) => [stop.key, `${stop.figure} (${stop.state})`]))
    expect(told).toMatchObject({
      plan: '5 prints (done)',
      paper: '6 torn (done)',
      press: '0 of 1 set (not yet)',
      pull: '2 of 6 (open)',
      sign: '0 of 2 (open)',
      close: 'open (not yet)',
    })
  })

  it('lets the stream thin where sheets were lost', () => {
    const table = new PressTable().tear(6)
    table.must('spoil-sheet', { sheetId: 6, fault: 'handling', reason: '' })
    table.pull(1)
    table.pull(2, { verdict: 'reject', faults: ['salt'] })
    table.pull(3, { kind: 'proof' })
    expect(flowOf(table.edition)).toEqual([
      {
        label: 'torn',
        sheets: 6,
        losses: [
          { what: 'for proofs', sheets: 1 },
          { what: 'handling', sheets: 1 },
        ],
        doubtful: 0,
      },
      { label: 'Layer 1', sheets: 2, losses: [{ what: 'salt', sheets: 1 }], doubtful: 0 },
    ])
  })
})

describe('sheets to start', () => {
  const plan = new PressTable({ size: 20, proofs: { AP: 2, PP: 0, HC: 0 } }).edition.plan!

  it('are what the room’s usual confidence asks for, until the printer chooses', () => {
    const usual = sheetsToStart(plan, 3, noRecord, null, 0.9)
    expect(usual).toMatchObject({ by: 'room', confidence: 0.9 })
    expect(usual.chance!.chance).toBeGreaterThanOrEqual(0.9)
    expect(sheetsToStart({ ...plan, start: usual.sheets! - 1 }, 3, noRecord, null, 0.9).chance!.chance).toBeLessThan(
      0.9,
    )
    expect(sheetsToStart(plan, 3, noRecord, null, 0.8).sheets!).toBeLessThan(usual.sheets!)
    expect(sheetsToStart({ ...plan, start: 30 }, 3, noRecord, null, 0.9)).toMatchObject({ sheets: 30, by: 'printer' })
  })

  it('are not known where more than 600 would be needed', () => {
    expect(sheetsToStart({ ...plan, size: 590 }, 3, noRecord, null, 0.9)).toMatchObject({ sheets: null, chance: null })
  })
})
