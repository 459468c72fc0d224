import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { samples } from '../../tests/fixtures/requests'
import type { Grade } from '../press/dial-in'
import { addNewsprint, newsprintWords, noNewsprint } from '../print/newsprint'
import { newsprintOf } from './newsprint'

function table() {
  const at = new PressTable().tear(4)
  at.submit({ type: 'add-press', stream: 'press:p1', data: samples['add-press'] })
  const set = (nip: number) => at.must('set-press', { ...samples['set-press'], layerId: at.layer, pressId: 'p1', nip })
  const prove = (newsprint: boolean, pressure: Grade, charges = 2) => {
    const pullId = at.must('pull', { ...at.pullData(null), kind: 'proof', proofKind: 'WP' })
    at.must('judge-proof', { ...samples['judge-proof'], pullId, newsprint, pressure, charges })
    return pullId
  }
  return { at, set, prove }
}

describe('from newsprint to good paper', () => {
  it('counts what the good paper made of a setting that was right on newsprint, and how much closer it went', () => {
    const { at, set, prove } = table()
    set(0.3)
    prove(true, -1)
    prove(true, 0)
    expect(newsprintOf(at.edition)).toEqual(noNewsprint)
    const light = prove(false, -1)
    set(0.36)
    prove(false, 0)
    expect(newsprintOf(at.edition)).toEqual({ lighter: 1, same: 0, heavier: 0, gaps: 1, closer: 6 })
    at.must('void-pull', { pullId: light, reason: 'not pulled' })
    expect(newsprintOf(at.edition)).toEqual({ lighter: 0, same: 0, heavier: 0, gaps: 1, closer: 6 })
  })

  it('says nothing where something else was changed too', () => {
    const { at, set, prove } = table()
    set(0.3)
    prove(true, 0)
    prove(false, 1, 4)
    expect(newsprintOf(at.edition)).toEqual(noNewsprint)
  })

  it('is told by the room’s record, or by the craft', () => {
    expect(newsprintWords(noNewsprint)).toMatch(/usually comes out lighter .* no record of it yet/)
    const seen = { lighter: 3, same: 1, heavier: 0, gaps: 2, closer: 13 }
    expect(newsprintWords(seen)).toBe(
      'Right on newsprint, the good paper came out lighter 3 of 4 times here. Where both gaps are known, the good paper wanted 0.07 mm closer.',
    )
    expect(newsprintWords({ ...noNewsprint, heavier: 2 })).toContain('heavier 2 of 2 times')
    expect(addNewsprint(addNewsprint(noNewsprint, seen), seen, -1)).toEqual(noNewsprint)
  })
})
