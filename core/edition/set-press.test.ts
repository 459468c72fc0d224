import { expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { samples } from '../../tests/fixtures/requests'
import type { EditionState } from './state'
import { sectionOf } from './section'

const block = { name: samples['prepare-block'].block.name, thickness: 5 }

/** A block and pins on the edition, a short card in the drawer, a roller bed and a platen. */
function table() {
  const at = new PressTable().tear(2)
  const give = (stream: string, type: string, data: object) => at.submit({ type, stream, data, expectedSeq: 0 })
  give('press:p1', 'add-press', { ...samples['add-press'], kind: 'roller bed' })
  give('press:p2', 'add-press', { ...samples['add-press'], kind: 'platen', divisions: 0 })
  give('studio', 'set-packing', { ...samples['set-packing'], id: 'short', name: 'short card', length: 20 })
  at.must('prepare-block', { ...samples['prepare-block'], blockId: 'k1' })
  const set = (pressId: string, pieceId: string | null) =>
    at.give('set-press', {
      ...samples['set-press'],
      layerId: at.layer,
      pressId,
      block,
      packing: [{ name: 'short card', thickness: 0.6, pieceId, count: 1 }],
    }).refusal
  return { at, set }
}

it('a packing that ends over the block, or a pin above it, is not set under a roller, and is under a platen', () => {
  const { at, set } = table()
  expect(set('p1', 'short')).toMatchObject({ code: 'edge-under-roller', field: 'packing' })
  expect(set('p2', 'short')).toBeUndefined()
  expect(set('p1', null)).toBeUndefined()
  const { register } = samples['draw-register']
  at.must('draw-register', {
    register: { ...register, pins: [{ x: 10, y: 10, diameter: 6, height: 7 }] },
    formatId: null,
  })
  expect(set('p1', null)).toMatchObject({ code: 'edge-under-roller' })
  expect(set('p2', null)).toBeUndefined()
})

it('of a block that is not described no length is known', () => {
  const { at } = table()
  const section = sectionOf(at.edition as EditionState, [], { packing: [], block: { name: 'another', thickness: 5 } })
  expect(section.block).toMatchObject({ sides: null })
})
