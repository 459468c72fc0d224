import { readdirSync, readFileSync } from 'node:fs'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { LedgerEvent } from '../ground/envelope'
import { eventOf } from './acts'
import { faultOf, shapeFault } from './event-shape'
import shapes from './event-shapes.json'
import { emptyState, evolve } from './streams'
import { upcast } from './upcast'

const golden = new URL('./golden/', import.meta.url)
const written = readdirSync(golden)
  .filter((name) => name.endsWith('.jsonl'))
  .flatMap((name) => readFileSync(new URL(name, golden), 'utf8').trim().split('\n'))
  .map((line) => JSON.parse(line) as LedgerEvent)

it('has a shape for every event', () => {
  expect(Object.keys(shapes.events).sort()).toEqual([...eventOf.keys()].sort())
})

it('finds nothing in what any version of the program wrote', () => {
  expect(written.flatMap((event) => shapeFault(event) ?? [])).toEqual([])
})

/** The data with whatever stands on one of its own keys put another way. */
const changed = (data: unknown, key: string, value: unknown) => ({ ...(data as object), [key]: value })

it('an event of its shape folds, and one with a value of another kind is told by its place', () => {
  const odd = fc.constantFrom<unknown>({ deep: [1] }, [[]], Symbol.iterator.toString(), 17, true, null, '')
  fc.assert(
    fc.property(fc.constantFrom(...written.map((event) => upcast(event))), fc.nat(), odd, (event, nth, value) => {
      const keys = Object.keys(event.data as object)
      if (keys.length === 0) return
      const key = keys[nth % keys.length]!
      const data = changed(event.data, key, value)
      const fault = shapeFault({ ...event, data })
      if (fault)
        expect(fault).toMatch(
          /^its data(\.\S+ (is missing|is not what an act writes there)| are not those of version \d)\.$/,
        )
      else expect(() => evolve(emptyState(event.stream), { ...event, data })).not.toThrow()
    }),
    { numRuns: 2000 },
  )
})

it('data that no upcast can turn are a fault too', () => {
  const old = written.find(({ version, type }) => version < eventOf.get(type)!.version)!
  expect(shapeFault({ ...old, data: null as never })).toMatch(/^its data/)
})

describe('a fault is told by its place', () => {
  const shape = { object: { name: 'string', 'note?': 'string', sheets: { array: 'number' } } } as const
  it.each([
    [{ name: 'a', sheets: [1, 2] }, null],
    [{ name: 'a', sheets: [], note: 'n', more: 1 }, null],
    [{ sheets: [] }, 'data.name is missing.'],
    [{ name: 'a', sheets: [1, '2'] }, 'data.sheets[1] is not what an act writes there.'],
    [{ name: 'a', sheets: [], note: 3 }, 'data.note is not what an act writes there.'],
    [[], 'data is not what an act writes there.'],
    [null, 'data is not what an act writes there.'],
  ])('%j', (value, fault) => {
    expect(faultOf(value, shape, 'data')).toBe(fault)
  })
})
