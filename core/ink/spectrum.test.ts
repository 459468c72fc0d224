import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { deltaE, hexOf, hueOf, labOf, labOfHex, linearOfHex } from './colour'
import { reflectanceOf } from './reconstruct'
import { bands, even, linearOf, wavelengths, xyzOf } from './spectrum'

describe('what the eye sees of a reflectance', () => {
  it('a perfect white is the white of the screen, and half of it half', () => {
    expect(wavelengths).toHaveLength(bands)
    expect(xyzOf(even(1)).y).toBeCloseTo(1, 12)
    for (const part of linearOf(even(1))) expect(part).toBeCloseTo(1, 3)
    for (const part of linearOf(even(0.5))) expect(part).toBeCloseTo(0.5, 3)
    expect(hexOf(even(1))).toBe('#ffffff')
    expect(hexOf(even(0))).toBe('#000000')
  })

  it('light of one end looks blue, of the other red, of the middle green', () => {
    const lit = (from: number, to: number) =>
      Float64Array.from(wavelengths, (nm) => (nm >= from && nm <= to ? 0.9 : 0.02))
    const hue = (from: number, to: number) => hueOf(labOf(lit(from, to))).hue
    expect(hue(620, 700)).toBeLessThan(60)
    expect(hue(500, 570)).toBeGreaterThan(110)
    expect(hue(500, 570)).toBeLessThan(190)
    expect(hue(400, 470)).toBeGreaterThan(250)
  })
})

describe('a screen colour as a reflectance', () => {
  it('comes back within half a ΔE00, every value between 0 and 1, over 500 random colours', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 0xffffff }), (n) => {
        const hex = `#${n.toString(16).padStart(6, '0')}`
        const reflectance = reflectanceOf(hex)
        expect(
          reflectance.every((value) => value > 0 && value < 1),
          hex,
        ).toBe(true)
        expect(deltaE(labOf(reflectance), labOfHex(hex)), hex).toBeLessThanOrEqual(0.5)
      }),
      { numRuns: 500, seed: 11 },
    )
  })

  it('holds at the corners of what a screen shows', () => {
    for (const hex of [
      '#000000',
      '#ffffff',
      '#ff0000',
      '#00ff00',
      '#0000ff',
      '#ffff00',
      '#00ffff',
      '#ff00ff',
      '#f5f1e6',
    ]) {
      const reflectance = reflectanceOf(hex)
      expect(
        reflectance.every((value) => value > 0 && value < 1),
        hex,
      ).toBe(true)
      expect(deltaE(labOf(reflectance), labOfHex(hex)), hex).toBeLessThanOrEqual(0.5)
    }
  })

  it('is smooth, and a grey is flat', () => {
    const grey = reflectanceOf('#808080')
    expect(Math.max(...grey) - Math.min(...grey)).toBeLessThan(0.01)
    const jumps = Array.from(reflectanceOf('#c9a45c'))
      .slice(1)
      .map((value, i, all) => Math.abs(value - (i === 0 ? value : all[i - 1]!)))
    expect(Math.max(...jumps)).toBeLessThan(0.12)
  })

  it('is a fresh copy each time, and says when a colour is none', () => {
    reflectanceOf('#224466')[0] = 7
    expect(reflectanceOf('#224466')[0]).toBeLessThan(1)
    expect(() => reflectanceOf('teal')).toThrow('no colour')
    expect(() => linearOfHex('#12345')).toThrow('#rrggbb')
  })
})

/** Pairs and differences published with the formula: Sharma, Wu and Dalal, Color Research and Application 30 (2005), table 1. */
const published = [
  [50, 2.6772, -79.7751, 50, 0, -82.7485, 2.0425],
  [50, 3.1571, -77.2803, 50, 0, -82.7485, 2.8615],
  [50, 2.8361, -74.02, 50, 0, -82.7485, 3.4412],
  [50, -1.3802, -84.2814, 50, 0, -82.7485, 1],
  [50, -1.1848, -84.8006, 50, 0, -82.7485, 1],
  [50, -0.9009, -85.5211, 50, 0, -82.7485, 1],
  [50, 0, 0, 50, -1, 2, 2.3669],
  [50, -1, 2, 50, 0, 0, 2.3669],
  [50, 2.49, -0.001, 50, -2.49, 0.0009, 7.1792],
  [50, 2.5, 0, 50, 0, -2.5, 4.3065],
  [50, 2.5, 0, 73, 25, -18, 27.1492],
  [50, 2.5, 0, 61, -5, 29, 22.8977],
  [50, 2.5, 0, 56, -27, -3, 31.903],
  [50, 2.5, 0, 58, 24, 15, 19.4535],
  [60.2574, -34.0099, 36.2677, 60.4626, -34.1751, 39.4387, 1.2644],
  [63.0109, -31.0961, -5.8663, 62.8187, -29.7946, -4.0864, 1.263],
  [35.0831, -44.1164, 3.7933, 35.0232, -40.0716, 1.5901, 1.8645],
  [22.7233, 20.0904, -46.694, 23.0331, 14.973, -42.5619, 2.0373],
  [36.4612, 47.858, 18.3852, 36.2715, 50.5065, 21.2231, 1.4146],
  [90.8027, -2.0831, 1.441, 91.1528, -1.6435, 0.0447, 1.4441],
  [6.7747, -0.2908, -2.4247, 5.8714, -0.0985, -2.2286, 0.6377],
] as const

describe('CIEDE2000', () => {
  it('agrees with the published pairs', () => {
    for (const [l1, a1, b1, l2, a2, b2, wanted] of published) {
      expect(deltaE({ l: l1, a: a1, b: b1 }, { l: l2, a: a2, b: b2 })).toBeCloseTo(wanted, 4)
    }
  })
})

describe('near black', () => {
  it('a smooth reflectance still looks like its colour, within half a ΔE00, and none is less than nothing', () => {
    const parts = [0, 1, 2, 3, 5, 8, 13, 32]
    for (const r of parts)
      for (const g of parts)
        for (const b of parts) {
          const hex = `#${[r, g, b].map((part) => part.toString(16).padStart(2, '0')).join('')}`
          const reflectance = reflectanceOf(hex)
          expect(deltaE(labOf(reflectance), labOfHex(hex)), hex).toBeLessThan(0.5)
          expect(Math.min(...reflectance), hex).toBeGreaterThan(0)
        }
  })
})
