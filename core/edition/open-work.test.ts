import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { plan } from '../../tests/fixtures/plan'
import { goal } from '../plan/plan'
import { countEdition } from './count'
import { isWaiting, mayTake } from './stack'
import { stops } from './stops'

const code = (given: { refusal?: { code: string } }) => given.refusal?.code
const cloth = (layersPlanned = 1) =>
  new PressTable({ sizeSchool: 'open work', layersPlanned, layering: 'ahead' }).tear(3)
const disputed = ({ edition }: PressTable) => edition.pulls.filter((pull) => pull.disputed).map((p) => p.disputed!.rule)

describe('open work', () => {
  it('wants nothing: no goal, and no stop for curating or signing', () => {
    const table = cloth()
    expect(goal(table.edition.plan!)).toBe(0)
    const way = stops(table.edition)
    expect(way.map(({ key }) => key)).not.toContain('curate')
    expect(way.map(({ key }) => key)).not.toContain('sign')
    expect(way.find(({ key }) => key === 'plan')!.figure).toBe('open work')
    expect(way.find(({ key }) => key === 'paper')!.state).toBe('done')
  })

  it('lets a piece take many impressions, which all count, and counts the piece once', () => {
    const table = cloth()
    for (const id of [1, 1, 1, 2]) table.pull(id)
    expect(disputed(table)).toEqual([])
    const { rows, balances, made } = countEdition(table.edition)
    expect([made, balances]).toEqual([3, true])
    expect(rows.find(({ key }) => key === 'good')!.sheets).toBe(2)
    expect(table.edition.pulls).toHaveLength(4)
  })

  it('takes its layers in any order and again, and one bad impression makes the piece a reject', () => {
    const table = cloth(2)
    const [first, second] = table.edition.layers.map(({ id }) => id)
    for (const layerId of [second!, first!, second!, first!]) table.pull(1, { layerId, wetOnWet: true })
    expect(disputed(table)).toEqual([])
    expect(countEdition(table.edition).rows.find(({ key }) => key === 'good')!.sheets).toBe(1)
    table.pull(1, { layerId: first!, verdict: 'reject', faults: ['slur'] })
    table.pull(1, { layerId: first! })
    expect(disputed(table)).toEqual(['sheet-not-alive'])
  })

  it('may be laid under the block again, where an edition’s sheet may not', () => {
    const take = (table: PressTable) => {
      table.pull(1)
      const [layer] = table.edition.layers
      return [1, 2, 9].map((id) => [isWaiting(table.edition, layer!, id), mayTake(table.edition, layer!, id)])
    }
    expect(take(cloth())).toEqual([
      [false, true],
      [true, true],
      [false, false],
    ])
    expect(take(new PressTable().tear(3))).toEqual([
      [false, false],
      [true, true],
      [false, false],
    ])
  })

  it('is not curated, set aside, looked at, ranked, numbered or signed', () => {
    const table = cloth()
    table.pull(1)
    table.must('declare-dry', { layerId: table.layer, sheetIds: [1] })
    const sheetIds = [1]
    expect(code(table.give('curate', { sheetId: 1, verdict: 'good', reason: '' }))).toBe('open-work')
    expect(code(table.give('curate-run', { sheetIds, verdict: 'good', reason: '' }))).toBe('open-work')
    expect(code(table.give('set-aside', { sheetIds, bound: 'AP' }))).toBe('open-work')
    expect(code(table.give('view-prints', { sheetIds, verdict: 'good', note: '' }))).toBe('open-work')
    expect(code(table.give('rank-prints', { sheetIds }))).toBe('open-work')
    const assignments = [{ sheetId: 1, number: 1 }]
    expect(code(table.give('give-numbers', { series: 'edition', size: 1, assignments }))).toBe('open-work')
    expect(code(table.give('sign', { sheetId: 1 }))).toBe('no-number')
    table.must('close', { note: 'all given to the market', block: 'kept', blockIds: [] })
  })

  it('becomes no edition, nor an edition open work, once something is pulled', () => {
    const change = (table: PressTable, sizeSchool: 'open work' | 'declared') =>
      code(table.give('change-plan', { title: 'Tide Gauge', plan: { ...plan, sizeSchool }, reason: 'a market stall' }))
    const table = cloth()
    expect(change(table, 'declared')).toBeUndefined()
    expect(change(table, 'open work')).toBeUndefined()
    table.pull(1)
    expect(change(table, 'declared')).toBe('open-work')
    const edition = new PressTable().tear(2)
    edition.pull(1)
    expect(change(edition, 'open work')).toBe('open-work')
  })
})
