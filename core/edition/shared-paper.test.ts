import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { tornRight } from '../../tests/fixtures/torn'
import { countEdition } from './count'
import { allocate, inOrder } from './allocate'
import { imagesAPiece, piecesTogether, printedAtOnce, pullsFor } from './lock-up'
import { passesOf } from './passes'
import { placeOf, standingVerdict } from './places'
import { laidWith, nextLays, nextSheet, stackFor } from './stack'
import { piecesUnder, sheetOf } from './sheet'
import { stops } from './stops'
import { goodAt } from '../run/outlook'

/** An edition on pieces of two images each. */
const table = (pieces = 3, images = 2) => new PressTable().tear(pieces, images)
const places = (on: PressTable) => on.edition.sheets.map((sheet) => placeOf(on.edition, sheet).kind)
const layerOf = (on: PressTable) => on.edition.layers[0]!

describe('paper of several images', () => {
  it('is as many sheets as it holds images, each in a place of its own', () => {
    const two = table()
    expect([two.edition.made, piecesUnder(two.edition.sheets)]).toEqual([6, 3])
    expect(two.edition.sheets.map(({ together }) => together.join('·'))).toEqual([
      '1·2',
      '1·2',
      '3·4',
      '3·4',
      '5·6',
      '5·6',
    ])
    expect(countEdition(two.edition)).toMatchObject({ balances: true, total: 6 })
    expect(two.edition.torn[0]).toMatchObject({ count: 3, images: 2 })
  })

  it('takes two pulls of one image, side by side, without a dispute', () => {
    const two = table()
    two.pull(1)
    two.pull(2)
    expect(two.edition.pulls.map(({ disputed }) => disputed)).toEqual([null, null])
    expect(nextSheet(two.edition, layerOf(two))!.id).toBe(3)
  })

  it('is printed by one pull where its images are locked up', () => {
    const two = table()
    two.must('lock-up', { layerId: two.layer, images: 2 })
    const layer = layerOf(two)
    expect(laidWith(two.edition, layer, sheetOf(two.edition, 4)!).map(({ id }) => id)).toEqual([3, 4])
    expect(nextLays(two.edition, layer, 2, new Set([1])).map((lay) => lay.map(({ id }) => id))).toEqual([
      [3, 4],
      [5, 6],
    ])
    expect([printedAtOnce(two.edition, layer), pullsFor(two.edition, layer, 5)]).toEqual([2, 3])
  })

  it('stands with its good images and with the pulls they took', () => {
    const two = table()
    two.must('lock-up', { layerId: two.layer, images: 2 })
    two.pull(1, { sheetIds: [1, 2] })
    const pullId = two.pull(3, { sheetIds: [3, 4] })
    two.must('judge-sheet', { pullId, sheetId: 4, verdict: 'reject', faults: ['salt'] })
    expect(goodAt(two.edition, two.layer)).toBe(3)
    expect(stops(two.edition).find(({ key }) => key === 'pull')?.figure).toBe('2 of 3')
  })

  it('never lies at two stations, though one of its images waits still', () => {
    const two = table()
    expect(
      nextLays(two.edition, layerOf(two), 9, new Set([2]))
        .flat()
        .map(({ id }) => id),
    ).toEqual([3, 4, 5, 6])
  })

  it('leaves out of a lay what waits no more', () => {
    const two = table()
    two.must('lock-up', { layerId: two.layer, images: 2 })
    two.must('spoil-sheet', { sheetId: 1, fault: 'handling', reason: 'a dent' })
    expect(nextLays(two.edition, layerOf(two), 1, new Set())[0]!.map(({ id }) => id)).toEqual([2])
  })

  it('is locked up as many images as there are, and no more', () => {
    const two = table()
    expect(two.give('lock-up', { layerId: two.layer, images: 9 }).refusal?.code).toBe('images-range')
    two.must('lock-up', { layerId: two.layer, images: 4 })
    expect([imagesAPiece(two.edition), printedAtOnce(two.edition, layerOf(two))]).toEqual([2, 2])
  })
})

describe('the sheets of one pull', () => {
  const both = (verdict: 'good' | 'reject' = 'good') => {
    const two = table()
    const pullId = two.pull(1, { sheetIds: [1, 2], verdict, faults: verdict === 'good' ? [] : ['slur'] })
    return { two, pullId }
  }

  it('come out each for itself, and the pull as the harshest of them', () => {
    const { two, pullId } = both()
    two.must('judge-sheet', { pullId, sheetId: 2, verdict: 'reject', faults: ['salt'] })
    const [first, second] = two.edition.sheets
    expect([standingVerdict(two.edition, first!), standingVerdict(two.edition, second!)]).toEqual(['good', 'reject'])
    expect(two.edition.pulls[0]).toMatchObject({ verdict: 'reject', faults: ['salt'] })
    expect(places(two).slice(0, 2)).toEqual(['good', 'reject'])
    expect(passesOf(two.edition).printers).toEqual({ p1: { passed: 1, rejected: 1 } })
  })

  it('keep what was said of all of them where nothing else is said', () => {
    const { two, pullId } = both('reject')
    two.must('judge-sheet', { pullId, sheetId: 1, verdict: 'good', faults: [] })
    expect(placeOf(two.edition, two.edition.sheets[1]!)).toMatchObject({ kind: 'reject', faults: ['slur'] })
    expect(placeOf(two.edition, two.edition.sheets[0]!).kind).toBe('good')
    two.must('judge-sheet', { pullId, sheetId: 2, verdict: 'good', faults: [] })
    expect(two.edition.pulls[0]).toMatchObject({ verdict: 'good', faults: [] })
  })

  it('are all said anew when the pull is judged again', () => {
    const { two, pullId } = both()
    two.must('judge-sheet', { pullId, sheetId: 2, verdict: 'reject', faults: ['salt'] })
    two.must('judge-pull', { pullId, verdict: 'doubtful', faults: [], rescued: null, reason: '' })
    expect(places(two).slice(0, 2)).toEqual(['doubtful', 'doubtful'])
  })

  it('are judged only where the pull lies and counts', () => {
    const { two, pullId } = both()
    const judged = (sheetId: number, id = pullId) =>
      two.give('judge-sheet', { pullId: id, sheetId, verdict: 'reject', faults: [] }).refusal?.code
    expect(judged(3)).toBe('not-on-it')
    expect(judged(99)).toBe('unknown-sheet')
    expect(judged(1, 'x')).toBe('unknown-pull')
    two.must('void-pull', { pullId, reason: 'counted twice' })
    expect(judged(1)).toBe('not-counted')
  })

  it('lose a curator’s word when they are judged otherwise, and carry no number as a reject', () => {
    const { two, pullId } = both()
    two.must('declare-dry', { layerId: two.layer, sheetIds: [1, 2] })
    for (const sheetId of [1, 2]) two.must('curate', { sheetId, verdict: 'good', reason: '' })
    two.must('judge-sheet', { pullId, sheetId: 2, verdict: 'reject', faults: [] })
    expect(two.edition.sheets[1]!.curated).toBeNull()
    expect(inOrder(two.edition, 'curated').map(({ id }) => id)).toEqual([1])
    two.must('give-numbers', allocate(two.edition, 'edition', inOrder(two.edition, 'curated')))
    expect(two.give('judge-sheet', { pullId, sheetId: 1, verdict: 'reject', faults: [] }).refusal?.code).toBe(
      'numbered',
    )
  })
})

describe('cutting apart', () => {
  it('leaves each image its serial and its history, numbered or not', () => {
    const two = table(2)
    two.pull(1, { verdict: 'doubtful', faults: ['salt'] })
    two.pull(2)
    two.must('declare-dry', { layerId: two.layer, sheetIds: [1, 2] })
    two.must('curate', { sheetId: 2, verdict: 'good', reason: '' })
    two.must('give-numbers', allocate(two.edition, 'edition', inOrder(two.edition, 'curated')))
    two.must('cut-apart', { sheetIds: [1] })
    expect(two.edition.sheets.map(({ together }) => together.length)).toEqual([0, 0, 2, 2])
    expect(places(two)).toEqual(['doubtful', 'marked', 'blank', 'blank'])
    expect(piecesTogether(two.edition).map((piece) => piece.map(({ id }) => id))).toEqual([[3, 4]])
    expect(two.give('cut-apart', { sheetIds: [1] }).refusal?.code).toBe('lies-alone')
    expect(two.give('cut-apart', { sheetIds: [] }).refusal?.code).toBe('no-sheet')
  })

  it('comes before a sheet of shared paper is cut in two', () => {
    const two = table(1)
    expect(two.give('split-sheet', { sheetId: 1 }).refusal?.code).toBe('shares-paper')
    two.must('cut-apart', { sheetIds: [2] })
    const pullId = two.pull(1)
    two.must('split-sheet', { sheetId: 1 })
    // Each half goes on by itself: one is spoiled by what the other did not see.
    two.must('judge-sheet', { pullId, sheetId: 3, verdict: 'reject', faults: ['crease'] })
    expect(places(two)).toEqual(['split', 'blank', 'reject', 'good'])
    expect(countEdition(two.edition)).toMatchObject({ balances: true, total: 3 })
  })
})

describe('blank paper', () => {
  it('is said to hold several images while nothing is on it', () => {
    const one = table(3, 1)
    one.pull(3)
    one.must('share-piece', { sheetIds: [1, 2], images: 3 })
    expect(one.edition.sheets.map(({ together }) => together.join('·'))).toEqual([
      '1·4·5',
      '2·6·7',
      '',
      '1·4·5',
      '1·4·5',
      '2·6·7',
      '2·6·7',
    ])
    expect(countEdition(one.edition)).toMatchObject({ balances: true, made: 7 })
    const shared = (sheetIds: number[], images = 2) => one.give('share-piece', { sheetIds, images }).refusal?.code
    expect([shared([1]), shared([3]), shared([]), shared([99]), shared([3], 9)]).toEqual([
      'shared',
      'not-blank',
      'no-sheet',
      'unknown-sheet',
      'images-range',
    ])
    expect(stackFor(one.edition, layerOf(one)).map(({ id }) => id)).toEqual([1, 2, 4, 5, 6, 7])
  })

  it('torn wrong is lost with all its images', () => {
    const wrong = table(2)
    wrong.must('tear', { ...tornRight('l1', 1, 1), images: 2, wrong: 1, reason: 'against the grain' })
    expect(places(wrong)).toEqual(['blank', 'blank', 'blank', 'blank', 'blank', 'blank', 'reject', 'reject'])
    expect(wrong.give('tear', { ...tornRight('l1', 1, 1), images: 9 }).refusal?.code).toBe('images-range')
    expect(wrong.give('tear', { ...tornRight('l1', 1, 900), images: 8 }).refusal?.code).toBe('too-many-sheets')
  })
})
