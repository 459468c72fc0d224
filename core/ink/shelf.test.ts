import { describe, expect, it } from 'vitest'
import { deltaE, hexOf, labOf, labOfHex } from '../ink/colour'
import { film, mixOf } from '../ink/kubelka-munk'
import { starterInk } from '../ink/pigments'
import { reflectanceOf } from '../ink/reconstruct'
import type { InMix } from './component'
import { mixFrom, predictedBatch, type Shelf } from './shelf'

const tub = (name: string, more: Partial<{ nature: 'pigment' | 'base'; density: number }> = {}) => ({
  name,
  nature: 'pigment' as const,
  family: 'oil' as const,
  limits: null,
  card: null,
  tinting: 1,
  density: 1.1,
  ...more,
})
const of = (name: string, milligrams: number, from: Partial<InMix> = {}): InMix => ({
  tubId: null,
  batchId: null,
  name,
  milligrams,
  ...from,
})
const rust = {
  name: 'rust',
  family: 'oil' as const,
  components: [of('warm red', 4_000, { tubId: 't1' }), of('transparent base', 6_000)],
  drawDown: null,
}
const shelf: Shelf = {
  tubs: new Map([
    ['t1', tub('warm red')],
    ['t2', tub('transparent base', { nature: 'base', density: 1.0 })],
    ['t3', tub('unnamed tin')],
  ]),
  batches: new Map([
    ['b1', rust],
    ['b2', { name: 'rest', family: 'oil', components: [of('rust', 5_000, { batchId: 'b1' })], drawDown: null }],
  ]),
}
const cream = reflectanceOf('#efe3c4')

describe('the colour of a batch', () => {
  it('is that of its tubs by weight, found by id or by name', () => {
    const mix = mixFrom(rust.components, shelf)!
    const byHand = mixOf([
      { mass: 4, tinting: 1, pigment: starterInk('warm red')!.pigment },
      { mass: 6, tinting: 1, pigment: starterInk('transparent base')!.pigment },
    ])
    expect(mix.pigment.k[5]).toBeCloseTo(byHand.k[5]!, 12)
    expect(mix.unknown).toBe(0)
    expect(mix.density).toBeCloseTo(10 / (4 / 1.1 + 6 / 1), 9)
  })

  it('follows a left-over to its tubs, and never in a ring', () => {
    expect(mixFrom([of('rust', 1_000, { batchId: 'b2' })], shelf)!.pigment.k[5]).toBeCloseTo(
      mixFrom(rust.components, shelf)!.pigment.k[5]!,
      12,
    )
    const ring: Shelf = {
      ...shelf,
      batches: new Map([
        [
          'b3',
          {
            name: 'ring',
            family: 'oil',
            components: [of('itself', 10, { batchId: 'b3' }), of('warm red', 10, { tubId: 't1' })],
            drawDown: null,
          },
        ],
      ]),
    }
    expect(mixFrom([of('b3', 10, { batchId: 'b3' })], ring)).not.toBeNull()
  })

  it('says how much of it nobody knows', () => {
    expect(mixFrom([of('unnamed tin', 100, { tubId: 't3' })], shelf)).toBeNull()
    expect(mixFrom([], shelf)).toBeNull()
    expect(
      mixFrom([of('unnamed tin', 100, { tubId: 't3' }), of('warm red', 300, { tubId: 't1' })], shelf)!.unknown,
    ).toBeCloseTo(0.25, 12)
  })

  it('is as its draw-down showed it, on that ground and near it on another', () => {
    const before = predictedBatch(rust, shelf)!
    const seen = '#b5553f'
    const after = predictedBatch({ ...rust, drawDown: { ground: '#f4f2ec', colour: seen, thickness: 8 } }, shelf)!
    expect(deltaE(labOf(film(reflectanceOf('#f4f2ec'), after.pigment, 8)), labOfHex(seen))).toBeLessThan(1)
    expect(deltaE(labOf(film(reflectanceOf('#f4f2ec'), before.pigment, 8)), labOfHex(seen))).toBeGreaterThan(3)
    expect(
      deltaE(labOf(film(cream, after.pigment, 8)), labOfHex(hexOf(film(cream, before.pigment, 8)))),
    ).toBeGreaterThan(1)
  })
})

describe('a left-over in a mix', () => {
  const strong: Shelf = {
    tubs: new Map([
      ['weak', { ...tub('rose'), tinting: 1 }],
      ['strong', { ...tub('clear blue'), tinting: 3 }],
    ]),
    batches: new Map(),
  }
  const held = (name: string) => ({ components: [{ ...of(name, 100, { tubId: name }), held: null }], drawDown: null })
  const blueOf = (mix: Parameters<typeof mixFrom>[0], shelf = strong) => mixFrom(mix, shelf)!

  it('keeps the tinting strength of what it holds', () => {
    const straight = blueOf([of('rose', 50, { tubId: 'weak' }), of('blue', 50, { tubId: 'strong' })])
    const left = blueOf([of('rose', 50, { tubId: 'weak' }), of('left', 50, { batchId: 'l', held: held('strong') })])
    expect(left.pigment.k[20]).toBeCloseTo(straight.pigment.k[20]!, 12)
    expect(left.tinting).toBeCloseTo(2, 12)
  })

  it('stays what it was when it was poured, whatever is done to it later', () => {
    const later: Shelf = {
      ...strong,
      batches: new Map([['l', { name: 'left', family: 'oil', ...held('weak') }]]),
    }
    const mix = [of('left', 50, { batchId: 'l', held: held('strong') })]
    expect(blueOf(mix, later).pigment.k[20]).toBeCloseTo(starterInk('clear blue')!.pigment.k[20]!, 12)
    // Where an old ledger does not say what it held, it is taken as it is.
    expect(blueOf([of('left', 50, { batchId: 'l' })], later).pigment.k[20]).toBeCloseTo(
      starterInk('rose')!.pigment.k[20]!,
      12,
    )
  })
})
