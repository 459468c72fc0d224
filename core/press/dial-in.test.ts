import { describe, expect, it } from 'vitest'
import { bracketOf, changedSeveral, type Grade, nextTest, type ProofTest, type Quantity } from './dial-in'

const usual: Record<Quantity, number> = { nip: 0.2, packing: 3, charges: 2, passes: 2 }
let made = 0
const proof = (
  quantities: Partial<Record<Quantity, number>>,
  pressure: Grade | null,
  more: Partial<ProofTest> = {},
): ProofTest => ({
  id: `p${++made}`,
  paper: 'laid',
  isNewsprint: false,
  state: 's1',
  batch: 'b1',
  quantities: { ...usual, ...quantities },
  pressure,
  ink: null,
  ...more,
})
const step = 0.05

describe('the next setting worth trying', () => {
  it('is the middle of what was too light and what was too heavy, to the smallest step', () => {
    const tests = [proof({ nip: 0.2 }, -1), proof({ nip: 0.5 }, 1)]
    expect(nextTest(tests, 'nip', step)).toEqual({ kind: 'try', value: expect.closeTo(0.35, 9) })
    expect(nextTest([...tests, proof({ nip: 0.35 }, -1)], 'nip', step)).toEqual({
      kind: 'try',
      value: expect.closeTo(0.45, 9),
    })
  })

  it('beyond one bound is a step of twice the last', () => {
    expect(nextTest([proof({ nip: 0.2 }, -1)], 'nip', step)).toEqual({ kind: 'try', value: expect.closeTo(0.3, 9) })
    const risen = [proof({ nip: 0.2 }, -1), proof({ nip: 0.3 }, -1)]
    expect(nextTest(risen, 'nip', step)).toEqual({ kind: 'try', value: expect.closeTo(0.5, 9) })
    expect(nextTest([proof({ nip: 0.3 }, 2)], 'nip', step)).toEqual({ kind: 'try', value: expect.closeTo(0.2, 9) })
    expect(nextTest([proof({ nip: 0.05 }, 1)], 'nip', step)).toEqual({ kind: 'try', value: 0 })
  })

  it('says when the smallest step lies between, when it is right, and when nothing is known', () => {
    expect(nextTest([proof({ nip: 0.2 }, -1), proof({ nip: 0.25 }, 1)], 'nip', step)).toEqual({
      kind: 'between',
      light: 0.2,
      heavy: 0.25,
    })
    expect(nextTest([proof({ nip: 0.2 }, -1), proof({ nip: 0.3 }, 0)], 'nip', step)).toEqual({
      kind: 'right',
      value: 0.3,
    })
    expect(nextTest([], 'nip', step)).toEqual({ kind: 'unknown' })
    expect(nextTest([proof({}, null)], 'nip', step)).toEqual({ kind: 'unknown' })
  })

  it('shows contradictions and averages none', () => {
    const light = proof({ nip: 0.4 }, -1)
    const heavy = proof({ nip: 0.3 }, 1)
    expect(nextTest([light, heavy], 'nip', step)).toEqual({ kind: 'contradiction', proofs: [light.id, heavy.id] })
    const right = proof({ nip: 0.1 }, 0)
    expect(nextTest([proof({ nip: 0.2 }, -1), right], 'nip', step)).toEqual({
      kind: 'contradiction',
      proofs: [right.id],
    })
  })

  it('converges on the setting that is right, wherever it lies, in few proofs', () => {
    for (let right = 0.05; right <= 2; right += 0.05) {
      const tests = [proof({ nip: 0.3 }, grade(0.3, right))]
      for (let tries = 0; tests.at(-1)!.pressure !== 0; tries++) {
        expect(tries).toBeLessThan(14)
        const next = nextTest(tests, 'nip', step)
        if (next.kind !== 'try') throw new Error(`${next.kind} for ${right}`)
        tests.push(proof({ nip: next.value }, grade(next.value, right)))
      }
    }
  })
})

const grade = (nip: number, right: number): Grade => (Math.abs(nip - right) < 0.026 ? 0 : nip < right ? -1 : 1)

describe('what bounds a quantity', () => {
  it('is no proof that changed two things, and it is said which did', () => {
    const both = proof({ nip: 0.5, packing: 4 }, 1)
    const tests = [proof({ nip: 0.2 }, -1), both]
    expect(changedSeveral(tests)).toEqual([both.id])
    expect(bracketOf(tests, 'nip')).toMatchObject({ light: null, heavy: null })
    expect(bracketOf(tests, 'packing')).toMatchObject({ light: null, heavy: null })
  })

  it('is the ink for charges and passes, and the impression for nip and packing', () => {
    const tests = [proof({ charges: 1 }, null, { ink: -1 }), proof({ charges: 3 }, -1, { ink: 1 })]
    expect(bracketOf(tests, 'charges')).toMatchObject({ light: 1, heavy: 3 })
    expect(bracketOf(tests, 'nip')).toMatchObject({ light: 0.2, heavy: null })
  })

  it('belongs to one paper, block state and batch', () => {
    for (const other of [{ paper: 'kozo' }, { state: 's2' }, { batch: 'b2' }])
      expect(bracketOf([proof({ nip: 0.2 }, -1), proof({ nip: 0.4 }, 1, other)], 'nip')).toMatchObject({
        light: null,
        heavy: 0.4,
      })
  })

  it('takes what was right on newsprint as the good paper’s first lower bound, until the paper says otherwise', () => {
    const newsprint = { paper: 'newsprint', isNewsprint: true }
    const proofs = [proof({ nip: 0.1 }, -1, newsprint), proof({ nip: 0.3 }, 0, newsprint)]
    const first = proof({ nip: 0.3 }, null)
    expect(bracketOf([...proofs, first], 'nip')).toMatchObject({ light: 0.3, heavy: null, fromNewsprint: true })
    expect(nextTest([...proofs, first], 'nip', step)).toEqual({ kind: 'try', value: expect.closeTo(0.7, 9) })
    expect(bracketOf([...proofs, proof({ nip: 0.35 }, -1)], 'nip')).toMatchObject({ light: 0.35, fromNewsprint: false })
    expect(bracketOf([...proofs, proof({ nip: 0.25 }, 1)], 'nip')).toMatchObject({
      light: null,
      heavy: 0.25,
      fromNewsprint: false,
    })
  })
})
