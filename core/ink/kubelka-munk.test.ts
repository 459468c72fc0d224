import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { hueOf, labOf } from './colour'
import { cardOf, readCard } from './draw-down'
import { film, filmBand, fromDrawDown, invertBand, mixOf, type Pigment } from './kubelka-munk'
import { starterInk, starterInks } from './pigments'
import { even } from './spectrum'

describe('one band of a film', () => {
  it('has the worked values', () => {
    expect(filmBand(0.85, 0.02, 0.4, 8)).toBeCloseTo(0.748353, 6)
    expect(filmBand(0, 0.02, 0.4, 8)).toBeCloseTo(0.682652, 6)
    expect(filmBand(0.85, 0, 0.4, 8)).toBeCloseTo(0.898649, 6)
    expect(filmBand(0.85, 0.02, 0, 8)).toBeCloseTo(0.85 * Math.exp(-0.32), 12)
    expect(filmBand(0.4, 0.02, 0.4, 0)).toBe(0.4)
  })

  it('goes over into its limits without a step', () => {
    for (const ground of [0.05, 0.5, 0.85]) {
      expect(filmBand(ground, 0.03, 1.2e-10, 8)).toBeCloseTo(filmBand(ground, 0.03, 2e-9, 8), 6)
      expect(filmBand(ground, 1.2e-10, 0.3, 8)).toBeCloseTo(filmBand(ground, 2e-9, 0.3, 8), 6)
    }
  })

  const some = fc.double({ min: 0, max: 2, noNaN: true })
  it('never leaves 0 to 1, is the paper when thin and the masstone when thick', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.001, max: 0.999, noNaN: true }),
        some,
        some,
        fc.double({ min: 0, max: 500, noNaN: true }),
        (ground, k, s, thickness) => {
          const seen = filmBand(ground, k, s, thickness)
          expect(seen).toBeGreaterThanOrEqual(0)
          expect(seen).toBeLessThanOrEqual(1)
        },
      ),
    )
    const masstone = 1 + 0.2 / 0.3 - Math.sqrt((0.2 / 0.3) ** 2 + (2 * 0.2) / 0.3)
    expect(filmBand(0.85, 0.2, 0.3, 1e-6)).toBeCloseTo(0.85, 5)
    expect(filmBand(0.85, 0.2, 0.3, 4000)).toBeCloseTo(masstone, 9)
    expect(filmBand(0.1, 0.2, 0.3, 4000)).toBeCloseTo(masstone, 9)
  })

  it('two films laid one over the other are one of their whole thickness', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.001, max: 1, noNaN: true }),
        fc.double({ min: 0.001, max: 1, noNaN: true }),
        fc.double({ min: 0.1, max: 20, noNaN: true }),
        fc.double({ min: 0.1, max: 20, noNaN: true }),
        (k, s, one, other) => {
          expect(filmBand(filmBand(0.8, k, s, one), k, s, other)).toBeCloseTo(filmBand(0.8, k, s, one + other), 8)
        },
      ),
    )
  })
})

describe('reading a draw-down', () => {
  it('gives back K and S', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.0005, max: 0.15, noNaN: true }),
        fc.double({ min: 0.002, max: 0.15, noNaN: true }),
        fc.integer({ min: 2, max: 10 }),
        (k, s, thickness) => {
          const found = invertBand(0.86, filmBand(0.86, k, s, thickness), filmBand(0, k, s, thickness), thickness)
          expect(found).toEqual({ k: expect.closeTo(k, 6), s: expect.closeTo(s, 6) })
        },
      ),
    )
    expect(invertBand(0.85, 0.748353, 0.682652, 8)).toEqual({ k: expect.closeTo(0.02, 3), s: expect.closeTo(0.4, 3) })
  })

  it('takes the limits and refuses what no film can be', () => {
    expect(invertBand(0.8, 0.8 * Math.exp(-0.32), 0, 8)).toEqual({ s: 0, k: expect.closeTo(0.02, 12) })
    expect(invertBand(0.85, 0.898649, filmBand(0, 0, 0.4, 8), 8)).toMatchObject({ s: expect.closeTo(0.4, 4) })
    expect(invertBand(0.85, 0.5, 0.5, 8)).toEqual({ trouble: 'opaque' })
    expect(invertBand(0.85, 0.3, 0.5, 8)).toEqual({ trouble: 'contradictory' })
    expect(invertBand(0.85, 0.99, 0.2, 8)).toEqual({ trouble: 'contradictory' })
    expect(invertBand(0.5, 0.7, 0, 8)).toEqual({ trouble: 'contradictory' })
    expect(fromDrawDown(even(0.85), even(0.5), even(0.5), 8)).toEqual({ trouble: 'opaque' })
  })

  it('from screen colours finds inks that look like the card again', () => {
    for (const { name, nature, pigment } of starterInks) {
      if (nature !== 'pigment' || name === 'bone black') continue
      const card = cardOf(pigment, '#f4f2ec', 6)
      const read = readCard(card)
      expect('pigment' in read, `${name}: ${JSON.stringify(card)}`).toBe(true)
      if ('pigment' in read)
        expect(cardOf(read.pigment, card.white, 6), name).toEqual({
          ...card,
          overWhite: expect.any(String),
          overBlack: expect.any(String),
        })
    }
  })

  it('says in words why a card cannot be read', () => {
    const card = { white: '#f4f2ec', overWhite: '#bb3333', overBlack: '#301010', thickness: 8 }
    expect(readCard(card)).toHaveProperty('pigment')
    expect(readCard({ ...card, thickness: 0 })).toMatchObject({ trouble: 'thickness' })
    expect(readCard({ ...card, overBlack: '#bb3333' })).toMatchObject({
      trouble: 'opaque',
      message: expect.stringContaining('thinner'),
    })
    expect(readCard({ ...card, overWhite: '#301010', overBlack: '#bb3333' })).toMatchObject({
      trouble: 'contradictory',
      message: expect.stringContaining('Pick the two swatches again'),
    })
    expect(readCard({ ...card, overWhite: '#ff2020', overBlack: '#10ff90' })).toMatchObject({
      trouble: 'contradictory',
    })
  })
})

describe('mixing', () => {
  const mixed = (...parts: [string, number][]): Pigment =>
    mixOf(
      parts.map(([name, mass]) => ({ mass, tinting: starterInk(name)!.tinting, pigment: starterInk(name)!.pigment })),
    )
  const onPaper = (pigment: Pigment, thickness = 8) => labOf(film(even(0.88), pigment, thickness))

  it('yellow and blue pass through green', () => {
    const middles = [0.3, 0.5, 0.7, 0.85].map(
      (share) => hueOf(onPaper(mixed(['clear yellow', share], ['deep blue', 1 - share]))).hue,
    )
    expect(middles.some((hue) => hue > 120 && hue < 190)).toBe(true)
    expect(hueOf(onPaper(mixed(['clear yellow', 1]))).hue).toBeLessThan(110)
    expect(hueOf(onPaper(mixed(['deep blue', 1]))).hue).toBeGreaterThan(250)
  })

  it('base lets the paper through, white hides it', () => {
    const strong = onPaper(mixed(['warm red', 1]))
    const thinned = onPaper(mixed(['warm red', 1], ['transparent base', 9]))
    expect(thinned.l).toBeGreaterThan(strong.l + 10)
    const onBlack = (pigment: Pigment) => labOf(film(even(0.02), pigment, 8)).l
    expect(onBlack(mixed(['hiding white', 1]))).toBeGreaterThan(onBlack(mixed(['transparent base', 1])) + 40)
  })

  it('goes by mass and tinting strength, and needs something to mix', () => {
    const pigment = { k: even(0.2), s: even(0) }
    const clear = { k: even(0), s: even(0) }
    expect(
      mixOf([
        { mass: 1, tinting: 3, pigment },
        { mass: 1, tinting: 1, pigment: clear },
      ]).k[0],
    ).toBeCloseTo(0.15, 12)
    expect(() => mixOf([{ mass: 0, tinting: 1, pigment }])).toThrow('at least one ink')
  })

  it('every starter ink shows its name', () => {
    const hue = (name: string) => hueOf(onPaper(starterInk(name)!.pigment, 5)).hue
    expect(hue('clear yellow')).toBeGreaterThan(80)
    expect(hue('warm red')).toBeLessThan(60)
    expect(hue('green')).toBeGreaterThan(130)
    expect(hue('deep blue')).toBeGreaterThan(250)
    expect(onPaper(starterInk('bone black')!.pigment).l).toBeLessThan(15)
    expect(onPaper(starterInk('transparent base')!.pigment).l).toBeCloseTo(labOf(even(0.88)).l, 0)
  })
})
