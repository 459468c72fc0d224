import { describe, expect, it } from 'vitest'
import type { InMix } from './component'
import { componentWarnings } from './mix-check'
import type { Shelf, TubOnShelf } from './shelf'

const tub = (name: string, more: Partial<TubOnShelf> = {}): TubOnShelf => ({
  name,
  nature: 'pigment',
  family: 'oil',
  limits: null,
  card: null,
  tinting: 1,
  density: 1.1,
  ...more,
})
const of = (milligrams: number, from: Partial<InMix>): InMix => ({
  tubId: null,
  batchId: null,
  name: '',
  milligrams,
  ...from,
})
const shelf: Shelf = {
  tubs: new Map([
    ['red', tub('warm red')],
    ['oil', tub('light oil', { nature: 'oil', limits: { least: 0, most: 6 } })],
    ['wash', tub('washable blue', { family: 'water-washable oil' })],
  ]),
  batches: new Map([
    [
      'loose',
      {
        name: 'loose red',
        family: 'oil',
        components: [of(90, { tubId: 'red' }), of(10, { tubId: 'oil' })],
        drawDown: null,
      },
    ],
    ['sea', { name: 'sea', family: 'water-washable oil', components: [of(50, { tubId: 'wash' })], drawDown: null }],
  ]),
}
const warned = (...components: InMix[]) => componentWarnings('oil', components, shelf)

describe('what is stirred into a batch', () => {
  it('is held against the label with all there is of it in the mix, left-overs too', () => {
    expect(warned(of(100, { tubId: 'red' }), of(5, { tubId: 'oil' }))).toEqual([])
    expect(warned(of(100, { tubId: 'red' }), of(10, { tubId: 'oil' }))).toEqual([
      'light oil is 9.1 % of the mix; its label says 0 to 6 %.',
    ])
    // A tenth of the left-over is oil already: half of it and a little more are too much.
    expect(warned(of(50, { tubId: 'red' }), of(50, { batchId: 'loose' }))).toEqual([])
    expect(warned(of(48, { tubId: 'red' }), of(50, { batchId: 'loose' }), of(2, { tubId: 'oil' }))).toEqual([
      'light oil is 7 % of the mix; its label says 0 to 6 %.',
    ])
  })

  it('follows a left-over as it was when it was poured', () => {
    const held = {
      components: [of(60, { tubId: 'red' }), of(40, { tubId: 'oil' })].map((one) => ({ ...one, held: null })),
      drawDown: null,
    }
    expect(warned(of(70, { tubId: 'red' }), of(30, { batchId: 'loose', held }))).toEqual([
      'light oil is 12 % of the mix; its label says 0 to 6 %.',
    ])
  })

  it('is warned of when its family does not suit, once for a left-over and what it holds', () => {
    expect(warned(of(50, { tubId: 'red' }), of(50, { batchId: 'sea' }))).toHaveLength(1)
    expect(warned(of(50, { tubId: 'red' }), of(50, { batchId: 'sea' }))[0]).toContain('sea is water-washable oil')
    expect(warned(of(50, { tubId: 'red' }), of(50, { tubId: 'wash' }))).toHaveLength(1)
  })

  it('is nothing to warn of while nothing is poured, and names nothing it does not know', () => {
    expect(warned()).toEqual([])
    expect(warned(of(0, { tubId: 'oil' }))).toEqual([])
    expect(warned(of(10, { tubId: 'gone' }), of(10, { batchId: 'gone' }))).toEqual([])
  })
})
