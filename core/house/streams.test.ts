import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { emptyEdition } from '../edition/state'
import type { Context } from '../ground/envelope'
import { emptyLot } from '../stores/lot/state'
import { emptyStudio } from '../stores/studio/state'
import { foresee } from './foresee'
import { decide, emptyState, evolve, fold, streamKinds, streamsFor } from './streams'

const context: Context = {
  personId: 'p1',
  role: 'member',
  commandId: 'tap-1',
  occurredAt: '2026-11-02T09:30:00.000Z',
  zone: 'UTC',
}
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
})

describe('folding', () => {
  it('leaves the edition it starts from as it was', () => {
    const table = new PressTable().tear(4)
    const events = () => table.events.filter((event) => event.stream === table.stream)
    const before = fold(emptyEdition(table.stream), events())
    const copy = JSON.stringify(before)
    const known = events().length
    for (const sheet of [1, 2, 3]) table.pull(sheet, { verdict: sheet === 2 ? 'reject' : 'good' })
    const after = fold(before, events().slice(known))
    expect(JSON.stringify(before)).toBe(copy)
    expect(after).toEqual(table.edition)
  })
})

describe('the gate every command goes through', () => {
  const code = (type: string, stream: string, data: object = {}) => {
    const decision = decide(new Map(), { type, stream, data }, { ...context, role: 'manager' })
    return 'refusal' in decision ? decision.refusal : null
  }

  it('refuses a command nobody listed, and one for a stream of another kind', () => {
    expect(code('smash-press', 'press:p')).toMatchObject({
      code: 'unknown-command',
      message: expect.stringContaining('Reload'),
    })
    expect(code('pull', 'lot:l1')).toMatchObject({ code: 'unknown-command' })
    expect(code('toString', 'edition:e1')).toMatchObject({ code: 'unknown-command' })
  })

  it('refuses an act whose needed stream is not there, and says what to do', () => {
    const table = new PressTable()
    expect(table.give('set-press', { ...table.settingOf('nowhere') }).refusal).toMatchObject({
      code: 'unknown-press',
      message: expect.stringContaining('Add it first'),
    })
  })

  it('refuses an act on what was never begun', () => {
    expect(code('count-lot', 'lot:none', { sheets: 3, reason: 'counted' })).toMatchObject({ code: 'unknown-lot' })
    expect(code('weigh-tub', 'tub:none', { milligrams: 3, reason: 'counted' })).toMatchObject({ code: 'unknown-tub' })
    expect(code('sign', 'edition:none', { sheetId: 1 })).toMatchObject({ code: 'unknown-edition' })
  })
})

describe('streams', () => {
  it('names what a command must see, its own first', () => {
    expect(streamsFor({ type: 'adjust', stream: 'edition:e', data: {} })).toEqual(['edition:e'])
    // Whether somebody may use the press stands with the room's people.
    expect(streamsFor({ type: 'pull', stream: 'edition:e', data: {} })).toEqual(['edition:e', 'studio'])
    expect(streamsFor({ type: 'destroy-print', stream: 'edition:e', data: {} })).toEqual(['edition:e', 'studio'])
    expect(streamsFor({ type: 'tear', stream: 'edition:e', data: { lotId: 'l', offcuts: [{ lotId: 'o' }] } })).toEqual([
      'edition:e',
      'lot:l',
      'lot:o',
    ])
    expect(streamsFor({ type: 'set-press', stream: 'edition:e', data: { pressId: 'p' } })).toEqual([
      'edition:e',
      'press:p',
      'studio',
    ])
    expect(
      streamsFor({
        type: 'set-zones',
        stream: 'edition:e',
        data: { zones: [{ batchId: 'b' }, { batchId: null }, { batchId: 'b' }] },
      }),
    ).toEqual(['edition:e', 'batch:b'])
    expect(streamsFor({ type: 'set-studio', stream: 'studio', data: {} })).toEqual(['studio'])
  })

  it('begins each kind empty, and knows no other kind', () => {
    for (const kind of streamKinds) {
      const name = kind === 'studio' ? kind : `${kind}:1`
      expect(emptyState(name)).toMatchObject({ stream: name, seq: 0 })
    }
    expect(() => emptyState('people:1')).toThrow(RangeError)
  })

  it('an event of another kind of stream only moves the sequence', () => {
    const event = { stream: 'lot:l1', seq: 1, type: 'pulled', version: 1, actor: 'p', occurredAt: '', data: {} }
    expect(evolve(emptyLot('lot:l1'), event)).toEqual({ ...emptyLot('lot:l1'), seq: 1 })
  })
})
