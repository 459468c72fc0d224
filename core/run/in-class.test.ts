import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { noRecord } from '../plan/shop-record'
import { trialKey } from '../print/remedies'
import { inClass } from './in-class'
import { recurring } from './recurring'

const goal = 5

describe('a bench of a class', () => {
  it('stands as its edition does', () => {
    const table = new PressTable({ work: 'beginners' }).tear(8)
    table.must('pull', table.pullData(null, { kind: 'practice' }))
    table.pull(1)
    table.pull(2, { verdict: 'reject', faults: ['salt', 'pale'] })
    table.pull(3)
    table.must('ask', { what: 'help', layerId: null, pressId: null, words: 'it slips' })
    const bench = inClass(table.edition, noRecord)
    expect(bench).toMatchObject({
      editionId: 'e1',
      personIds: ['p1'],
      state: 'pulling',
      goal,
      rejects: 1,
      made: 8,
      practised: 1,
      practice: null,
      disputed: 0,
      hasPaper: false,
      lastFault: { fault: 'pale' },
      faults: { salt: 1, pale: 1 },
      handedIn: null,
    })
    expect(bench.layer).toMatchObject({ place: 1, of: 1, good: 2, waiting: 5 })
    expect(bench.bell).toMatchObject({ sheets: 5, needed: goal - 2, pace: 1, paceIsGuess: false })
    expect(bench.asks).toMatchObject([{ what: 'help', words: 'it slips' }])
    expect(bench.strokes.map(({ kind, verdict }) => `${kind} ${verdict}`)).toEqual([
      'practice good',
      'pull good',
      'pull reject',
      'pull good',
    ])
  })

  it('wants more of an earlier layer than the goal, by what its later ones will lose', () => {
    const needed = (layersPlanned: number) =>
      inClass(new PressTable({ layersPlanned, layering: 'ahead' }).tear(12).edition, noRecord).bell!.needed
    expect(needed(1)).toBe(goal)
    expect(needed(2)).toBeGreaterThan(goal)
    expect(needed(3)).toBeGreaterThan(needed(2))
  })

  it('says a guessed pace is one, and has no bell where nothing is to be pulled', () => {
    expect(inClass(new PressTable().tear(8).edition, noRecord).bell).toMatchObject({ pace: 4, paceIsGuess: true })
    const done = new PressTable({ size: 1, proofs: { AP: 0, PP: 0, HC: 0 } }).tear(1)
    done.pull(1)
    expect(inClass(done.edition, noRecord)).toMatchObject({ bell: null, good: 1 })
  })
})

describe('what recurs', () => {
  const bench = (faults: Record<string, number>, trials = {}) => ({ faults, trials })

  it('is on more than one bench, that of the most first, with what mended it', () => {
    const worked = { [trialKey('salt', 'one more pass')]: { worked: 1, tried: 1 } }
    const failed = {
      [trialKey('salt', 'one more pass')]: { worked: 0, tried: 1 },
      [trialKey('salt', 'damp the paper')]: { worked: 2, tried: 2 },
      [trialKey('slur', 'hold the sheet')]: { worked: 3, tried: 3 },
    }
    expect(
      recurring([
        bench({ salt: 2, pale: 1 }, worked),
        bench({ salt: 1, slur: 4 }, failed),
        bench({ salt: 1, pale: 3 }),
      ]),
    ).toEqual([
      { fault: 'salt', editions: 3, pulls: 4, mended: { remedy: 'damp the paper', worked: 2, tried: 2 } },
      { fault: 'pale', editions: 2, pulls: 4, mended: null },
    ])
    expect(recurring([bench({ salt: 9 })])).toEqual([])
  })
})
