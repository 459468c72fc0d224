import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import type { BatchState } from '../stores/batch/state'
import { inkLeft, runInk } from './ink-left'

/** A table with 100 g of slate on the slab, and what is done with it. */
function slab() {
  const table = new PressTable({ size: 8 }).tear(20)
  const give = (type: string, data: unknown) => {
    const { refusal } = table.submit({ type, stream: 'batch:b1', data })
    if (refusal) throw new Error(refusal.message)
  }
  give('mix-batch', {
    name: 'slate',
    family: 'oil',
    colour: '#445566',
    components: [{ tubId: null, batchId: null, name: 'black', milligrams: 100_000 }],
  })
  const draw = (milligrams: number, layerId: string | null = table.layer, editionStream = table.stream) =>
    give('draw-ink', { milligrams, editionStream, layerId, note: '' })
  const batch = () => ({ ...(table.states.get('batch:b1') as BatchState), id: 'b1' })
  const pull = (sheet: number) => table.pull(sheet, { batchIds: ['b1'] })
  return { table, give, draw, batch, pull }
}

describe('what is left of a batch while a run goes on', () => {
  it('is reckoned from its pulls, until a weighing settles it', () => {
    const { table, give, batch, pull } = slab()
    const left = () => inkLeft(batch(), table.edition, 500)
    expect(left()).toEqual({ milligrams: 100_000, of: 100_000, pulls: 0 })
    for (const sheet of [1, 2, 3]) pull(sheet)
    table.pull(4, { batchIds: ['another'] })
    expect(left()).toEqual({ milligrams: 98_500, of: 100_000, pulls: 3 })
    give('reweigh-batch', { milligrams: 97_000, reason: 'on the scale' })
    expect(left()).toEqual({ milligrams: 97_000, of: 97_000, pulls: 0 })
    pull(5)
    expect(left().milligrams).toBe(96_500)
  })

  it('counts what was drawn to the press as still there, and what went into other mixes as gone', () => {
    const { table, draw, batch, pull } = slab()
    draw(20_000)
    draw(10_000, null, '')
    pull(1)
    expect(inkLeft(batch(), table.edition, 1_000)).toEqual({ milligrams: 89_000, of: 90_000, pulls: 1 })
    expect(inkLeft(batch(), table.edition, 1_000_000).milligrams).toBe(0)
  })

  it('is in the order of the ledger, whatever a tablet’s clock says', () => {
    const { table, give, batch, pull } = slab()
    table.clock = '2099-05-01T10:00:00.000Z'
    pull(1)
    table.clock = '1970-01-01T10:00:00.000Z'
    give('reweigh-batch', { milligrams: 97_000, reason: 'on the scale' })
    pull(2)
    expect(inkLeft(batch(), table.edition, 500)).toEqual({ milligrams: 96_500, of: 97_000, pulls: 1 })
  })

  it('takes no void pull for one', () => {
    const { table, batch, pull } = slab()
    table.must('void-pull', { pullId: pull(1), reason: '' })
    expect(inkLeft(batch(), table.edition, 500).pulls).toBe(0)
  })
})

describe('the ink of a run', () => {
  it('is not known before anything was drawn, kept or weighed', () => {
    const { table, batch, pull } = slab()
    pull(1)
    expect(runInk(batch(), table.edition, table.layer)).toEqual({ milligrams: null, pulls: 1 })
  })

  it('is what its sessions drew and did not bring back; neither other mixes nor other layers are its own', () => {
    const { table, give, draw, batch, pull } = slab()
    draw(20_000)
    draw(7_000, 'another layer')
    draw(5_000, null, '')
    draw(4_000, null, 'edition:other')
    for (const sheet of [1, 2]) pull(sheet)
    give('keep-batch', { milligrams: 61_000, scraped: 1_000, how: 'wrapped' })
    // 64 g stood in the book: 61 kept, 1 scraped, 2 gone.
    expect(runInk(batch(), table.edition, table.layer)).toEqual({ milligrams: 22_000, pulls: 2 })
  })

  it('begins anew once it was weighed', () => {
    const { table, give, draw, batch, pull } = slab()
    draw(20_000)
    pull(1)
    const run = { editionStream: table.stream, layerId: table.layer, milligrams: 20_000, area: 1, film: 8 }
    give('weigh-run', run)
    expect(runInk(batch(), table.edition, table.layer)).toEqual({ milligrams: null, pulls: 0 })
    draw(6_000)
    pull(2)
    expect(runInk(batch(), table.edition, table.layer)).toEqual({ milligrams: 6_000, pulls: 1 })
  })
})
