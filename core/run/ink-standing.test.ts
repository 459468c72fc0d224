import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { noRecord } from '../plan/shop-record'
import type { BatchState } from '../stores/batch/state'
import { inkStanding, type InkRoom } from './ink-standing'

/** A layer printed with 100 g of a heavy white, which is of the tub named and nothing else. */
function table() {
  const at = new PressTable({ start: 30 })
  at.submit({
    type: 'mix-batch',
    stream: 'batch:b1',
    data: {
      name: 'white',
      family: 'oil',
      colour: '#ffffff',
      components: [{ tubId: null, batchId: null, name: 'heavy', milligrams: 100_000 }],
    },
  })
  const room = (density: number): InkRoom => ({
    batches: [{ ...(at.states.get('batch:b1') as BatchState), id: 'b1' }],
    tubs: new Map([
      ['t1', { name: 'heavy', nature: 'base', family: 'oil', limits: null, card: null, tinting: 1, density }],
    ]),
    record: noRecord,
    confidence: 0.9,
  })
  const use = () =>
    at.must('set-zones', { layerId: at.layer, zones: [{ id: 'whole', name: 'whole block', batchId: 'b1' }] })
  return { at, room, use }
}

describe('whether the ink of a layer lasts', () => {
  it('rests on the density of what the batch is made of', () => {
    const { at, room, use } = table()
    use()
    const [light] = inkStanding(at.edition, at.layer, room(1))
    const [heavy] = inkStanding(at.edition, at.layer, room(1.6))
    expect(heavy!.need.amount.total).toBeCloseTo(1.6 * light!.need.amount.total, 9)
    expect(heavy!.need.guessed.join()).not.toContain('g/cm³')
    expect(light!.left.milligrams).toBe(100_000)
  })

  it('is short as soon as more is needed than is there, and not a gram before', () => {
    const { at, room, use } = table()
    use()
    const needed = Math.ceil(inkStanding(at.edition, at.layer, room(1))[0]!.need.amount.total * 1000)
    const isShortWith = (left: number) => {
      const known = room(1)
      return inkStanding(at.edition, at.layer, { ...known, batches: [{ ...known.batches[0]!, left }] })[0]!.isShort
    }
    expect([isShortWith(needed - 1), isShortWith(needed)]).toEqual([true, false])
  })

  it('says nothing of a zone without a batch', () => {
    const { at, room } = table()
    expect(inkStanding(at.edition, at.layer, room(1))).toEqual([])
    expect(inkStanding(at.edition, 'no such layer', room(1))).toEqual([])
  })
})
