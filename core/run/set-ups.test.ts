import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { samples } from '../../tests/fixtures/requests'
import { settingChanges } from '../press/compare'
import { setUpsOf } from './set-ups'

const setting = samples['set-press']

describe('set-ups side by side', () => {
  it('tell what was pulled with each, and what changed since', () => {
    const table = new PressTable().tear(6)
    table.submit({ type: 'add-press', stream: 'press:p1', data: samples['add-press'] })
    const set = (more: Partial<typeof setting>) =>
      table.must('set-press', { ...setting, layerId: table.layer, pressId: 'p1', ...more })
    expect(setUpsOf(table.edition, table.layer)).toEqual([])
    set({ nip: 0.3 })
    table.pull(1)
    table.pull(2, { verdict: 'doubtful' })
    const lost = table.pull(3)
    table.must('void-pull', { pullId: lost, reason: 'not pulled' })
    set({ nip: 0.5, left: { turns: 2, divisions: 3 }, packing: [] })
    table.pull(4, { verdict: 'reject' })
    const [now, before] = setUpsOf(table.edition, table.layer)
    expect(now).toMatchObject({ isInForce: true, rejects: 1, good: 0, since: [] })
    expect(before).toMatchObject({ isInForce: false, good: 1, doubtful: 1, rejects: 0 })
    expect(before!.since).toEqual(
      expect.arrayContaining([
        'gap 0.2 mm closer',
        expect.stringMatching(/^left screw from .* to 2 turns, 3 divisions$/),
      ]),
    )
    expect(before!.since.filter((words) => words.endsWith(' out'))).toHaveLength(setting.packing.length)
  })

  it('are alike when nothing was changed, whatever was noted', () => {
    expect(settingChanges(setting, { ...setting, note: 'again' })).toEqual([])
    expect(settingChanges(setting, { ...setting, sheet: 9 })).toHaveLength(1)
    expect(settingChanges({ ...setting, block: null }, { ...setting, block: { name: 'b', thickness: 4.8 } })).toEqual([
      'block 0 mm then, 4.8 mm now',
    ])
  })
})
