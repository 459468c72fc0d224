import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { plan } from '../../tests/fixtures/plan'
import { samples } from '../../tests/fixtures/requests'
import type { Role } from '../ground/envelope'
import type { BlockEnd } from '../print/block-end'
import type { BlockState } from '../stores/block/state'
import { emptyStudio } from '../stores/studio/state'
import { allocate, candidatesFor } from './allocate'
import { editionRecord } from './record'
import { recordFacts } from './record-facts'
import { titleAgain } from './related'
import type { EditionState } from './state'

/** An edition of one signed print from a block that has a state, a jig and a setting, closed. */
function closed(end: BlockEnd, method: 'single' | 'reduction' = 'single'): PressTable {
  const table = new PressTable({ size: 1, method, layersPlanned: 1 }).tear(2)
  table.must('prepare-block', { ...samples['prepare-block'], blockId: 'k1' })
  table.must('record-block-state', { ...samples['record-block-state'], blockId: 'k1' })
  table.must('set-inked-share', { ...samples['set-inked-share'], blockId: 'k1' })
  table.must('plan-piece', samples['plan-piece'])
  table.must('draw-register', { ...samples['draw-register'], formatId: null })
  table.submit({ type: 'add-press', stream: 'press:p1', data: samples['add-press'] })
  const setting = (note: string) =>
    table.must('set-press', { ...samples['set-press'], layerId: table.layer, pressId: 'p1', note })
  setting('the good one')
  const { seq } = table.edition.layers[0]!.setups[0]!
  const { id: proof } = table.submit({
    type: 'pull',
    stream: table.stream,
    data: {
      ...samples.pull,
      layerId: table.layer,
      kind: 'proof',
      proofKind: 'WP',
      sheetIds: [2],
      setupSeq: seq,
      batchIds: [],
    },
  })
  table.must('approve-proof', { ...samples['approve-proof'], layerId: table.layer, pullId: proof })
  setting('tried later')
  table.pull(1)
  table.must('declare-dry', { layerId: table.layer, sheetIds: [1] })
  table.must('curate', { sheetId: 1, verdict: 'good', reason: '' })
  table.must('give-numbers', allocate(table.edition, 'edition', candidatesFor(table.edition, 'edition')))
  table.must('sign', { sheetId: 1 })
  table.must('close', { note: '', block: end, blockIds: ['k1'] })
  return table
}

function again(table: PressTable, more: object = {}, role: Role = 'manager') {
  const data = { earlierId: 'e1', blockIds: ['k1'], title: 'Tide Gauge, second edition', plan, ...more }
  return table.submit({ type: 'print-again', stream: 'edition:e2', data }, role).refusal?.code
}
const stateOf = (table: PressTable, stream: string) => table.states.get(stream) as EditionState
const factsOf = (state: EditionState) =>
  recordFacts(editionRecord(state, emptyStudio(), String, 'UTC'), {
    size: () => '',
    day: (at) => at.slice(0, 10),
  }).find(({ term }) => term === 'Same block')?.lines

describe('an edition printed again from its block', () => {
  it('takes over states, share, jig, paper and the setting of the approved proof, and no ink', () => {
    const table = closed('kept')
    expect(again(table)).toBeUndefined()
    const [before, after] = [table.edition, stateOf(table, 'edition:e2')]
    expect(after.blocks).toEqual(before.blocks)
    expect(after.blocks[0]!.states).toHaveLength(1)
    expect(after.register).toEqual(before.register)
    expect(after.piece).toEqual(before.piece)
    expect(after.layers.map(({ setups }) => setups.map(({ setup }) => setup.note))).toEqual([['the good one']])
    expect(after.layers[0]!.zones.every(({ batchId }) => batchId === null)).toBe(true)
    expect([after.sheets, after.pulls, after.closedAt]).toEqual([[], [], null])
    expect((table.states.get('block:k1') as BlockState).editions).toEqual(['edition:e1', 'edition:e2'])
  })

  it('is named by the record of the first, and names it, however often', () => {
    const table = closed('re-workable')
    again(table)
    const after = stateOf(table, 'edition:e2')
    expect(factsOf(after)).toEqual(['before: Tide Gauge, 1 signed, closed 2026-11-02'])
    expect(factsOf(table.edition)).toEqual(['since: Tide Gauge, second edition, begun 2026-11-02'])
    expect(after.earlier.map(({ editionId }) => editionId)).toEqual(['e1'])
    expect(titleAgain(after.title, after.earlier.length)).toBe('Tide Gauge, third edition')
  })

  it.each(['cancelled', 'cancelled with a proof'] as const)('is refused once the block is %s', (end) => {
    const table = closed(end)
    expect((table.states.get('block:k1') as BlockState).cancelled?.reason).toContain('Tide Gauge is closed')
    expect(again(table)).toBe('cancelled')
    // Nor does another edition get the block.
    table.submit({ type: 'start-edition', stream: 'edition:e3', data: { title: 'Old Pier', plan } })
    const used = table.submit({ type: 'use-block', stream: 'edition:e3', data: { blockId: 'k1', editionIds: ['e1'] } })
    expect(used.refusal?.code).toBe('cancelled')
  })

  it('of one block that another takes in hand is told in both records too', () => {
    const table = closed('kept')
    table.submit({ type: 'start-edition', stream: 'edition:e3', data: { title: 'Old Pier', plan } })
    const use = (blockId: string, editionIds: string[]) =>
      table.submit({ type: 'use-block', stream: 'edition:e3', data: { blockId, editionIds } }).refusal?.code
    expect(use('k1', ['e1'])).toBeUndefined()
    expect(factsOf(stateOf(table, 'edition:e3'))).toEqual(['before: Tide Gauge, 1 signed, closed 2026-11-02'])
    expect(factsOf(table.edition)).toEqual(['since: Old Pier, begun 2026-11-02'])
    // Of an edition that is open still it is said so.
    table.submit({ type: 'start-edition', stream: 'edition:e4', data: { title: 'New Pier', plan } })
    const more = { blockId: 'k1', editionIds: ['e1', 'e3'] }
    table.submit({ type: 'use-block', stream: 'edition:e4', data: more })
    expect(factsOf(stateOf(table, 'edition:e4'))).toEqual([
      'before: Tide Gauge, 1 signed, closed 2026-11-02',
      'before: Old Pier, 0 signed, open when this one was begun',
    ])
  })

  it('is refused when its block was scored since', () => {
    const table = closed('kept')
    const { seq } = table.states.get('block:k1')!
    table.submit({ type: 'cancel-block', stream: 'block:k1', data: { reason: 'scored' }, expectedSeq: seq })
    expect(again(table)).toBe('cancelled')
  })

  it('is refused while the first is open, with other blocks, from nowhere, or by an onlooker', () => {
    const table = closed('kept')
    expect(again(table, { blockIds: [] })).toBe('stale')
    expect(again(table, { blockIds: ['k1', 'k1'] })).toBe('stale')
    expect(again(table, { earlierId: 'nowhere' })).toBe('unknown-edition')
    table.person = 'p9'
    expect(again(table, {}, 'member')).toBe('not-allowed')
    expect(again(table, {}, 'instructor')).toBeUndefined()
    expect(again(table)).toBe('already-started')
    const { seq } = table.edition
    table.submit({ type: 'reopen', stream: table.stream, data: { reason: 'one more' }, expectedSeq: seq })
    expect(
      table.submit({
        type: 'print-again',
        stream: 'edition:e3',
        data: { earlierId: 'e1', blockIds: ['k1'], title: 'x', plan },
      }).refusal?.code,
    ).toBe('not-closed')
  })

  it('closes over no block that is otherwise than said', () => {
    const table = new PressTable().tear(1)
    table.must('prepare-block', { ...samples['prepare-block'], blockId: 'k1' })
    const close = (block: BlockEnd, blockIds: string[]) =>
      table.give('close', { note: '', block, blockIds }).refusal?.code
    expect(close('kept', [])).toBe('stale')
    table.submit({ type: 'cancel-block', stream: 'block:k1', data: { reason: 'scored' }, expectedSeq: 1 })
    expect(close('kept', ['k1'])).toBe('cancelled')
    expect(close('cancelled', ['k1'])).toBeUndefined()
  })
})
