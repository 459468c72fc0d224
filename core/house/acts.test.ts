import { existsSync, readdirSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { type Context, type Role, roles } from '../ground/envelope'
import { actOf, acts, eventOf } from './acts'
import { emptyEdition } from '../edition/state'
import { plan } from '../../tests/fixtures/plan'
import { mayDo } from '../../tests/fixtures/rights'
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

const asker = (role: Role): Context => ({
  personId: 'p1',
  role,
  commandId: 'c1',
  occurredAt: '2026-11-02T09:30:00.000Z',
  zone: 'UTC',
})
const owners = {
  'whose own it is, as printer': { artistId: null, printerIds: ['p0', 'p1'] },
  'whose own it is, as artist': { artistId: 'p1', printerIds: ['p0'] },
  'another’s': { artistId: 'p2', printerIds: ['p0'] },
}

describe.each(acts.map((act) => act.type))('who may %s', (type) => {
  const { kind } = actOf.get(type)!.stream
  const stream = kind === 'studio' ? kind : `${kind}:1`
  const data = {
    lotId: 'l',
    pressId: 'p',
    offcuts: [],
    zones: [],
    components: [],
    printerIds: [],
    batchIds: [],
    blockIds: [],
    editionIds: [],
    editions: [],
    bookings: [],
    moves: [],
  }
  const decided = (role: Role, named: { artistId: string | null; printerIds: string[] }) => {
    const edition = { ...emptyEdition('edition:1'), plan, ...named }
    const states = kind === 'edition' && type !== 'start-edition' ? new Map([[stream, edition]]) : new Map()
    return asked(() => decide(states, { type, stream, data }, asker(role)))
  }

  it.each(roles.flatMap((role) => Object.keys(owners).map((owner) => [role, owner] as const)))(
    'a %s, %s',
    (role, owner) => {
      const named = owners[owner as keyof typeof owners]
      expect(decided(role, named) === 'not-allowed').toBe(!mayDo(type, role, owner !== 'another’s'))
    },
  )
})

it('an edition that is not there is told of, not hidden behind a right', () => {
  const command = { type: 'adjust', stream: 'edition:none', data: {} }
  expect(asked(() => decide(new Map(), command, asker('student')))).toBe('unknown-edition')
})

/** The refusal's code; an act let in with half its data may do anything else, even fall over. */
function asked(decision: () => ReturnType<typeof decide>): string {
  try {
    const made = decision()
    return 'refusal' in made ? made.refusal.code : 'done'
  } catch {
    return 'let in'
  }
}
