import { describe, expect, it } from 'vitest'
import { deltaE, hexOf, labOf, labOfHex } from '../ink/colour'
import { film, mixOf } from '../ink/kubelka-munk'
import { starterInk } from '../ink/pigments'
import { reflectanceOf } from '../ink/reconstruct'
import type { Component } from './component'
import { mixFrom, predictedBatch, type Shelf } from './shelf'

const tub = (name: string, more: Partial<{ nature: 'pigment' | 'base'; density: number }> = {}) => ({
  name,
  nature: 'pigment' as const,
  card: null,
  tinting: 1,
  density: 1.1,
  ...more,
})
const of = (name: string, milligrams: number, from: Partial<Component> = {}): Component => ({
  tubId: null,
  batchId: null,
  name,
  milligrams,
  ...from,
})
const rust = { components: [of('warm red', 4_000, { tubId: 't1' }), of('transparent base', 6_000)], drawDown: null }
const shelf: Shelf = {
  tubs: new Map([
    ['t1', tub('warm red')],
    ['t2', tub('transparent base', { nature: 'base', density: 1.0 })],
    ['t3', tub('unnamed tin')],
  ]),
  batches: new Map([
    ['b1', rust],
    ['b2', { components: [of('rust', 5_000, { batchId: 'b1' })], drawDown: null }],
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
          { components: [of('itself', 10, { batchId: 'b3' }), of('warm red', 10, { tubId: 't1' })], drawDown: null },
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
