import { readdirSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { type Context, type Role, roles } from '../ground/envelope'
import { actOf, acts, type CommandType, eventOf } from './acts'
import { emptyEdition } from '../edition/state'
import { plan } from '../../tests/fixtures/press-table'
import { decide } from './streams'

const folder = (path: string) => new URL(`../${path}/`, import.meta.url)
const stores = readdirSync(folder('stores'), { withFileTypes: true }).filter((entry) => entry.isDirectory())

describe('the list of acts', () => {
  it('holds every file of the folders of acts, under its own name', () => {
    const files = ['edition', ...stores.map(({ name }) => `stores/${name}`)].flatMap((place) =>
      readdirSync(folder(`${place}/acts`)).map((file) => file.replace(/\.ts$/, '')),
    )
    expect([...actOf.keys()].sort()).toEqual(files.sort())
  })

  it('names in each act only events that a fold knows, and no event twice', () => {
    for (const act of acts) {
      expect(new Set(act.events.map((event) => event.type)).size, act.type).toBe(act.events.length)
      for (const event of act.events) expect(eventOf.get(event.type), act.type).toBe(event)
    }
  })
})

/** Who may do each thing: of an edition staff, those named on it, or members named on it; of the rest the fewest who may. */
const who: Record<CommandType, Role | 'named' | 'named member'> = {
  'start-edition': 'student',
  'name-printers': 'named member',
  'change-plan': 'named',
  'add-layer': 'named',
  'change-layer': 'named',
  'set-zones': 'named',
  'set-press': 'named',
  'plan-piece': 'named',
  tear: 'named',
  'prepare-block': 'named',
  'use-block': 'named',
  'keep-block': 'member',
  'cancel-block': 'member',
  'change-block': 'named',
  'record-block-state': 'named',
  'find-exposure': 'named',
  'draw-register': 'named',
  'set-roll-up': 'named',
  'set-inked-share': 'named',
  'plan-overprint': 'named',
  'plan-blend': 'named',
  pull: 'named',
  'judge-pull': 'named',
  'void-pull': 'named',
  'restore-pull': 'named',
  'settle-dispute': 'instructor',
  adjust: 'named',
  'void-adjustment': 'named',
  'approve-proof': 'named',
  'declare-dry': 'named',
  'cut-further': 'named',
  'spoil-sheet': 'named',
  'recover-sheet': 'named',
  'split-sheet': 'named',
  curate: 'named',
  'give-numbers': 'named',
  'withdraw-numbers': 'named',
  sign: 'named',
  'withdraw-signing': 'instructor',
  'destroy-print': 'named',
  'amend-size': 'instructor',
  close: 'named',
  reopen: 'instructor',
  'add-lot': 'member',
  'describe-lot': 'member',
  'buy-paper': 'member',
  'count-lot': 'member',
  'ration-paper': 'instructor',
  'release-paper': 'instructor',
  'return-paper': 'student',
  'mix-batch': 'student',
  'add-ink': 'student',
  'draw-ink': 'student',
  'reweigh-batch': 'student',
  'keep-batch': 'student',
  'see-draw-down': 'student',
  'weigh-run': 'student',
  'add-tub': 'member',
  'describe-tub': 'member',
  'weigh-tub': 'member',
  'add-press': 'instructor',
  'set-up': 'student',
  'set-studio': 'manager',
  'add-past-editions': 'instructor',
  'withdraw-past-edition': 'instructor',
  'set-series-format': 'member',
  'set-roller': 'member',
  'retire-roller': 'member',
  'add-person': 'manager',
  'change-person': 'manager',
}

const isStaff = (role: Role) => role === 'manager' || role === 'instructor'

function mayDo(type: CommandType, role: Role, isNamed: boolean): boolean {
  const allowed = who[type]
  if (allowed === 'named') return isStaff(role) || isNamed
  if (allowed === 'named member') return isStaff(role) || (isNamed && role === 'member')
  // Roles are listed from the most to the fewest rights.
  return roles.indexOf(role) <= roles.indexOf(allowed)
}

const asker = (role: Role): Context => ({
  personId: 'p1',
  role,
  commandId: 'c1',
  occurredAt: '2026-11-02T09:30:00.000Z',
})
const owners = {
  'whose own it is, as printer': { artistId: null, printerIds: ['p0', 'p1'] },
  'whose own it is, as artist': { artistId: 'p1', printerIds: ['p0'] },
  'another’s': { artistId: 'p2', printerIds: ['p0'] },
}

describe.each(acts.map((act) => act.type))('who may %s', (type) => {
  const { kind } = actOf.get(type)!.stream
  const stream = kind === 'studio' ? kind : `${kind}:1`
  const data = { lotId: 'l', pressId: 'p', offcuts: [], zones: [], components: [], printerIds: [] }
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
