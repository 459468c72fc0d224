import { describe, expect, it } from 'vitest'
import { PressTable } from '../../../tests/fixtures/press-table'
import { samples } from '../../../tests/fixtures/requests'
import type { CommandData, CommandType } from '../../house/acts'
import type { Role } from '../../ground/envelope'
import type { StudioState } from '../studio/state'
import { type PressState, rateOn } from './state'

const longPress = samples['add-press']
const setting = { ...samples['set-press'], pressId: 'p1' }

/** A room with the long press, and what is done in it; `code` is why it was refused. */
function room() {
  const table = new PressTable().tear(3)
  const give = <T extends CommandType>(stream: string, type: T, data: CommandData<T>, role: Role = 'manager') => {
    const expectedSeq = table.states.get(stream)?.seq
    return table.submit({ type, stream, data, expectedSeq }, role).refusal?.code
  }
  const press = () => table.states.get('press:p1') as PressState
  const set = (more: Partial<CommandData<'set-press'>> = {}, role: Role = 'manager') =>
    table.give('set-press', { ...setting, layerId: table.layer, ...more }, role).refusal?.code
  return { table, give, press, set }
}

describe('a press', () => {
  it('is added once and by name, and described anew', () => {
    const { give, press, set } = room()
    expect(set()).toBe('unknown-press')
    expect(give('press:p1', 'add-press', { ...longPress, name: ' ' })).toBe('press-incomplete')
    expect(give('press:p1', 'add-press', { ...longPress, divisions: 0 })).toBe('press-incomplete')
    expect(give('press:p1', 'describe-press', longPress)).toBe('unknown-press')
    expect(give('press:p1', 'add-press', longPress)).toBeUndefined()
    expect(give('press:p1', 'add-press', longPress)).toBe('already-there')
    expect(give('press:p1', 'describe-press', { ...longPress, pitch: null, condition: 'stiff' })).toBeUndefined()
    expect(press()).toMatchObject({ divisions: 16, pitch: null, condition: 'stiff' })
  })

  it('has its zero on something that lies on the bed, and with marks that there are', () => {
    const { give, press } = room()
    give('press:p1', 'add-press', longPress)
    const found = samples['find-zero']
    expect(give('press:p1', 'find-zero', { ...found, on: [{ name: 'nothing', thickness: 0 }] })).toBe('bare-bed')
    expect(give('press:p1', 'find-zero', { ...found, right: 16 })).toBe('no-such-mark')
    expect(give('press:p1', 'find-zero', found)).toBeUndefined()
    expect(press().zero).toMatchObject({ on: found.on, left: 3, right: 5, by: 'p1' })
    give('press:p2', 'add-press', { ...longPress, kind: 'platen', divisions: 0 })
    expect(give('press:p2', 'find-zero', found)).toBe('no-screws')
  })

  it('knows who set what on it last, until it is taken down', () => {
    const { table, give, press, set } = room()
    give('press:p1', 'add-press', longPress)
    expect(give('press:p1', 'take-down', { note: '' })).toBe('not-set')
    expect(set()).toBeUndefined()
    expect(press().standing).toMatchObject({ title: 'Tide Gauge', layerId: table.layer, by: 'p1' })
    const { packing, block, sheet, nip, left, right, note } = setting
    expect(press().standing!.setting).toEqual({ packing, block, sheet, nip, left, right, note })
    expect(give('press:p1', 'take-down', { note: '' })).toBeUndefined()
    expect(press().standing).toBeNull()
    expect(press().last).toMatchObject({ title: 'Tide Gauge' })
  })

  it('is set up by whom it is for', () => {
    for (const [users, allowed] of [
      ['everybody', ['manager', 'instructor', 'member', 'student']],
      ['members', ['manager', 'instructor', 'member']],
      ['staff', ['manager', 'instructor']],
    ] as const)
      for (const role of ['manager', 'instructor', 'member', 'student'] as const) {
        const { table, give, set } = room()
        table.must('name-printers', { artistId: null, printerIds: ['p1'] })
        give('press:p1', 'add-press', { ...longPress, users })
        expect([users, role, set({}, role)]).toEqual([
          users,
          role,
          (allowed as readonly Role[]).includes(role) ? undefined : 'press-not-theirs',
        ])
      }
  })

  it('costs from a day on what was said for it, the later word for a day counting', () => {
    const { give, press } = room()
    give('press:p1', 'add-press', longPress)
    for (const [from, hour] of [
      ['2026-11-01', 6],
      ['2026-03-01', 5],
      ['2026-11-01', 7],
    ] as const)
      give('press:p1', 'rate-press', { from, hour })
    expect(['2026-02-28', '2026-03-01', '2026-10-31', '2026-11-01'].map((day) => rateOn(press().rates, day))).toEqual([
      null,
      5,
      5,
      7,
    ])
  })

  it('leaves each pull the setting it was made with', () => {
    const { table, give, set } = room()
    give('press:p1', 'add-press', longPress)
    set()
    set({ left: { turns: 2, divisions: 0 } })
    const [first, second] = table.edition.layers[0]!.setups
    // A tap that was on its way when the press was set again says which setting it was made with.
    table.pull(1, { setupSeq: first!.seq })
    table.pull(2, { setupSeq: 9999 })
    expect(table.edition.pulls.map((pull) => pull.setupSeq)).toEqual([first!.seq, second!.seq])
  })
})

describe('the packing drawer', () => {
  it('keeps a piece by its id, measured, and no thicker squeezed than free', () => {
    const { table, give } = room()
    const felt = samples['set-packing']
    expect(give('studio', 'set-packing', { ...felt, name: ' ' })).toBe('name-missing')
    expect(give('studio', 'set-packing', { ...felt, thickness: 0 })).toBe('thickness-missing')
    expect(give('studio', 'set-packing', { ...felt, squeezed: 3.1 })).toBe('squeezed-range')
    give('studio', 'set-packing', felt)
    give('studio', 'set-packing', { ...felt, count: 5 })
    expect((table.states.get('studio') as StudioState).drawer).toEqual([{ ...felt, count: 5 }])
    expect(give('studio', 'retire-packing', { id: 'felt' })).toBeUndefined()
    expect(give('studio', 'retire-packing', { id: 'felt' })).toBe('unknown-packing')
  })
})
