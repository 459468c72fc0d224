import { describe, expect, it } from 'vitest'
import { Attempts } from './attempts'

function desk() {
  let now = 0
  const attempts = new Attempts(() => now)
  const stranger = { personId: 'p', address: '10.0.0.9', knownDevice: null as string | null }
  return {
    attempts,
    stranger,
    pass: (seconds: number) => {
      now += seconds * 1000
    },
    try: (hit: boolean, who = stranger) => {
      const begun = attempts.begin(who)
      if ('wait' in begun) return begun.wait
      begun.end(hit)
      return 0
    },
  }
}

describe('attempts to sign in', () => {
  it('are counted before they are tried: of many at once one is tried', () => {
    const { attempts, stranger } = desk()
    const begun = Array.from({ length: 600 }, () => attempts.begin(stranger))
    expect(begun.filter((one) => 'end' in one)).toHaveLength(1)
  })

  it('wait after five misses, longer with each, up to a quarter of an hour', () => {
    const { try: attempt, pass } = desk()
    for (let i = 0; i < 5; i++) expect(attempt(false)).toBe(0)
    const waits = Array.from({ length: 10 }, () => {
      const wait = attempt(false)
      pass(wait)
      expect(attempt(false)).toBe(0)
      return wait
    })
    expect(waits.slice(0, 4)).toEqual([5, 10, 20, 40])
    expect(waits.at(-1)).toBe(900)
  })

  it('forget all misses with one that fits', () => {
    const { try: attempt } = desk()
    for (let i = 0; i < 4; i++) attempt(false)
    expect(attempt(true)).toBe(0)
    for (let i = 0; i < 5; i++) expect(attempt(false)).toBe(0)
    expect(attempt(true)).toBe(5)
  })

  it('of strangers keep nobody out of a device they are known at', () => {
    const { try: attempt, stranger } = desk()
    for (let i = 0; i < 9; i++) attempt(false)
    expect(attempt(true)).toBeGreaterThan(0)
    expect(attempt(true, { ...stranger, knownDevice: 'tablet' })).toBe(0)
  })

  it('at one address wait whoever they are meant for, and all strangers after very many', () => {
    const { try: attempt, stranger } = desk()
    for (let i = 0; i < 30; i++) attempt(false, { ...stranger, personId: `p${i}` })
    expect(attempt(true, { ...stranger, personId: 'fresh' })).toBe(5)
    expect(attempt(true, { ...stranger, personId: 'fresh', address: '10.0.0.10' })).toBe(0)
    for (let i = 0; i < 300; i++) attempt(false, { personId: `q${i}`, address: `10.1.${i}.1`, knownDevice: null })
    expect(attempt(true, { ...stranger, personId: 'fresh', address: '10.0.0.11' })).toBeGreaterThan(0)
  })

  it('that fit do not use up what an address or everyone has', () => {
    const { try: attempt, stranger } = desk()
    for (let i = 0; i < 400; i++) expect(attempt(true, { ...stranger, personId: `p${i}` })).toBe(0)
  })
})
