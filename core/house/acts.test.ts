import { readdirSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { type Context, type Role, roles } from '../ground/envelope'
import { actOf, acts, type CommandType, eventOf } from './acts'
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

/** Who may do each thing: the fewest who may, those above them too. */
const least: Record<CommandType, Role> = {
  'start-edition': 'student',
  'change-plan': 'student',
  'add-layer': 'student',
  'change-layer': 'student',
  'set-zones': 'student',
  'set-press': 'student',
  'plan-piece': 'student',
  tear: 'student',
  'prepare-block': 'student',
  'use-block': 'student',
  'keep-block': 'member',
  'cancel-block': 'member',
  'change-block': 'student',
  'record-block-state': 'student',
  'find-exposure': 'student',
  'draw-register': 'student',
  'set-roll-up': 'student',
  'set-inked-share': 'student',
  'plan-overprint': 'student',
  'plan-blend': 'student',
  pull: 'student',
  'judge-pull': 'student',
  'void-pull': 'student',
  'restore-pull': 'student',
  'settle-dispute': 'instructor',
  adjust: 'student',
  'void-adjustment': 'student',
  'approve-proof': 'student',
  'declare-dry': 'student',
  'cut-further': 'member',
  'spoil-sheet': 'student',
  'recover-sheet': 'student',
  'split-sheet': 'student',
  curate: 'student',
  'give-numbers': 'member',
  'withdraw-numbers': 'member',
  sign: 'student',
  'withdraw-signing': 'instructor',
  'destroy-print': 'member',
  'amend-size': 'instructor',
  close: 'member',
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
  'set-studio': 'manager',
  'add-past-editions': 'instructor',
  'withdraw-past-edition': 'instructor',
  'set-series-format': 'member',
  'set-roller': 'member',
  'retire-roller': 'member',
  'add-person': 'manager',
  'change-person': 'manager',
}

describe.each(acts.map((act) => act.type))('who may %s', (type) => {
  it.each(roles)('a %s', (role) => {
    const context: Context = { personId: 'p1', role, commandId: 'c1', occurredAt: '2026-11-02T09:30:00.000Z' }
    const { kind } = actOf.get(type)!.stream
    const data = { lotId: 'l', pressId: 'p', offcuts: [], zones: [], components: [] }
    const decision = asked(() =>
      decide(new Map(), { type, stream: kind === 'studio' ? kind : `${kind}:1`, data }, context),
    )
    // Roles are listed from the most to the fewest rights.
    const allowed = roles.indexOf(role) <= roles.indexOf(least[type])
    expect(decision === 'not-allowed').toBe(!allowed)
  })
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
