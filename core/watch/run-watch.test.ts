import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { openTime, rollUpDefaults } from '../ink/roll-up'
import { usualLine } from '../print/fault-table'
import { isTakenUpAgain } from './restart'
import { watchRun, type WatchedBy } from './run-watch'

const by: WatchedBy = { planned: 0.12, openMinutes: null, now: Date.parse('2026-11-26T12:00:00Z') }
const told = (at: PressTable, more: Partial<WatchedBy> = {}) => watchRun(at.edition, at.layer, { ...by, ...more })
const keys = (at: PressTable) => told(at).warnings.map(({ key }) => key)

/** A run by its verdicts: g good, d doubtful, r a reject with a fault. */
function run(verdicts: string, faults: (i: number) => string[] = () => []) {
  const at = new PressTable().tear(80)
  const pulls = [...verdicts].map((sign, i) =>
    at.pull(i + 1, {
      verdict: sign === 'g' ? 'good' : sign === 'd' ? 'doubtful' : 'reject',
      faults: sign === 'g' ? [] : faults(i),
    }),
  )
  return { at, pulls, next: verdicts.length + 1 }
}

describe('the watch over a run', () => {
  it('counts pulls of the layer, leaves out proofs, warm-up and void ones, and takes doubtful as not good', () => {
    const { at, pulls } = run('ggdr')
    at.pull(40, { kind: 'warm-up', verdict: 'reject' })
    at.pull(41, { kind: 'proof', proofKind: 'WP', verdict: 'reject' })
    expect(told(at).yield).toMatchObject({ good: 2, of: 4 })
    at.must('void-pull', { pullId: pulls[3]!, reason: '' })
    expect(told(at).yield).toMatchObject({ good: 2, of: 3 })
    expect(told(new PressTable().tear(1)).yield).toBeNull()
  })

  it('says in numbers that a run drifts, and which fault is most of it', () => {
    const { at, next } = run('ggggrrggrr', (i) => (i === 4 ? ['salt'] : ['slur']))
    const drift = told(at).warnings.find(({ key }) => key === 'drift')!
    expect(drift.words).toMatch(/4 of the last 6 not good, most of them .+; 12 % is planned\. .+ once in 202 pulls/)
    expect(drift.fault).toBe('slur')
    // What is changed then starts the score anew, and a change before the alarm does not.
    at.must('adjust', { layerId: at.layer, kind: 'ink-more', note: '' })
    expect(keys(at)).toEqual([])
    at.pull(next, { verdict: 'reject' })
    expect(keys(at)).toEqual([])
    const calm = run('ggrgr').at
    calm.must('adjust', { layerId: calm.layer, kind: 'packing', note: '' })
    expect(told(calm).drift.bad).toBe(2)
  })

  it('a remedy that is tried, and an adjustment taken back, count as they stand', () => {
    const { at } = run('ggrrrr', () => ['salt'])
    expect(keys(at)).toEqual(['same fault', 'drift'])
    at.must('adjust', { layerId: at.layer, kind: 'ink-more', note: '' })
    expect(keys(at)).toEqual([])
    at.must('void-adjustment', { adjustmentId: at.edition.adjustments.at(-1)!.id })
    expect(keys(at)).toEqual(['same fault', 'drift'])
    at.must('try-remedy', { layerId: at.layer, fault: 'salt', remedy: usualLine('salt').causes[0]!.remedies[0]! })
    expect(keys(at)).toEqual([])
  })

  it('follows the grades of the ink, started anew by a change', () => {
    const { at, pulls, next } = run('gggg')
    for (const pullId of pulls) at.must('grade-pull', { pullId, grade: -2 })
    expect(told(at).warnings).toMatchObject([{ key: 'ink trend', fault: null }])
    expect(told(at).warnings[0]!.words).toMatch(/Too little ink: the last 4 graded pulls average −1\.5/)
    at.must('adjust', { layerId: at.layer, kind: 'ink-more', note: '' })
    expect(keys(at)).toEqual([])
    const one = at.pull(next, {})
    at.must('grade-pull', { pullId: one, grade: 2 })
    at.must('grade-pull', { pullId: one, grade: null })
    expect(told(at).trend.graded).toBe(0)
  })

  it('watches ink that lies open by pulls and minutes, once somebody said when it was laid', () => {
    const { at, next } = run('gg')
    expect(told(at, { openMinutes: 1 }).sinceInk).toBeNull()
    at.must('adjust', { layerId: at.layer, kind: 'fresh-ink', note: '' })
    at.pull(next, {})
    const laid = Date.parse(at.edition.adjustments.at(-1)!.at)
    const since = (minutes: number) => told(at, { openMinutes: 15, now: laid + minutes * 60_000 })
    expect(since(14)).toMatchObject({ sinceInk: { pulls: 1, minutes: 14 }, warnings: [] })
    expect(since(16).warnings).toMatchObject([{ key: 'ink open' }])
    expect(told(at, { openMinutes: null, now: laid + 1e9 }).warnings).toEqual([])
    expect(openTime(null, 'water-based')).toBe(15)
    expect(openTime({ ...rollUpDefaults, openMinutes: 25 }, 'water-based')).toBe(25)
    expect(openTime(rollUpDefaults, 'oil')).toBeNull()
  })

  it('a proof is graded on its own page, and an unknown pull not at all', () => {
    const { at } = run('g')
    const proof = at.pull(30, { kind: 'proof', proofKind: 'WP' })
    expect(at.give('grade-pull', { pullId: proof, grade: 1 }).refusal).toMatchObject({ code: 'no-grade' })
    expect(at.give('grade-pull', { pullId: 'none', grade: 1 }).refusal).toBeDefined()
  })
})

it('a run is taken up again after a long pause, and is one run where it goes on over midnight', () => {
  const at = new Date(2026, 10, 26, 9, 0).getTime()
  const last = new Date(at).toISOString()
  expect(isTakenUpAgain(null, at)).toBe(false)
  expect(isTakenUpAgain(last, at + 60 * 60_000)).toBe(false)
  expect(isTakenUpAgain(last, at + 91 * 60_000)).toBe(true)
  expect(isTakenUpAgain(new Date(2026, 10, 25, 23, 50).toISOString(), new Date(2026, 10, 26, 0, 10).getTime())).toBe(
    false,
  )
})
