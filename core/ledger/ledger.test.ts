import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { foldEdition } from '../edition/evolve'
import { emptyEdition } from '../edition/state'
import { emptyStudio } from '../stores/studio'
import type { Context, Role } from './envelope'
import { foresee, isForeseeable } from './foresee'
import { may, rolesFor } from './roles'
import { emptyState, streamsFor } from './streams'

const context: Context = { personId: 'p1', role: 'member', commandId: 'tap-1', occurredAt: '2026-11-02T09:30:00.000Z' }
const studio = new Map([['studio', emptyStudio()]])

describe('foreseeing a tap', () => {
  it('shows the stroke the server will store, and leaves the stored state alone', () => {
    const table = new PressTable().tear(2)
    const before = table.edition
    const copy = JSON.stringify(before)
    const foreseen = foresee(before, studio, { type: 'pull', stream: table.stream, data: table.pullData(1) }, context)
    expect(foreseen).toHaveProperty('state')
    const { state } = foreseen as { state: typeof before }
    expect(state.pulls).toMatchObject([
      { pullId: 'tap-1', ordinal: 1, by: 'p1', at: context.occurredAt, disputed: null },
    ])
    expect(state.seq).toBe(before.seq + 1)
    expect(JSON.stringify(before)).toBe(copy)
  })

  it('refuses what the server would refuse', () => {
    const table = new PressTable().tear(2)
    expect(
      foresee(table.edition, studio, { type: 'sign', stream: table.stream, data: { sheetId: 1 } }, context),
    ).toMatchObject({ refusal: { code: 'no-number' } })
  })

  it('knows which commands need other streams', () => {
    const of = (type: string) => isForeseeable({ type, stream: 'edition:e1', data: {} })
    expect(['pull', 'curate', 'sign'].every(of)).toBe(true)
    expect(['tear', 'set-press', 'set-zones'].some(of)).toBe(false)
    expect(isForeseeable({ type: 'add-lot', stream: 'lot:l1', data: {} })).toBe(false)
  })
})

describe('folding', () => {
  it('leaves the edition it starts from as it was', () => {
    const table = new PressTable().tear(4)
    const events = () => table.events.filter((event) => event.stream === table.stream)
    const before = foldEdition(emptyEdition(table.stream), events())
    const copy = JSON.stringify(before)
    const known = events().length
    for (const sheet of [1, 2, 3]) table.pull(sheet, { verdict: sheet === 2 ? 'reject' : 'good' })
    const after = foldEdition(before, events().slice(known))
    expect(JSON.stringify(before)).toBe(copy)
    expect(after).toEqual(table.edition)
  })
})

describe('who may do what', () => {
  it.each<[string, Role, boolean]>([
    ['pull', 'student', true],
    ['curate', 'student', true],
    ['give-numbers', 'student', false],
    ['give-numbers', 'member', true],
    ['close', 'student', false],
    ['amend-size', 'member', false],
    ['amend-size', 'instructor', true],
    ['settle-dispute', 'member', false],
    ['cut-further', 'student', false],
    ['set-studio', 'instructor', false],
    ['add-person', 'manager', true],
    ['add-press', 'member', false],
  ])('%s by a %s: %s', (command, role, allowed) => {
    expect(may(role, command)).toBe(allowed)
  })

  it('leaves everything to the manager', () => {
    for (const command of ['pull', 'reopen', 'set-studio', 'anything']) expect(rolesFor(command)).toContain('manager')
  })
})

describe('streams', () => {
  it('names what a command must see, its own first', () => {
    expect(streamsFor({ type: 'pull', stream: 'edition:e', data: {} })).toEqual(['edition:e', 'studio'])
    expect(streamsFor({ type: 'tear', stream: 'edition:e', data: { lotId: 'l', offcuts: [{ lotId: 'o' }] } })).toEqual([
      'edition:e',
      'studio',
      'lot:l',
      'lot:o',
    ])
    expect(streamsFor({ type: 'set-press', stream: 'edition:e', data: { pressId: 'p' } })).toEqual([
      'edition:e',
      'studio',
      'press:p',
    ])
    expect(
      streamsFor({
        type: 'set-zones',
        stream: 'edition:e',
        data: { zones: [{ batchId: 'b' }, { batchId: null }, { batchId: 'b' }] },
      }),
    ).toEqual(['edition:e', 'studio', 'batch:b'])
    expect(streamsFor({ type: 'set-studio', stream: 'studio', data: {} })).toEqual(['studio'])
  })

  it('begins each kind empty', () => {
    expect(
      ['edition:1', 'lot:1', 'batch:1', 'press:1', 'studio']
        .map((stream) => emptyState(stream))
        .map((state) => [state.stream, state.seq]),
    ).toEqual([
      ['edition:1', 0],
      ['lot:1', 0],
      ['batch:1', 0],
      ['press:1', 0],
      ['studio', 0],
    ])
  })
})
