import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { countEdition } from '../edition/count'
import { evolveEdition } from '../edition/evolve'
import { emptyEdition, type EditionState } from '../edition/state'
import type { LedgerEvent } from './envelope'
import { emptyState, evolve, type StreamState } from './streams'
import { NewerLedgerError, upcast } from './upcast'
import { currentVersions } from './versions'

const golden = (name: string) => readFileSync(new URL(`./golden/${name}`, import.meta.url), 'utf8')
const eventsOf = (name: string) =>
  golden(`${name}.jsonl`)
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line) as LedgerEvent)
const versions = ['version-1', 'version-2', 'version-3']
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
      const before = evolved.slice(0, i).reduce(evolveEdition, emptyEdition(event.stream))
      const after = evolveEdition(before, event)
      return (
        JSON.stringify({ ...after, seq: 0, changedAt: '' }) === JSON.stringify({ ...before, seq: 0, changedAt: '' })
      )
    })
    expect(silent.map((event) => event.type)).toEqual([])
  })
})

it('together they hold every type of event, and every version of each', () => {
  expect(new Set(events.map((event) => event.type)).size).toBe(68)
  for (const [type, version] of Object.entries(currentVersions))
    for (let v = 1; v <= version; v++)
      expect(
        events.some((event) => event.type === type && event.version === v),
        `${type} version ${v}`,
      ).toBe(true)
})

describe('upcasting', () => {
  const old = { ...events[0]!, type: 'pulled', version: 1, data: { sheet: 4 } }

  it('takes old data through every step', () => {
    const steps = {
      'pulled@1': (data: Record<string, unknown>) => ({ sheetIds: [data.sheet] }),
      'pulled@2': (data: Record<string, unknown>) => ({ ...data, rescued: null }),
    }
    expect(upcast(old, steps, { pulled: 3 })).toMatchObject({ version: 3, data: { sheetIds: [4], rescued: null } })
  })

  it('refuses a ledger newer than itself', () => {
    expect(() => upcast({ ...old, version: 2 })).toThrow(NewerLedgerError)
  })
})
