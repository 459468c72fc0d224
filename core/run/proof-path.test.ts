import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { samples } from '../../tests/fixtures/requests'
import type { CommandData } from '../house/acts'
import { nextTest } from '../press/dial-in'
import type { Packing } from '../press/stack'
import { proofPath } from './proof-path'

const felt: Packing = { name: 'felt', thickness: 2.4, pieceId: 'felt', count: 1 }
const card: Packing = { name: 'press card', thickness: 0.6, pieceId: 'card', count: 1 }

/** A layer at the long press, proof by proof. */
function proving() {
  const table = new PressTable().tear(6)
  table.submit({ type: 'add-press', stream: 'press:p1', data: samples['add-press'] })
  const set = (nip: number, packing: Packing[] = [felt]) =>
    table.must('set-press', { ...samples['set-press'], layerId: table.layer, pressId: 'p1', nip, packing })
  const proof = (said: Partial<CommandData<'judge-proof'>> | null, sheetIds: number[] = []) => {
    const setupSeq = table.edition.layers[0]!.setups.at(-1)?.seq ?? 0
    const pullId = table.must('pull', {
      ...samples.pull,
      layerId: table.layer,
      kind: 'proof',
      proofKind: 'WP',
      verdict: 'good',
      faults: [],
      rescued: null,
      batchIds: [],
      sheetIds,
      setupSeq,
    })
    if (said)
      table.must('judge-proof', { ...samples['judge-proof'], pullId, newsprint: sheetIds.length === 0, ...said })
    return pullId
  }
  const path = () => proofPath(table.edition, table.layer, 'UTC')
  return { table, set, proof, path }
}

describe('the path of proofs', () => {
  it('says what was changed at each step and what came of it', () => {
    const { set, proof, path } = proving()
    set(0.2)
    proof({ pressure: -1, ink: 0 })
    set(0.4)
    proof({ pressure: 0, ink: 0 })
    set(0.4, [felt, { ...card, count: 2 }])
    proof({ pressure: 1, ink: 0, charges: 3 })
    proof(null, [1])
    expect(path().map(({ changed }) => changed)).toEqual([
      [],
      ['gap 0.2 mm closer'],
      ['2 × press card in', '1 charge more'],
      ['on good paper', '1 charge fewer'],
    ])
    expect(path().map(({ isTangled }) => isTangled)).toEqual([false, false, true, false])
    expect(path().map(({ note }) => note?.pressure)).toEqual([-1, 0, 1, undefined])
  })

  it('carries what was right on newsprint to the good paper as its first lower bound', () => {
    const { set, proof, path } = proving()
    set(0.2)
    proof({ pressure: -1 })
    set(0.4)
    proof({ pressure: 0 })
    proof(null, [1])
    const tests = () => path().map(({ test }) => test)
    expect(nextTest(tests(), 'nip', 0.1)).toEqual({ kind: 'try', value: expect.closeTo(0.8, 9) })
    set(0.8)
    const last = proof({ pressure: 0, ink: 0 }, [2])
    expect(nextTest(tests(), 'nip', 0.1)).toEqual({ kind: 'right', value: 0.8 })
    expect(path().at(-1)!.isStandard).toBe(false)
    expect(last).toBe(path().at(-1)!.pull.pullId)
  })

  it('leaves out what is void, and marks the standard', () => {
    const { table, proof, path } = proving()
    const first = proof({ pressure: 0, ink: 0 })
    const second = proof({ pressure: 0, ink: 0 })
    table.must('approve-proof', { pullId: second, layerId: table.layer, reason: '' })
    table.must('void-pull', { pullId: first, reason: 'the wrong block' })
    expect(path().map(({ pull, isStandard }) => [pull.pullId, isStandard])).toEqual([[second, true]])
    expect(table.give('judge-proof', { ...samples['judge-proof'], pullId: first }).refusal?.code).toBe('voided')
    expect(proofPath(table.edition, 'no such layer', 'UTC')).toEqual([])
  })

  it('judges proofs alone, each anew as often as one looks', () => {
    const { table, proof } = proving()
    const pull = table.pull(1)
    const pullId = table.edition.pulls.at(-1)!.pullId
    expect(pull).toBeDefined()
    expect(table.give('judge-proof', { ...samples['judge-proof'], pullId }).refusal?.code).toBe('not-a-proof')
    expect(table.give('judge-proof', { ...samples['judge-proof'], pullId: 'none' }).refusal?.code).toBe('unknown-pull')
    const again = proof({ pressure: -2 })
    table.must('judge-proof', { ...samples['judge-proof'], pullId: again, pressure: 2 })
    expect(table.edition.proofNotes.map(({ pullId: id, pressure, by }) => [id, pressure, by])).toEqual([
      [again, 2, 'p1'],
    ])
  })
})
