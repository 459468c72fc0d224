import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { finishingRate, layerRate, passGroups, restsOn } from './pass-rate'
import { gatherRecord, noRecord, recordWithout, type ShopRecord } from './shop-record'
import { passesOf } from '../edition/passes'
import { startAnswers } from './start'

const plan = { method: 'reduction' as const, work: 'press' as const, expected: null, finishing: null }
const record = (passed: number, rejected: number, printers = {}): ShopRecord => ({
  methods: [{ method: 'reduction', work: 'press', passes: { passed, rejected }, printers }],
  finishing: { passed: 58, rejected: 2 },
})

describe('a pass rate', () => {
  it('is a guess worth 25 pulls where nothing is known', () => {
    const rate = layerRate(plan, noRecord, null)
    expect(rate).toMatchObject({ passed: 23, rejected: 2, counted: 0, countedOf: 'nobody' })
    expect(restsOn(rate)).toBe('a guess, worth 25 pulls')
    expect(layerRate({ ...plan, work: 'beginners' }, noRecord, null).rate).toBeCloseTo(0.8)
    expect(
      startAnswers(passGroups(4, rate, { ...finishingRate(plan, noRecord), passed: 29, rejected: 1 }), 30).answers[1]!
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

  it('adds editions and past totals, and takes one edition out again', () => {
    const edition = (passed: number, rejected: number) => ({
      method: 'single' as const,
      work: 'press' as const,
      printers: { p1: { passed, rejected } },
      finishing: { passed: 5, rejected: 1 },
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
    const all = gatherRecord([edition(20, 2), edition(7, 3)], [past])
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
    })
    expect(recordWithout(all, edition(7, 3))).toEqual(gatherRecord([edition(20, 2)], [past]))
  })
})
