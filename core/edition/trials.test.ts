import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { trialKey } from '../print/remedies'
import { outcomeOf, trialsOf } from './trials'

const key = trialKey('salt', 'one more pass')

/** Ten pulls of which every other was salty, then one more pass is tried. */
function tried() {
  const table = new PressTable({ start: 60 }).tear(60)
  let next = 1
  const pull = (...faults: string[]) => table.pull(next++, { faults, verdict: 'good' })
  for (let i = 0; i < 10; i++) pull(...(i % 2 ? ['salt'] : []))
  const attempt = (remedy = 'one more pass') =>
    table.must('try-remedy', { layerId: table.layer, fault: 'salt', remedy })
  const outcome = (i = 0) => outcomeOf(table.edition, table.edition.trials[i]!)
  return { table, pull, attempt, outcome }
}

describe('a remedy that was tried', () => {
  it('worked after three pulls without the fault, and counts from then on', () => {
    const { table, pull, attempt, outcome } = tried()
    attempt()
    expect(trialsOf(table.edition)).toEqual({})
    pull()
    pull('rim')
    expect(outcome()).toBe('open')
    pull()
    expect(outcome()).toBe('worked')
    expect(trialsOf(table.edition)).toEqual({ [key]: { worked: 1, tried: 1 } })
  })

  it('did not as soon as the fault comes again; void pulls, warm-up and other layers say nothing', () => {
    const { table, pull, attempt, outcome } = tried()
    attempt()
    table.must('pull', { ...table.pullData(1), kind: 'warm-up', faults: ['salt'], sheetIds: [] })
    pull('salt')
    table.must('void-pull', { pullId: table.edition.pulls.at(-1)!.pullId, reason: 'the wrong batch' })
    expect(outcome()).toBe('open')
    pull('salt')
    expect(outcome()).toBe('did not')
    expect(trialsOf(table.edition)).toEqual({ [key]: { worked: 0, tried: 1 } })
  })

  it('follows a pull that is judged again', () => {
    const { table, pull, attempt, outcome } = tried()
    attempt()
    for (let i = 0; i < 3; i++) pull()
    expect(outcome()).toBe('worked')
    const { pullId } = table.edition.pulls.at(-1)!
    table.must('judge-pull', { pullId, verdict: 'good', faults: ['salt'], rescued: null, reason: '' })
    expect(outcome()).toBe('did not')
  })

  it('is of a layer, a fault and something that was done', () => {
    const { table } = tried()
    const give = (more: object) =>
      table.give('try-remedy', { layerId: table.layer, fault: 'salt', remedy: 'one card more', ...more }).refusal?.code
    expect(give({ layerId: 'none' })).toBe('unknown-layer')
    expect(give({ remedy: ' ' })).toBe('unknown-remedy')
    expect(give({ fault: 'rim' })).toBe('unknown-remedy')
    expect(give({ fault: 'handling' })).toBe('unknown-remedy')
    expect(give({ fault: 'no such fault' })).toBe('unknown-fault')
    expect(give({})).toBeUndefined()
  })
})
