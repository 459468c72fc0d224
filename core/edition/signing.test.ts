import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { emptyStudio } from '../stores/studio/state'
import { allocate, candidatesFor } from './allocate'
import { editionRecord } from './record'
import { recordFacts } from './record-facts'
import { numberOnSheet, writtenOtherwise } from './sheet-number'
import { sheetWords } from './sheet-words'
import { printName, printsGone, printsHere } from './whereabouts'
import { lineOf, outsideMarks, overImage, signingList } from './pencil'

/** Six prints, curated in the order given, numbered and dry; the fifth is a reject, the sixth a working proof. */
function numbered(order = [3, 1, 4, 2], plan = {}): PressTable {
  const table = new PressTable({ orderSchool: 'curated', ...plan }).tear(6)
  for (const id of [1, 2, 3, 4]) table.pull(id)
  table.pull(5, { verdict: 'reject', faults: ['slur'] })
  table.pull(6, { kind: 'proof', proofKind: 'WP' })
  table.must('declare-dry', { layerId: table.layer, sheetIds: [1, 2, 3, 4] })
  table.must('curate-run', { sheetIds: order, verdict: 'good', reason: '' })
  table.must('give-numbers', allocate(table.edition, 'edition', candidatesFor(table.edition, 'edition')))
  return table
}
const code = (given: { refusal?: { code: string } }) => given.refusal?.code
const sold = { how: 'sold', to: 'the harbour office', on: '2026-11-02', note: '' } as const

describe('the signing list', () => {
  it('goes through the stack as it lies, with the exact line of each', () => {
    const table = numbered()
    const list = signingList(table.edition)
    expect(list.map(({ id, mark }) => [id, mark!.number])).toEqual([
      [3, 1],
      [1, 2],
      [4, 3],
      [2, 4],
    ])
    expect(lineOf(table.edition, list[0]!)).toMatchObject({ left: '1/4', middle: 'Tide Gauge' })
  })

  it('offers initials where the line is wider than the image', () => {
    const table = numbered(undefined, { artist: 'Ansa Wilhelmina Quill' })
    const [first] = signingList(table.edition)
    expect(overImage(lineOf(table.edition, first!), 60)).toBeGreaterThan(0)
    table.must('write-initials', { isOn: true })
    expect(lineOf(table.edition, first!).right).toBe('A. W. Q. 2026')
    expect(overImage(lineOf(table.edition, first!), null)).toBe(0)
    expect(code(table.give('write-initials', { isOn: true }))).toBe('as-it-is')
  })

  it('remembers who signed and when, until it is not signed after all', () => {
    const table = numbered()
    table.must('sign', { sheetId: 3 })
    expect(table.edition.sheets[2]!.signing).toMatchObject({ by: 'p1', via: null })
    table.must('withdraw-signing', { sheetId: 3, reason: 'the wrong line was ticked' })
    expect(table.edition.sheets[2]!.signing).toBeNull()
  })
})

describe('an amendment', () => {
  const amended = () => {
    const table = numbered()
    table.must('sign', { sheetId: 3 })
    table.must('amend-size', { size: 5, proofs: table.edition.plan!.proofs, reason: 'one more was promised' })
    table.must('sign', { sheetId: 1 })
    return table
  }
  const numbers = ({ edition }: PressTable) => [3, 1, 4].map((id) => numberOnSheet(edition, edition.sheets[id - 1]!))

  it('changes no line that was pencilled before it: the record says what stands on the print', () => {
    const table = amended()
    expect(numbers(table)).toEqual(['1/4', '2/5', '3/5'])
    expect(lineOf(table.edition, table.edition.sheets[2]!).left).toBe('1/4')
    const record = editionRecord(table.edition, emptyStudio(), String, 'UTC')
    expect(record.sheets[2]!.number).toBe('1/4')
    expect(recordFacts(record, { size: String, day: String }).find(({ term }) => term === 'Amended')!.lines[1]).toBe(
      'still pencilled over an earlier size: 1/4',
    )
  })

  it('is on no print of an open edition, whose lines name no size', () => {
    const table = numbered(undefined, { sizeSchool: 'open' })
    table.must('sign', { sheetId: 3 })
    table.must('amend-size', { size: 5, proofs: table.edition.plan!.proofs, reason: 'one more was promised' })
    expect(writtenOtherwise(table.edition)).toEqual([])
    expect(numberOnSheet(table.edition, table.edition.sheets[2]!)).toBe('1')
  })

  it('is on the print once someone says that its line was put right', () => {
    const table = amended()
    expect(writtenOtherwise(table.edition).map(({ id }) => id)).toEqual([3])
    table.must('note-pencil', { sheetId: 3, note: 'rubbed out, written over 5' })
    expect(writtenOtherwise(table.edition)).toEqual([])
    expect(numbers(table)).toEqual(['1/5', '2/5', '3/5'])
    table.must('note-pencil', { sheetId: 4, note: 'a smudge' })
    expect(table.edition.sheets[3]!.pencilledOver).toBeNull()
  })
})

describe('a slip of the pencil', () => {
  it('on two unsigned prints is mended by changing their numbers', () => {
    const table = numbered()
    const swap = (sheetId: number, otherId: number, reason = 'one on the other') =>
      code(table.give('swap-numbers', { sheetId, otherId, reason }))
    expect(swap(3, 1)).toBeUndefined()
    expect(table.edition.sheets.slice(0, 3).map(({ mark }) => mark?.number)).toEqual([1, 4, 2])
    expect([swap(3, 3), swap(3, 5), swap(3, 4, ' ')]).toEqual(['sheet-twice', 'no-number', 'reason-missing'])
    table.must('sign', { sheetId: 3 })
    expect(swap(3, 4)).toBe('signed')
  })

  it('on a print that keeps its number leaves a trace', () => {
    const table = numbered()
    table.must('note-pencil', { sheetId: 1, note: 'a 2 rubbed out' })
    expect(table.edition.sheets[0]!.pencilNote).toBe('a 2 rubbed out')
    expect(code(table.give('note-pencil', { sheetId: 5, note: 'x' }))).toBe('no-number')
    expect(code(table.give('note-pencil', { sheetId: 1, note: '' }))).toBe('reason-missing')
  })
})

describe('sheets outside the edition', () => {
  it('get a mark of their own, once', () => {
    const table = numbered()
    expect(outsideMarks(table.edition).map(({ sheet, mark }) => [sheet.id, mark])).toEqual([
      [5, 'struck through'],
      [6, 'working proof'],
    ])
    table.must('mark-outside', { sheetIds: [5, 6] })
    expect(code(table.give('mark-outside', { sheetIds: [5] }))).toBe('as-it-is')
    expect(code(table.give('mark-outside', { sheetIds: [1] }))).toBe('not-outside')
  })
})

describe('where prints went', () => {
  it('is listed by number, with what is still here', () => {
    const table = numbered()
    for (const id of [3, 1]) table.must('sign', { sheetId: id })
    table.must('send-print', { ...sold, sheetId: 1 })
    const names = (of: typeof printsHere) => of(table.edition).map((sheet) => printName(table.edition, sheet))
    expect(names(printsGone)).toEqual(['2/4'])
    expect(sheetWords(table.edition, table.edition.sheets[0]!)).toBe('edition, signed, 2/4, sold, left 2026-11-02')
    // Signed and here, and the proof; what is not signed yet leaves nowhere.
    expect(names(printsHere)).toEqual(['1/4', 'proof'])
  })

  it('is one line a print, which is here before it leaves again', () => {
    const table = numbered()
    const send = (sheetId: number, more = {}) => code(table.give('send-print', { ...sold, ...more, sheetId }))
    expect(send(3)).toBe('not-signed')
    table.must('sign', { sheetId: 3 })
    expect(send(3)).toBeUndefined()
    expect(send(3, { how: 'given' })).toBe('gone')
    expect(code(table.give('withdraw-signing', { sheetId: 3, reason: 'x' }))).toBe('gone')
    table.must('take-print-back', { sheetId: 3, reason: 'returned' })
    expect(send(3, { how: 'on loan' })).toBeUndefined()
    expect(code(table.give('take-print-back', { sheetId: 1, reason: 'x' }))).toBe('here')
  })

  it('holds what left as it was until it is back', () => {
    const table = numbered()
    table.must('send-print', { ...sold, sheetId: 6, how: 'given' })
    const proof = table.edition.pulls.at(-1)!.pullId
    expect(code(table.give('void-pull', { pullId: proof, reason: 'x' }))).toBe('gone')
    expect(code(table.give('spoil-sheet', { sheetId: 6, fault: 'handling', reason: '' }))).toBe('gone')
    table.must('take-print-back', { sheetId: 6, reason: 'returned' })
    expect(code(table.give('void-pull', { pullId: proof, reason: 'x' }))).toBeUndefined()
  })

  it('begins after the first pull, and not tomorrow', () => {
    const table = numbered()
    table.must('sign', { sheetId: 3 })
    const on = (day: string) => code(table.give('send-print', { ...sold, sheetId: 3, on: day }))
    expect([on('2026-11-01'), on('2026-12-24'), on('2026-02-31x'), on('2026-11-02')]).toEqual([
      'before-pull',
      'in-future',
      'no-day',
      undefined,
    ])
  })

  it('is on a day of the room: a print may go in the evening in which it was pulled', () => {
    for (const [zone, day, tomorrow] of [
      ['America/New_York', '2026-11-02', '2026-11-03'],
      ['Pacific/Auckland', '2026-11-03', '2026-11-04'],
      ['Asia/Kolkata', '2026-11-03', '2026-11-04'],
    ] as const) {
      const table = new PressTable({ size: 1, sizeSchool: 'declared' })
      Object.assign(table, { zone, clock: '2026-11-03T02:00:00.000Z' })
      table.tear(1).pull(1)
      table.must('declare-dry', { layerId: table.layer, sheetIds: [1] })
      table.must('curate-run', { sheetIds: [1], verdict: 'good', reason: '' })
      table.must('give-numbers', allocate(table.edition, 'edition', candidatesFor(table.edition, 'edition')))
      table.must('sign', { sheetId: 1 })
      const on = (said: string) => code(table.give('send-print', { ...sold, sheetId: 1, on: said }))
      expect([zone, on(tomorrow), on(day)]).toEqual([zone, 'in-future', undefined])
      expect(editionRecord(table.edition, emptyStudio(), String, zone).printed).toEqual({ from: day, to: day })
    }
  })

  it('goes on after the edition is closed, and never for what is no print', () => {
    const table = numbered()
    for (const id of [3, 1, 4, 2]) table.must('sign', { sheetId: id })
    expect(code(table.give('send-print', { ...sold, sheetId: 5 }))).toBe('not-a-print')
    expect(code(table.give('send-print', { ...sold, sheetId: 6, how: 'given' }))).toBeUndefined()
    table.must('close', { note: '', block: 'kept', blockIds: [] })
    expect(code(table.give('send-print', { ...sold, sheetId: 3 }))).toBeUndefined()
  })
})
