import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { blendAfter, bridges, rolled, sharesAt, shows, type Stripe, stretchesOf } from './blended-roll'
import { greyOf, histogram, inkedShare, otsu } from './inked-share'
import { starterInk } from './pigments'
import { reflectanceOf } from './reconstruct'
import { narrowestFor, rollerFit, rollerSurface } from './roller'

const stripe = (name: string, at: number): Stripe => ({
  pigment: starterInk(name)!.pigment,
  tinting: starterInk(name)!.tinting,
  at,
})
const paper = reflectanceOf('#f4efe2')

describe('a blended roll', () => {
  it('reads the same from either end, also where its zones overlap', () => {
    const inks = [stripe('clear yellow', 0.2), stripe('rose', 0.35), stripe('deep blue', 0.9)]
    const turned = inks.map((one) => ({ ...one, at: 1 - one.at })).reverse()
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (at, blend) => {
          const there = sharesAt(inks, at, blend)
          const back = sharesAt(turned, 1 - at, blend).reverse()
          there.forEach((share, i) => expect(share).toBeCloseTo(back[i]!, 9))
          expect(there.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 12)
        },
      ),
    )
  })

  it('shares add up to 1, each ink is pure at its own middle, and the blend widens', () => {
    const three = [stripe('clear yellow', 0.1), stripe('rose', 0.5), stripe('deep blue', 0.9)]
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (at, blend) => {
          const shares = sharesAt(three, at, blend)
          expect(shares.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 12)
          expect(shares.every((share) => share >= 0)).toBe(true)
        },
      ),
    )
    expect(sharesAt(three, 0.5, 0.2)).toEqual([0, 1, 0])
    expect(sharesAt(three, 0.3, 0.2)[0]).toBeCloseTo(0.5, 12)
    expect(sharesAt(three, 0.25, 0)).toEqual([1, 0, 0])
    expect(blendAfter(0.2, 10, 0.03)).toBeCloseTo(0.5, 12)
    expect(blendAfter(0.2, 100, 0.03)).toBe(1)
  })

  it('yellow into blue shows green in the middle, and says where', () => {
    const strip = rolled(paper, [stripe('clear yellow', 0.15), stripe('deep blue', 0.85)], 0.4, 6, 60)
    const found = stretchesOf(strip, 'green')
    expect(found).toHaveLength(1)
    expect(found[0]!.from).toBeGreaterThan(0.3)
    expect(found[0]!.to).toBeLessThan(0.75)
    expect(shows(strip[0]!, 'yellow')).toBe(true)
    expect(stretchesOf(strip, 'violet').every(({ from }) => from > 0.5)).toBe(true)
    expect(shows(reflectanceOf('#888888'), 'green')).toBe(false)
    expect(shows(reflectanceOf('#cc2244'), 'red')).toBe(true)
  })

  it('finds an ink for the middle that keeps the green out', () => {
    const pair = [stripe('clear yellow', 0.15), stripe('deep blue', 0.85)] as const
    const candidates = ['green', 'hiding white', 'rose', 'warm red'].map((name) => starterInk(name)!)
    const ranked = bridges(paper, pair, candidates, 'green', 0.3, 6)
    const shown = (name: string) => ranked.find((bridge) => candidates[bridge.index]!.name === name)!.shown
    expect(candidates[ranked[0]!.index]!.name).not.toBe('green')
    expect(shown('green')).toBeGreaterThan(shown('warm red'))
    expect(ranked[0]!.shown).toBeLessThan(
      stretchesOf(rolled(paper, [...pair], 0.3, 6, 48), 'green').reduce((sum, { from, to }) => sum + to - from, 0),
    )
  })
})

describe('a roller', () => {
  const roller = (width: number, diameter = 50) => ({
    id: `${width}-${diameter}`,
    name: `${width} mm`,
    width,
    diameter,
  })

  it('runs round once in its circumference, and laps where it is narrower than the block', () => {
    const fit = rollerFit(roller(150), 320, 400)
    expect(fit.circumference).toBeCloseTo(157.08, 2)
    expect(fit.laps).toEqual([150, 300])
    expect(fit.steps.map((step) => Math.round(step))).toEqual([157, 314])
    expect(fit.covers).toBe(false)
    expect(rollerFit(roller(200), 180, 150)).toMatchObject({ laps: [], steps: [], covers: true })
    expect(rollerFit(roller(199), 180, 150).covers).toBe(false)
    expect(rollerFit(roller(100), 200, 10).laps).toEqual([100])
  })

  it('the narrowest that covers is chosen, of equals the thicker', () => {
    const store = [roller(100), roller(250), roller(200), roller(200, 80), roller(400)]
    expect(narrowestFor(store, 180)).toMatchObject({ width: 200, diameter: 80 })
    expect(narrowestFor(store, 181)).toMatchObject({ width: 250 })
    expect(narrowestFor(store, 500)).toBeNull()
    expect(rollerSurface(roller(100, 50))).toBeCloseTo(15_707.96, 2)
  })
})

describe('the inked share of a picture', () => {
  /** A picture whose first so many pixels of each row are dark. */
  const picture = (width: number, height: number, dark: number) => {
    const rgba = new Uint8ClampedArray(width * height * 4).fill(255)
    for (let y = 0; y < height; y++) for (let x = 0; x < dark; x++) rgba.set([30, 34, 40, 255], (y * width + x) * 4)
    return greyOf(rgba, width, height)
  }

  it('parts dark from light by itself and counts', () => {
    const grey = picture(40, 10, 12)
    const counts = histogram(grey)
    const threshold = otsu(counts)
    expect(threshold).toBeGreaterThan(40)
    expect(threshold).toBeLessThan(255)
    expect(inkedShare(counts, 400, threshold)).toBeCloseTo(0.3, 12)
    expect(inkedShare(counts, 400, threshold, true)).toBeCloseTo(0.7, 12)
  })

  it('what is masked carries no ink, but still belongs to the block', () => {
    const grey = picture(40, 10, 12)
    const counts = histogram(grey, [{ left: 0, top: 0, width: 0.15, height: 0.5 }])
    expect(counts.reduce((sum, count) => sum + count, 0)).toBe(400 - 30)
    expect(inkedShare(counts, 400, 128)).toBeCloseTo((120 - 30) / 400, 12)
  })

  it('agrees with trying every threshold', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 60 }), { minLength: 256, maxLength: 256 }), (greys) => {
        const counts = Uint32Array.from(greys)
        const between = (threshold: number) => {
          let [n, s, m, t] = [0, 0, 0, 0]
          counts.forEach((count, grey) => {
            if (grey < threshold) {
              n += count
              s += count * grey
            } else {
              m += count
              t += count * grey
            }
          })
          return n === 0 || m === 0 ? 0 : n * m * (s / n - t / m) ** 2
        }
        const most = Math.max(...greys.map((_, i) => between(i)))
        expect(between(otsu(counts))).toBeGreaterThanOrEqual(most * (1 - 1e-6))
      }),
      { numRuns: 40 },
    )
  })

  it('stands for nothing in an even or a clear picture', () => {
    expect(otsu(new Uint32Array(256))).toBe(128)
    expect(inkedShare(new Uint32Array(256), 0, 128)).toBe(0)
    expect(greyOf(new Uint8ClampedArray(4), 1, 1).pixels[0]).toBe(255)
  })
})
