import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { flowOf } from '#core/edition/flow'
import { streamSentence } from './stream'
import { strokesOf, tallySize } from './tally'
import { tornEdge } from './torn-edge'
import { ago, grams, formatDuration, percent } from './words'
import { dueIn } from '~/format/days'

const now = Date.parse('2026-11-02T12:00:00.000Z')
const before = (minutes: number) => new Date(now - minutes * 60_000).toISOString()

describe('the words for time, weight and chance', () => {
  it('say how long ago', () => {
    expect([0.2, 4, 59, 61, 60 * 30, 60 * 24 * 3].map((minutes) => ago(before(minutes), now))).toEqual([
      'just now',
      '4 min ago',
      '59 min ago',
      '1 h ago',
      'yesterday',
      '3 days ago',
    ])
    expect(ago(null)).toBe('')
  })

  it('say how long still', () => {
    expect([0.2, 24, 89, 100, 700].map(formatDuration)).toEqual([
      'about 1 min',
      'about 24 min',
      'about 89 min',
      'about 1.7 h',
      'about 12 h',
    ])
    expect(formatDuration(null)).toBe('')
    expect(
      ['2026-11-21', '2026-11-03', '2026-11-02', '2026-11-01', '2026-10-30', null].map((due) =>
        dueIn(due, '2026-11-02'),
      ),
    ).toEqual(['due in 19 days', 'due in 1 day', 'due today', 'due 1 day ago', 'due 3 days ago', ''])
  })

  it('never promise what is still open', () => {
    expect([0, 0.004, 0.5, 0.914, 0.995, 1].map(percent)).toEqual(['0 %', '< 1 %', '50 %', '91 %', '> 99 %', '100 %'])
    expect(grams(61_040)).toBe('61.0 g')
  })
})

describe('the tally', () => {
  const table = new PressTable().tear(6)
  table.must('pull', table.pullData(null, { kind: 'warm-up' }))
  const proof = table.must('pull', table.pullData(null, { kind: 'proof', proofKind: 'CTP' }))
  table.must('approve-proof', { pullId: proof, layerId: table.layer, reason: '' })
  table.pull(1)
  table.must('adjust', { layerId: table.layer, kind: 'ink-more', note: '' })
  const back = table.pull(2)
  table.must('void-pull', { pullId: back, reason: '' })
  table.pull(2, { verdict: 'reject', faults: ['salt', 'pale'], rescued: 'burnished' })
  table.pull(1)
  const strokes = strokesOf(
    table.edition,
    table.layer,
    (id) => id !== proof,
    () => 'Ansa Quill',
  )

  it('has a stroke for each pull that was not voided, with its sentence', () => {
    expect(strokes.map((stroke) => [stroke.kind, stroke.verdict])).toEqual([
      ['warm-up', 'good'],
      ['proof', 'good'],
      ['pull', 'good'],
      ['pull', 'reject'],
      ['pull', 'good'],
    ])
    expect(strokes[0]!.sentence).toMatch(/^Pull 1, on proof paper, Layer 1, warm-up, \d\d:\d\d by Ansa Quill$/)
    expect(strokes[1]!.sentence).toContain('CTP proof, good, the BAT')
    expect(strokes[3]!.sentence).toContain('Pull 5, sheet 2, Layer 1, reject, salt and pale, rescued, burnished')
    expect(strokes[4]).toMatchObject({
      disputed: true,
      sentence: expect.stringContaining('disputed: Sheet 1 carries Layer 1 already'),
    })
  })

  it('marks what is stored, the BAT and the adjustment where it happened', () => {
    expect(strokes.map((stroke) => stroke.stored)).toEqual([true, false, true, true, true])
    expect(strokes.map((stroke) => stroke.bat)).toEqual([false, true, false, false, false])
    expect(strokes.map((stroke) => stroke.ticks)).toEqual([[], [], [], ['one more ink pass'], []])
    expect(
      strokesOf(
        table.edition,
        'another layer',
        () => true,
        () => '',
      ),
    ).toEqual([])
    expect(
      strokesOf(
        table.edition,
        null,
        () => true,
        () => '',
      ),
    ).toHaveLength(5)
  })

  it('wraps at twenty-five and leaves a gap after each five', () => {
    const size = (strokes: number) => tallySize(strokes, { cell: 20, tall: 3 })
    expect(size(25).width).toBeCloseTo((24 + 4 * 0.75 + 1.4) * 20)
    expect(size(26)).toMatchObject({ width: size(25).width, height: 2 * size(25).row })
    expect(size(0).height).toBe(size(5).height)
  })
})

describe('the stream and the torn edge', () => {
  it('can be read as a sentence', () => {
    const table = new PressTable().tear(3)
    table.pull(1, { verdict: 'reject', faults: ['slur'] })
    expect(streamSentence(flowOf(table.edition))).toBe('torn 3; Layer 1 1, lost 1 slur')
  })

  it('wavers within its height, the same each time', () => {
    const edge = tornEdge(1000, 10)
    expect(edge).toEqual(tornEdge(1000, 10))
    const heights = [...edge.line.matchAll(/,(-?[\d.]+)(?=[A-Z]|$)/g)].map((match) => Number(match[1]))
    expect(heights.length).toBeGreaterThan(50)
    expect(Math.min(...heights)).toBeGreaterThanOrEqual(0)
    expect(Math.max(...heights)).toBeLessThanOrEqual(10)
  })
})
