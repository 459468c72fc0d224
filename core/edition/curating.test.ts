import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { allocate, candidatesFor, inOrder } from './allocate'
import { countEdition, figures } from './count'
import { placeOf } from './places'
import { printsToSee, questionsOf } from './questions'

/** Six prints of one layer: the third doubtful, the fifth a reject. */
function printed(plan = {}): PressTable {
  const table = new PressTable(plan).tear(6)
  for (let id = 1; id <= 6; id++)
    table.pull(id, {
      verdict: id === 3 ? 'doubtful' : id === 5 ? 'reject' : 'good',
      faults: id === 3 ? ['salt'] : id === 5 ? ['slur'] : [],
    })
  return table
}
const see = (table: PressTable, sheetIds: number[], verdict = 'good', reason = '') =>
  table.give('curate-run', { sheetIds, verdict: verdict as 'good', reason }).refusal?.code
const asked = (table: PressTable) =>
  Object.fromEntries(questionsOf(table.edition, (id) => id).map(({ words, sheetIds }) => [words, sheetIds]))

describe('a run at the curating table', () => {
  it('is one act, whose order gives the numbers', () => {
    const table = printed({ orderSchool: 'curated' })
    const before = table.events.length
    expect(see(table, [6, 1, 4])).toBeUndefined()
    expect(table.events.length).toBe(before + 1)
    see(table, [2])
    expect(inOrder(table.edition, 'curated').map(({ id }) => id)).toEqual([6, 1, 4, 2])
  })

  it('is refused whole where one of it may not be judged so', () => {
    const table = printed()
    expect(see(table, [1, 3])).toBe('reason-missing')
    expect(see(table, [1, 9])).toBe('unknown-sheet')
    expect(see(table, [])).toBe('no-sheet')
    expect(table.edition.sheets.every(({ curated }) => curated === null)).toBe(true)
    expect(see(table, [3, 5], 'good', 'the specks are the block’s')).toBeUndefined()
    table.must('give-numbers', allocate(table.edition, 'edition', candidatesFor(table.edition, 'edition')))
    expect(see(table, [3], 'reject', 'seen again')).toBe('numbered')
  })

  it('keeps what the prints were looked at for', () => {
    const table = printed()
    see(table, [1])
    table.must('set-pass-mark', { passMark: 'for class' })
    expect(table.give('set-pass-mark', { passMark: 'for class' }).refusal?.code).toBe('as-it-is')
    see(table, [2])
    expect(table.edition.sheets.slice(0, 2).map(({ curated }) => curated?.mark)).toEqual(['for sale', 'for class'])
    expect(asked(table)['looked at for class alone']).toEqual([2])
  })
})

describe('prints set aside', () => {
  it('take numbers of their series and of no other', () => {
    const table = printed()
    see(table, [1, 2, 4, 6])
    table.must('set-aside', { sheetIds: [4], bound: 'AP' })
    expect(candidatesFor(table.edition, 'edition').map(({ id }) => id)).toEqual([1, 2, 6])
    expect(candidatesFor(table.edition, 'AP').map(({ id }) => id)).toEqual([4])
    // Where nobody set one aside, proofs come from the edition's prints.
    expect(candidatesFor(table.edition, 'PP').map(({ id }) => id)).toEqual([1, 2, 6])
    const size = table.edition.plan!.size
    const give = (series: 'edition' | 'AP', of: number, sheetId: number) =>
      table.give('give-numbers', { series, size: of, assignments: [{ sheetId, number: 1 }] }).refusal?.code
    expect(give('edition', size, 4)).toBe('set-aside')
    expect(give('AP', table.edition.plan!.proofs.AP, 4)).toBeUndefined()
    expect(table.give('set-aside', { sheetIds: [4], bound: 'edition' }).refusal?.code).toBe('numbered')
  })

  it('stand in the archive outside the edition, and come back', () => {
    const table = printed()
    see(table, [1, 2])
    table.must('set-aside', { sheetIds: [1], bound: 'archive' })
    expect(placeOf(table.edition, table.edition.sheets[0]!).kind).toBe('archive')
    expect([countEdition(table.edition).balances, figures(table.edition).alive]).toEqual([true, 4])
    expect(candidatesFor(table.edition, 'edition').map(({ id }) => id)).toEqual([2])
    table.must('set-aside', { sheetIds: [1], bound: 'edition' })
    expect(candidatesFor(table.edition, 'edition').map(({ id }) => id)).toEqual([1, 2])
  })

  it('are good prints', () => {
    const table = printed()
    const aside = (id: number) => table.give('set-aside', { sheetIds: [id], bound: 'HC' }).refusal?.code
    expect([aside(3), aside(5), aside(9)]).toEqual(['not-good', 'not-good', 'unknown-sheet'])
  })
})

describe('an order laid by hand', () => {
  it('goes before the serials, and names no print twice', () => {
    const table = printed({ orderSchool: 'hand' })
    see(table, [1, 2, 4, 6])
    table.must('rank-prints', { sheetIds: [6, 2] })
    expect(inOrder(table.edition, 'hand').map(({ id }) => id)).toEqual([6, 2, 1, 4])
    expect(table.give('rank-prints', { sheetIds: [1, 1] }).refusal?.code).toBe('sheet-twice')
  })
})

describe('what two people think', () => {
  it('is kept for each, shown where it differs, and decides nothing', () => {
    const table = printed()
    table.must('view-prints', { sheetIds: [1, 2], verdict: 'good', note: '' })
    table.must('view-prints', { sheetIds: [2], verdict: 'reject', note: 'a hair' })
    expect(table.edition.sheets[1]!.views).toHaveLength(1)
    table.person = 'p2'
    table.must('view-prints', { sheetIds: [1, 2], verdict: 'good', note: '' })
    expect(asked(table)['seen differently']).toEqual([2])
    expect(table.edition.sheets[0]!.curated).toBeNull()
    expect(placeOf(table.edition, table.edition.sheets[1]!).kind).toBe('good')
  })
})

describe('what is asked of a stack', () => {
  it('is answered from what happened to each print', () => {
    const table = printed()
    expect(printsToSee(table.edition)).toHaveLength(6)
    expect(asked(table)).toMatchObject({
      doubtful: [3],
      reject: [5],
      'noted salt': [3],
      'noted slur': [5],
    })
    expect(asked(table)['not looked at yet']).toBeUndefined()
    see(table, [1])
    expect(asked(table)['not looked at yet']).toEqual([2, 3, 4, 5, 6])
  })

  it('tells prints apart by the adjustments before them', () => {
    const table = new PressTable().tear(4)
    table.pull(1)
    table.must('adjust', { layerId: table.layer, kind: 'packing', note: '' })
    table.pull(2)
    table.must('adjust', { layerId: table.layer, kind: 'pressure-more', note: '' })
    for (const id of [3, 4]) table.pull(id)
    const after = Object.entries(asked(table)).filter(([words]) => words.startsWith('pulled after'))
    expect(after.map(([, sheetIds]) => sheetIds)).toEqual([
      [2, 3, 4],
      [3, 4],
    ])
    expect(after[1]![0]).toContain('the second adjustment')
  })

  it('is of what this very print is sure to have met', () => {
    const table = new PressTable({ layersPlanned: 2 }).tear(3)
    for (const id of [1, 2, 3]) table.pull(id, { verdict: id === 2 ? 'doubtful' : 'good' })
    table.must('add-layer', { name: 'second', blocks: [] })
    const second = table.edition.layers[1]!
    table.must('change-layer', {
      layerId: second.id,
      name: 'second',
      blocks: [],
      routine: '',
      stackOrder: 'mixed',
    })
    expect(asked(table)['doubtful on layer 1']).toBeUndefined()
  })
})
