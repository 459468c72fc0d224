import { describe, expect, it } from 'vitest'
import { PressTable } from '../../../tests/fixtures/press-table'
import { samples } from '../../../tests/fixtures/requests'
import { evolve } from '../../house/streams'
import { newBook } from './book'
import { type BlockState, emptyBlock } from './state'

const { block } = samples['prepare-block']

/** Two editions in one room, so that a block can go from one to the other. */
class Room extends PressTable {
  start(stream: string) {
    this.submit({ type: 'start-edition', stream, data: { title: 'Weighbridge', plan: this.edition.plan! } })
  }

  on(type: string, stream: string, data: unknown, role?: 'student' | 'manager') {
    const expectedSeq = this.states.get(stream)?.seq
    return this.submit({ type, stream, data, expectedSeq }, role).refusal?.code
  }

  book(id: string): BlockState {
    return (this.states.get(`block:${id}`) ?? emptyBlock(`block:${id}`)) as BlockState
  }
}

describe('a block', () => {
  it('has a book of its own, which follows what its edition writes down', () => {
    const room = new Room()
    const id = room.prepareBlock(block)
    expect(room.book(id)).toMatchObject({ book: newBook(block), editions: [room.stream] })
    room.must('change-block', { blockId: id, block: { ...block, thickness: 23.5 } })
    room.must('record-block-state', { ...samples['record-block-state'], blockId: id })
    room.must('find-exposure', { ...samples['find-exposure'], blockId: id })
    room.must('set-inked-share', { blockId: id, share: 0.4, reading: null })
    expect({ id, ...room.book(id).book }).toEqual(room.edition.blocks[0])
    expect(room.book(id).book!.block.thickness).toBe(23.5)
    expect(room.give('prepare-block', { blockId: id, block }).refusal?.code).toBe('already-there')
  })

  it('outlives its edition: the next takes it with all that is known, and adds to it', () => {
    const room = new Room()
    const id = room.prepareBlock(block)
    room.must('record-block-state', { ...samples['record-block-state'], blockId: id })
    room.start('edition:e2')
    for (const editionIds of [[], ['e2'], ['e1', 'e9']])
      expect(room.on('use-block', 'edition:e2', { blockId: id, editionIds })).toBe('stale')
    expect(room.on('use-block', 'edition:e2', { blockId: id, editionIds: ['e1'] })).toBeUndefined()
    expect(room.on('use-block', 'edition:e2', { blockId: id, editionIds: ['e1'] })).toBe('block-twice')
    expect(room.on('use-block', 'edition:e2', { blockId: 'none', editionIds: [] })).toBe('unknown-block')
    const cut = { ...samples['record-block-state'], blockId: id, name: 'second state' }
    room.on('record-block-state', 'edition:e2', cut)
    room.must('record-block-state', { ...cut, name: 'third state' })
    expect(room.book(id).book!.states.map(({ name }) => name)).toEqual(['first', 'second state', 'third state'])
    expect(room.book(id).editions).toEqual(['edition:e1', 'edition:e2'])
    // What another edition wrote does not reach into this one, which folds by itself.
    expect(room.edition.blocks[0]!.states).toHaveLength(2)
  })

  it('once cancelled goes into no new edition, and is not kept', () => {
    const room = new Room()
    const id = room.prepareBlock(block)
    const stream = `block:${id}`
    expect(room.on('keep-block', stream, { where: ' ' })).toBe('where-missing')
    expect(room.on('keep-block', stream, { where: 'plan chest' })).toBeUndefined()
    expect(room.on('cancel-block', stream, { reason: '' })).toBe('reason-missing')
    expect(room.on('cancel-block', stream, { reason: 'scored' }, 'student')).toBe('not-allowed')
    expect(room.on('cancel-block', stream, { reason: 'scored across' })).toBeUndefined()
    expect(room.book(id)).toMatchObject({ kept: { where: 'plan chest' }, cancelled: { reason: 'scored across' } })
    expect(room.on('cancel-block', stream, { reason: 'again' })).toBe('cancelled')
    expect(room.on('keep-block', stream, { where: 'elsewhere' })).toBe('cancelled')
    room.start('edition:e2')
    expect(room.on('use-block', 'edition:e2', { blockId: id, editionIds: ['e1'] })).toBe('cancelled')
  })

  it('of an old ledger is written down whole when it is next touched', () => {
    const room = new Room()
    const event = { ...room.events.at(-1)!, version: 1, seq: room.edition.seq + 1 }
    const prepared = { ...event, type: 'block-prepared', data: { blockId: 'old', block } }
    const states = room.states.set(room.stream, evolve(room.edition, prepared))
    expect(states.get('block:old')).toBeUndefined()
    expect(room.on('keep-block', 'block:old', { where: 'plan chest' })).toBe('unknown-block')
    room.must('set-inked-share', { blockId: 'old', share: 0.3, reading: null })
    expect(room.book('old').book).toEqual({ ...newBook(block), inkedShare: { share: 0.3, reading: null } })
    expect(room.on('keep-block', 'block:old', { where: 'plan chest' })).toBeUndefined()
  })
})
