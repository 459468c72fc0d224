import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { passesOf } from '#core/edition/passes'
import type { EditionState } from '#core/edition/state'
import { stackOf } from '#core/run/outlook'
import { emptyStudio } from '#core/stores/studio/state'
import { type StoredEditionSummary, summaryRow } from '../database/summaries'
import { PassBook } from './pass-book'

/** An edition under its own name, with so many pulls that passed and that did not, and four sheets still blank. */
function edition(name: string, passed: number, rejected: number): EditionState {
  const table = new PressTable().tear(passed + rejected + 4)
  for (let sheet = 1; sheet <= passed + rejected; sheet++)
    table.pull(sheet, { verdict: sheet <= passed ? 'good' : 'reject' })
  return { ...table.edition, stream: `edition:${name}` }
}

const summary = (state: EditionState) => JSON.parse(summaryRow(state, '')!.data) as StoredEditionSummary
const passesIn = (book: PassBook, stream: string) => book.recordFor(stream).methods.map(({ passes }) => passes)

describe('the pass book', () => {
  it('gathers every edition, and leaves an edition’s own pulls out of its record', () => {
    const book = new PassBook()
    book.take([edition('a', 8, 2), edition('b', 5, 1)])
    expect(passesIn(book, 'edition:other')).toEqual([{ passed: 13, rejected: 3 }])
    expect(passesIn(book, 'edition:a')).toEqual([{ passed: 5, rejected: 1 }])
  })

  it('moves on with each commit, and never counts an edition twice', () => {
    const book = new PassBook()
    book.take([edition('a', 4, 0)])
    expect(passesIn(book, 'edition:other')).toEqual([{ passed: 4, rejected: 0 }])
    book.take([edition('a', 6, 1)])
    expect(passesIn(book, 'edition:other')).toEqual([{ passed: 6, rejected: 1 }])
  })

  it('takes past editions from the studio, and lets go of those withdrawn', () => {
    const past = {
      id: 'x',
      title: 'Old Pier',
      method: 'single',
      work: 'press',
      passed: 96,
      rejected: 4,
      finished: 90,
      lost: 2,
    } as const
    const book = new PassBook()
    book.take([{ ...emptyStudio(), pastEditions: [past] }])
    expect(book.recordFor('edition:a')).toMatchObject({ finishing: { passed: 90, rejected: 2 } })
    book.take([emptyStudio()])
    expect(book.recordFor('edition:a').methods).toEqual([])
  })

  it('tells a chance that moves with the room’s record and with the edition itself', () => {
    const state = edition('a', 3, 0)
    const book = new PassBook()
    book.take([state])
    const alone = book.withChance(summary(state)).chance
    book.take([edition('b', 5, 60)])
    const afterBadRuns = book.withChance(summary(state)).chance
    expect(afterBadRuns).toBeLessThan(alone)
    expect(book.withChance(summary(state)).chance).toBe(afterBadRuns)
    const more = edition('a', 8, 0)
    book.take([more])
    expect(stackOf(more).goal).toBe(stackOf(state).goal)
    expect(book.withChance(summary(more)).chance).toBeGreaterThan(afterBadRuns)
    expect(passesOf(more).printers).toEqual({ p1: { passed: 8, rejected: 0 } })
  })
})
