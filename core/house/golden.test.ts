import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { countEdition } from '../edition/count'
import { emptyEdition, type EditionState } from '../edition/state'
import type { LedgerEvent } from '../ground/envelope'
import { eventOf } from './acts'
import { emptyState, evolve, type StreamState } from './streams'
import { isNewer, NewerLedgerError, upcast } from './upcast'

const golden = (name: string) => readFileSync(new URL(`./golden/${name}`, import.meta.url), 'utf8')
const eventsOf = (name: string) =>
  golden(`${name}.jsonl`)
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line) as LedgerEvent)
const versions = [
  'version-1',
  'version-2',
  'version-3',
  'version-4',
  'version-5',
  'version-6',
  'version-7',
  'version-8',
  'version-9',
  'version-10',
  'version-11',
  'version-12',
  'version-13',
]
const events = versions.flatMap(eventsOf)

describe.each(versions)('a ledger of %s', (version) => {
  it('folds to the same states as on the day it was written', () => {
    const states = new Map<string, StreamState>()
    for (const event of eventsOf(version))
      states.set(event.stream, evolve(states.get(event.stream) ?? emptyState(event.stream), upcast(event)))
    expect(JSON.parse(JSON.stringify(Object.fromEntries(states)))).toEqual(JSON.parse(golden(`${version}.states.json`)))
    expect(countEdition(states.get('edition:e1') as EditionState).findings).toEqual([])
  })

  it('holds no event that says nothing', () => {
    const evolved = eventsOf(version)
      .map((event) => upcast(event))
      .filter((event) => event.stream === 'edition:e1')
    const silent = evolved.filter((event, i) => {
      const before = evolved.slice(0, i).reduce(evolve, emptyEdition(event.stream))
      const after = evolve(before, event)
      return (
        JSON.stringify({ ...after, seq: 0, changedAt: '' }) === JSON.stringify({ ...before, seq: 0, changedAt: '' })
      )
    })
    expect(silent.map((event) => event.type)).toEqual([])
  })
})

it('together they hold every type of event, and every version of each', () => {
  for (const { type, version } of eventOf.values())
    for (let v = 1; v <= version; v++)
      expect(
        events.some((event) => event.type === type && event.version === v),
        `${type} version ${v}`,
      ).toBe(true)
  expect(new Set(events.map((event) => event.type))).toEqual(new Set(eventOf.keys()))
})

describe('upcasting', () => {
  const old = { ...events[0]!, type: 'pulled', version: 1, data: { sheet: 4 } }

  it('takes old data through every step', () => {
    const upcasts = [
      (data: Record<string, unknown>) => ({ sheetIds: [data.sheet] }),
      (data: Record<string, unknown>) => ({ ...data, rescued: null }),
    ]
    const known = new Map([['pulled', { version: 3, upcasts }]])
    expect(upcast(old, known)).toMatchObject({ version: 3, data: { sheetIds: [4], rescued: null } })
    expect(upcast({ ...old, version: 2, data: { sheetIds: [4] } }, known).data).toEqual({
      sheetIds: [4],
      rescued: null,
    })
  })

  it('refuses a ledger newer than itself, and says what to do', () => {
    expect(() => upcast({ ...old, version: 2 })).toThrow(NewerLedgerError)
    expect(() => upcast({ ...old, version: 2 })).toThrow('Start the newer program again')
    expect(isNewer({ type: 'sheets-torn', version: 4 })).toBe(true)
    expect(isNewer({ type: 'sheets-torn', version: 3 })).toBe(false)
    expect(isNewer({ type: 'from-the-future', version: 1 })).toBe(false)
  })
})
