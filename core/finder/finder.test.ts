import { describe, expect, it } from 'vitest'
import { faults } from '../print/faults'
import { causesOf } from '../print/causes'
import { factorsFor, type Situation } from './factors'
import { trialKey } from '../print/remedies'
import { findCause } from './finder'
import { freePullsAsked, trialOutcome } from './trials'

const plain: Situation = {
  family: 'oil',
  byHand: false,
  damp: null,
  block: 'hard lino',
  pulls: 10,
  sinceWash: 5,
  layer: 1,
  isStaying: false,
}

describe('causes of a fault', () => {
  it('are known for every fault but plain handling, each with something to try', () => {
    for (const { key } of faults) {
      const causes = causesOf[key] ?? []
      expect(causes.length > 0, key).toBe(key !== 'handling')
      for (const { remedies } of causes) expect(remedies.length).toBeGreaterThan(0)
    }
    expect(Object.keys(causesOf).filter((key) => !faults.some((fault) => fault.key === key))).toEqual([])
  })

  it('carry the table’s order as halves, and add up to one', () => {
    const { causes } = findCause('rim', plain, {})
    expect(causes.map(({ words, weight }) => [words, weight])).toEqual([
      ['too much ink', expect.closeTo(2 / 3, 12)],
      ['too much pressure', expect.closeTo(1 / 3, 12)],
    ])
    for (const { key } of faults)
      if (causesOf[key])
        expect(findCause(key, plain, {}).causes.reduce((sum, { weight }) => sum + weight, 0)).toBeCloseTo(1, 12)
  })

  it('are turned about by the situation, each with its reason', () => {
    const first = (more: Partial<Situation>) => findCause('salt', { ...plain, ...more }, {}).causes[0]!
    expect(first({}).words).toBe('too little ink')
    const staying = first({ isStaying: true })
    expect(staying.words).toBe('light pressure')
    expect(staying.factors).toEqual([{ by: 4, why: 'it stays in one place' }])
    expect(first({ isStaying: true, family: 'water-based', pulls: 2 }).words).toBe('a new or drying block')
    const corner = (more: Partial<Situation>) => findCause('corner', { ...plain, ...more }, {}).causes.at(-1)!.words
    expect(corner({})).toBe('the hand missed it')
  })

  it('are never weighed by more than four or less than a quarter for one reason', () => {
    const flags = [true, false]
    const situations = flags.flatMap((isStaying) =>
      flags.flatMap((damp) => flags.map((byHand) => ({ ...plain, isStaying, damp, byHand, pulls: 2, layer: 2 }))),
    )
    const factors = Object.values(causesOf)
      .flat()
      .flatMap((cause) => situations.flatMap((situation) => factorsFor(cause, situation)))
    expect(factors.length).toBeGreaterThan(100)
    expect(factors.filter(({ by }) => by < 0.25 || by > 4)).toEqual([])
  })

  it('of a fault nobody knows are none', () => {
    expect(findCause('handling', plain, {})).toEqual({ causes: [], remedies: [] })
    expect(findCause('of a newer ledger', plain, {})).toEqual({ causes: [], remedies: [] })
  })
})

describe('what to try first', () => {
  it('is by the weight of its cause and by what worked in this room', () => {
    const words = (record = {}) => findCause('fill', plain, record).remedies.map((remedy) => remedy.words)
    expect(words()[0]).toBe('unload the roller')
    const tried = { [trialKey('fill', 'unload the roller')]: { worked: 0, tried: 6 } }
    expect(words(tried)[0]).toBe('skip a charge')
    const better = { ...tried, [trialKey('fill', 'firmer packing')]: { worked: 40, tried: 40 } }
    expect(words(better).indexOf('firmer packing')).toBeLessThan(words(tried).indexOf('firmer packing'))
  })

  it('counts a remedy of several causes for all of them, once', () => {
    const { remedies } = findCause('pale', plain, {})
    expect(remedies.filter(({ words }) => words === 'one more pass')).toHaveLength(1)
    expect(remedies[0]).toMatchObject({ words: 'one more pass', worth: expect.closeTo((6 / 7) * 0.6, 9) })
  })

  it('is answered quickly with ten thousand trials on record', () => {
    const record = Object.fromEntries(
      Array.from({ length: 10_000 }, (_, i) => [trialKey('fill', `remedy ${i}`), { worked: i % 3, tried: 3 }]),
    )
    const begun = performance.now()
    for (let i = 0; i < 100; i++) findCause('fill', plain, record)
    expect((performance.now() - begun) / 100).toBeLessThan(20)
  })
})

describe('a trial', () => {
  const pull = (...seen: string[]) => ({ faults: seen })
  it('asks for as many free pulls as make luck unlikely', () => {
    expect([0.5, 0.2, 0.1, 0, 1].map(freePullsAsked)).toEqual([3, 8, 16, 16, 1])
    for (let share = 0.1; share < 0.99; share += 0.01) {
      const k = freePullsAsked(share)
      expect((1 - share) ** k).toBeLessThanOrEqual(0.2 + 1e-9)
      if (k > 1) expect((1 - share) ** (k - 1)).toBeGreaterThan(0.2 - 1e-9)
    }
  })

  it('worked, did not, or is open while nothing is seen', () => {
    const before = [pull('salt'), pull(), pull('salt'), pull()]
    expect(trialOutcome('salt', before, [])).toBe('open')
    expect(trialOutcome('salt', before, [pull(), pull('rim')])).toBe('open')
    expect(trialOutcome('salt', before, [pull(), pull('rim'), pull()])).toBe('worked')
    expect(trialOutcome('salt', before, [pull(), pull(), pull('salt')])).toBe('did not')
    // What comes after it was settled changes nothing.
    expect(trialOutcome('salt', before, [pull(), pull(), pull(), pull('salt')])).toBe('worked')
  })

  it('looks at the last ten pulls alone', () => {
    const long = [
      ...Array.from({ length: 30 }, () => pull('salt')),
      ...Array.from({ length: 9 }, () => pull()),
      pull('salt'),
    ]
    expect(
      trialOutcome(
        'salt',
        long,
        Array.from({ length: 15 }, () => pull()),
      ),
    ).toBe('open')
    expect(
      trialOutcome(
        'salt',
        long,
        Array.from({ length: 16 }, () => pull()),
      ),
    ).toBe('worked')
  })
})
