import { noNewsprint } from '../print/newsprint'
import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { finishingRate, layerRate, proofsOfLayers, restsOn } from './pass-rate'
import { gatherRecord, noRecord, recordWithout, type ShopRecord } from './shop-record'
import { passesOf } from '../edition/passes'
import { startAnswers } from './start'

const plan = { method: 'reduction' as const, work: 'press' as const, expected: null, finishing: null }
const record = (passed: number, rejected: number, printers = {}): ShopRecord => ({
  methods: [{ method: 'reduction', work: 'press', passes: { passed, rejected }, printers }],
  finishing: { passed: 58, rejected: 2 },
  proofs: { layers: 0, sheets: 0 },
  faults: {},
  trials: {},
  newsprint: noNewsprint,
  touch: {},
})

describe('a pass rate', () => {
  it('is a guess worth 25 pulls where nothing is known', () => {
    const rate = layerRate(plan, noRecord, null)
    expect(rate).toMatchObject({ passed: 23, rejected: 2, counted: 0, countedOf: 'nobody' })
    expect(restsOn(rate)).toBe('a guess, worth 25 pulls')
    expect(layerRate({ ...plan, work: 'beginners' }, noRecord, null).rate).toBeCloseTo(0.8)
    expect(
      startAnswers({ rate, proofs: [0, 0, 0, 0], finishing: { passed: 29, rejected: 1 }, needed: 30 }).answers[1]!
        .sheets,
    ).toBe(62)
  })

  it('takes the room’s pulls, and her own once there are fifty', () => {
    expect(restsOn(layerRate(plan, record(200, 14), null))).toBe('from 214 pulls in this room and a guess worth 25')
    expect(layerRate(plan, record(200, 14, { p1: { passed: 40, rejected: 9 } }), 'p1')).toMatchObject({
      counted: 214,
      countedOf: 'room',
    })
    const own = layerRate(plan, record(200, 14, { p1: { passed: 40, rejected: 10 } }), 'p1', { passed: 4, rejected: 0 })
    expect(own).toMatchObject({ passed: 67, rejected: 12, counted: 54, countedOf: 'printer' })
    expect(restsOn(own)).toContain('of the printer’s own')
  })

  it('leaves pulls of another method or kind of work alone', () => {
    expect(layerRate({ ...plan, method: 'single' }, record(200, 14), null).counted).toBe(0)
    expect(layerRate({ ...plan, work: 'large hand work' }, record(200, 14), null).counted).toBe(0)
  })

  it('takes what the printer states, and how sure', () => {
    const stated = layerRate({ ...plan, expected: { rate: 0.7, pulls: 60 } }, noRecord, null)
    expect(stated.passed).toBeCloseTo(42)
    expect(restsOn(stated)).toBe('the rate you stated, worth 60 pulls')
    expect(finishingRate({ finishing: { rate: 0.9, pulls: 10 } }, record(1, 1))).toMatchObject({
      passed: 67,
      rejected: 3,
      counted: 60,
    })
  })
})

describe('the shop’s record', () => {
  it('comes from the ledger: layers by printer, and what finishing took', () => {
    const table = new PressTable({ size: 3 }).tear(8)
    table.pull(1, { kind: 'warm-up' })
    for (const sheet of [2, 3, 4]) table.pull(sheet)
    table.pull(5, { verdict: 'reject' })
    table.pull(6, { verdict: 'doubtful' })
    table.must('declare-dry', { layerId: table.layer, sheetIds: [2, 3, 4] })
    table.must('curate', { sheetId: 2, verdict: 'good', reason: '' })
    table.must('curate', { sheetId: 3, verdict: 'reject', reason: 'dent' })
    expect(passesOf(table.edition)).toMatchObject({
      method: 'single',
      printers: { p1: { passed: 4, rejected: 1 } },
      finishing: { passed: 1, rejected: 1 },
    })
  })

  it('loses no loss: what is spoiled between presses counts at the layer it last carried, else in finishing', () => {
    const table = new PressTable({ size: 3 }).tear(9)
    table.must('add-layer', { name: 'slate', blocks: [] })
    const second = table.edition.layers[1]!.id
    for (let sheet = 1; sheet <= 8; sheet++) table.pull(sheet)
    for (const sheet of [3, 4, 5, 6, 7]) table.pull(sheet, { layerId: second, wetOnWet: true })
    const told = () => {
      const { printers, finishing } = passesOf(table.edition)
      return [printers.p1!.passed, printers.p1!.rejected, finishing.passed, finishing.rejected]
    }
    expect(told()).toEqual([13, 0, 0, 0])
    const spoil = (sheetId: number) => table.must('spoil-sheet', { sheetId, fault: 'handling', reason: '' })
    spoil(1)
    expect(told()).toEqual([12, 1, 0, 0])
    table.must('curate', { sheetId: 2, verdict: 'reject', reason: 'a thin patch' })
    expect(told()).toEqual([11, 2, 0, 0])
    spoil(3)
    table.must('curate', { sheetId: 4, verdict: 'reject', reason: 'out of register' })
    expect(told()).toEqual([11, 2, 0, 2])
    // Before any layer it has cost its paper only, which is no question of how pulls pass.
    spoil(9)
    expect(told()).toEqual([11, 2, 0, 2])
    table.must('recover-sheet', { sheetId: 1, reason: 'flattened' })
    expect(told()).toEqual([12, 1, 0, 2])
    const pullOn = (sheetId: number) => table.edition.sheets[sheetId - 1]!.pulls.at(-1)!
    const judge = (pullId: string) =>
      table.must('judge-pull', { pullId, verdict: 'reject', faults: ['salt'], rescued: null, reason: '' })
    judge(pullOn(5))
    expect(told()).toEqual([11, 2, 0, 2])
    // Curated out after its pull was rejected is lost once, and at the press.
    table.must('curate', { sheetId: 5, verdict: 'reject', reason: '' })
    expect(told()).toEqual([11, 2, 0, 2])
    table.must('curate', { sheetId: 5, verdict: 'good', reason: 'it reads well after all' })
    expect(told()).toEqual([12, 1, 1, 2])
  })

  it('tells how many sheets the proofs of later layers took', () => {
    const table = new PressTable({ size: 3 }).tear(9)
    table.must('add-layer', { name: 'slate', blocks: [] })
    const second = table.edition.layers[1]!.id
    for (let sheet = 1; sheet <= 6; sheet++) table.pull(sheet)
    table.pull(9, { kind: 'proof' })
    table.pull(1, { kind: 'proof', layerId: second })
    table.pull(2, { kind: 'proof', layerId: second })
    expect(passesOf(table.edition).proofs).toEqual({ layers: 0, sheets: 0 })
    table.pull(3, { layerId: second, wetOnWet: true })
    expect(passesOf(table.edition).proofs).toEqual({ layers: 1, sheets: 2 })
  })

  it('reckons two proofs a later layer until the room has had three of them, then their mean', () => {
    const took = (layers: number, sheets: number) => proofsOfLayers(3, { proofs: { layers, sheets } })
    expect(took(0, 0)).toEqual([0, 2, 2])
    expect(took(2, 9)).toEqual([0, 2, 2])
    expect(took(4, 3)).toEqual([0, 1, 1])
    expect(took(4, 12)).toEqual([0, 3, 3])
    expect(took(5, 0)).toEqual([0, 0, 0])
  })

  it('adds editions and past totals, and takes one edition out again', () => {
    const edition = (passed: number, rejected: number, faults: Record<string, number> = { salt: 2 }) => ({
      method: 'single' as const,
      work: 'press' as const,
      printers: { p1: { passed, rejected } },
      finishing: { passed: 5, rejected: 1 },
      proofs: { layers: 2, sheets: 3 },
      faults,
      trials: { 'salt: one more pass': { worked: passed > 10 ? 2 : 1, tried: 3 } },
      newsprint: { ...noNewsprint, lighter: passed > 10 ? 2 : 1 },
      touch: { 'oil, hard': { logs: 0.5, tests: passed > 10 ? 2 : 1 } },
    })
    const past = {
      id: 'x',
      title: 'Old Pier',
      method: 'single' as const,
      work: 'press' as const,
      passed: 100,
      rejected: 10,
      finished: 30,
      lost: 2,
    }
    const all = gatherRecord([edition(20, 2), edition(7, 3, { lap: 1, salt: 1 })], [past])
    expect(all).toEqual({
      methods: [
        {
          method: 'single',
          work: 'press',
          passes: { passed: 127, rejected: 15 },
          printers: { p1: { passed: 27, rejected: 5 } },
        },
      ],
      finishing: { passed: 40, rejected: 4 },
      proofs: { layers: 4, sheets: 6 },
      faults: { salt: 3, lap: 1 },
      trials: { 'salt: one more pass': { worked: 3, tried: 6 } },
      newsprint: { ...noNewsprint, lighter: 3 },
      touch: { 'oil, hard': { logs: 1, tests: 3 } },
    })
    expect(recordWithout(all, edition(7, 3, { lap: 1, salt: 1 }))).toEqual(gatherRecord([edition(20, 2)], [past]))
  })
})
