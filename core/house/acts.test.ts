import { existsSync, readdirSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { actOf, acts, eventOf, shapeOf } from './acts'
import { decide } from './streams'

const folder = (path: string) => new URL(`../${path}/`, import.meta.url)
const stores = readdirSync(folder('stores'), { withFileTypes: true }).filter((entry) => entry.isDirectory())

describe('the list of acts', () => {
  it('holds every file of the folders of acts, under its own name', () => {
    const files = [
      'edition',
      'station',
      'course',
      'calendar',
      'account',
      ...stores.map(({ name }) => `stores/${name}`),
    ].flatMap((place) => {
      // A block's events are those of acts of the edition: it has none of its own.
      const acts = folder(`${place}/acts`)
      return existsSync(acts) ? readdirSync(acts).map((file) => file.replace(/\.ts$/, '')) : []
    })
    expect([...actOf.keys()].sort()).toEqual(files.sort())
  })

  it('names in each act only events that a fold knows, and no event twice', () => {
    for (const act of acts) {
      expect(new Set(act.events.map((event) => event.type)).size, act.type).toBe(act.events.length)
      for (const event of act.events) expect(eventOf.get(event.type), act.type).toBe(event)
    }
  })
})

it('an edition that is not there is told of, not hidden behind a right', () => {
  const command = { type: 'adjust', stream: 'edition:none', data: shapeOf('adjust').sample }
  const student = { personId: 'p1', role: 'student', commandId: 'c1', zone: 'UTC' } as const
  expect(decide(new Map(), command, { ...student, occurredAt: '2026-11-02T09:30:00.000Z' })).toMatchObject({
    refusal: { code: 'unknown-edition' },
  })
})
