import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { samples } from '../../tests/fixtures/requests'
import { emptyPress, type PressState } from '../stores/press/state'
import { recallOf, type RoomKnown } from './recall'

const batch: RoomKnown['batches'][number] = {
  id: 'b1',
  name: 'slate',
  family: 'oil',
  colour: '#445566',
  components: [
    { tubId: null, batchId: null, name: 'blue', milligrams: 2000, held: null },
    { tubId: null, batchId: null, name: 'black', milligrams: 1000, held: null },
  ],
  left: 12_300,
  keepings: [{ how: 'wrapped, in the ink cupboard', before: 0, left: 0, scraped: 0, at: '', position: 1 }],
}
const press: PressState = {
  ...emptyPress('press:p1'),
  ...samples['add-press'],
  zero: {
    on: [{ name: 'bed board', thickness: 6 }],
    left: 3,
    right: 5,
    note: '',
    at: '',
    position: 1,
    by: 'p1',
    via: null,
  },
}
const room: RoomKnown = { press, batches: [batch], blocks: [] }

/** A layer set up, inked, proved, approved, and pulled with a fault that was mended. */
function table() {
  const at = new PressTable().tear(12)
  at.submit({ type: 'add-press', stream: 'press:p1', data: samples['add-press'] })
  at.submit({ type: 'mix-batch', stream: 'batch:b1', data: { ...samples['mix-batch'], components: [] } })
  const layerId = at.layer
  at.must('set-press', { ...samples['set-press'], layerId, pressId: 'p1' })
  const rollUp = { ...samples['set-roll-up'].rollUp, zones: [], masks: 'the sky', wiping: 'the rail', charges: 2 }
  at.must('set-roll-up', { layerId, rollUp })
  return { at, layerId }
}

describe('a recall card', () => {
  it('says the layer, its setting as the press stands today, and that nothing is approved yet', () => {
    const { at, layerId } = table()
    const card = recallOf(at.edition, layerId, room)!
    expect(card).toMatchObject({ title: 'Tide Gauge', layer: { number: 1, of: 1 }, standard: null })
    expect(card.setting.join(' ')).toMatch(/Raise both screws .* Lay in, from the bed up: .* Lower both to /)
    expect(card.asSet).toMatch(/^left .* right .* from zero$/)
    expect(card.inks).toEqual([])
    expect(card.register).toEqual(['No registration sheet was drawn.'])
    expect(card.block).toEqual(['No block was described.'])
    expect(recallOf(at.edition, 'nowhere', room)).toBeNull()
  })

  it('gives one impression in its order, with the charges and passes of the approved proof', () => {
    const { at, layerId } = table()
    const pullId = at.must('pull', { ...at.pullData(null), kind: 'proof', proofKind: 'WP', batchIds: ['b1'] })
    at.must('judge-proof', { ...samples['judge-proof'], pullId, charges: 3, passes: 1, pressure: 0 })
    at.must('approve-proof', { pullId, layerId, reason: '' })
    const card = recallOf(at.edition, layerId, room)!
    expect(card.standard).toMatchObject({ word: 'BAT', ordinal: 1 })
    const order = card.routine.map((step) => step.split(':')[0])
    expect(order[0]).toBe('mask up')
    expect(order.indexOf('wipe the rail')).toBeGreaterThan(order.findIndex((step) => step!.startsWith('ink')))
    expect(order.slice(-3)).toEqual(['mask down', 'lay the sheet to the stops', 'packing down, press'])
    expect(card.routine[1]).toContain('3 charges, 1 pass each')
    // Pulled with an ink that no zone names any more: the standard had it all the same.
    expect(card.inks).toMatchObject([
      {
        zone: 'as proved',
        recipe: [
          { name: 'blue', percent: 66.7 },
          { name: 'black', percent: 33.3 },
        ],
        left: '12.3 g left, wrapped, in the ink cupboard',
      },
    ])
  })

  it('goes by the setting of the standard, not by the last one tried', () => {
    const { at, layerId } = table()
    const pullId = at.must('pull', { ...at.pullData(null), kind: 'proof', proofKind: 'WP' })
    at.must('approve-proof', { pullId, layerId, reason: '' })
    at.must('set-press', { ...samples['set-press'], layerId, pressId: 'p1', note: 'tried and left' })
    expect(recallOf(at.edition, layerId, room)!.setup!.note).toBe(samples['set-press'].note)
  })

  it('tells what went wrong and what mended it, never what did not', () => {
    const { at, layerId } = table()
    for (const sheet of [1, 2]) at.pull(sheet, { verdict: 'reject', faults: ['salt'] })
    at.must('try-remedy', { layerId, fault: 'salt', remedy: 'one more pass' })
    for (const sheet of [3, 4, 5, 6, 7, 8, 9]) at.pull(sheet)
    at.must('try-remedy', { layerId, fault: 'pale', remedy: 'one more pass' })
    expect(recallOf(at.edition, layerId, room)!.faults).toMatchObject([
      { times: 2, mended: ['one more pass'] },
      { times: 0, mended: [] },
    ])
  })

  it('says where the block is kept, and that a press is gone', () => {
    const { at, layerId } = table()
    at.must('prepare-block', { ...samples['prepare-block'], blockId: 'k1' })
    const kept = { id: 'k1', kept: { where: 'in the plan chest', at: '' }, cancelled: null }
    const card = recallOf(at.edition, layerId, { ...room, press: null, blocks: [kept] })!
    expect(card.block[0]).toContain('kept in the plan chest')
    expect(card.setting).toEqual([`${samples['add-press'].name} is not in the room any more.`])
  })
})
