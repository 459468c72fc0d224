import { describe, expect, it } from 'vitest'
import { deltaE, labOf, labOfHex } from './colour'
import { film, mixOf } from './kubelka-munk'
import { matchColour } from './match'
import { type Film, orders, overlaps, rankOrders } from './overprint'
import { starterInk, starterInks } from './pigments'
import { reflectanceOf } from './reconstruct'

const mix = (...parts: [string, number][]) => mixOf(parts.map(([name, mass]) => ({ mass, ...starterInk(name)! })))
const cream = reflectanceOf('#efe3c4')
const white = reflectanceOf('#f7f6f2')
const glaze: Film = { pigment: mix(['clear blue', 1], ['transparent base', 6]), thickness: 8 }
const rose: Film = { pigment: mix(['rose', 1], ['transparent base', 8]), thickness: 8 }
const hiding: Film = { pigment: mix(['hiding white', 9], ['deep blue', 0.2]), thickness: 14 }
const apart = (a: Float64Array, b: Float64Array) => deltaE(labOf(a), labOf(b))

describe('the clear inks of the first shelf', () => {
  const clear = ['clear yellow', 'rose', 'violet', 'deep blue', 'clear blue', 'green', 'transparent base', 'extender']
  const pairs = clear.flatMap((one, i) => clear.slice(i + 1).map((other) => [one, other] as const))

  it.each(pairs)('%s and %s look the same in either order at full strength', (one, other) => {
    const [a, b] = [starterInk(one)!.pigment, starterInk(other)!.pigment]
    for (const paper of [cream, white])
      expect(apart(film(film(paper, a, 8), b, 8), film(film(paper, b, 8), a, 8))).toBeLessThan(1)
  })

  it('and hiding inks do not', () => {
    const [a, b] = [starterInk('hiding white')!.pigment, starterInk('deep blue')!.pigment]
    expect(apart(film(film(cream, a, 8), b, 8), film(film(cream, b, 8), a, 8))).toBeGreaterThan(20)
  })
})

describe('overlaps', () => {
  it('are all there, the bare paper first, each built on what lies beneath', () => {
    const seen = overlaps(cream, [glaze, rose], [1, 0])
    expect(seen).toHaveLength(4)
    expect(seen[0]).toBe(cream)
    expect(apart(seen[1]!, film(cream, glaze.pigment, 8))).toBe(0)
    expect(apart(seen[3]!, film(film(cream, rose.pigment, 8), glaze.pigment, 8))).toBe(0)
  })

  it('a hiding film under a clear one takes the paper’s tint from it', () => {
    const onWhite = film(white, glaze.pigment, 8)
    const alone = film(cream, glaze.pigment, 8)
    const over = overlaps(cream, [glaze, hiding], [1, 0])[3]!
    const overOnWhite = overlaps(white, [glaze, hiding], [1, 0])[3]!
    // The paper no longer matters, and the tint of cream is gone.
    expect(apart(over, overOnWhite)).toBeLessThan(apart(alone, onWhite) / 3)
  })

  it('on top it hides the clear film', () => {
    const top = overlaps(cream, [glaze, hiding], [0, 1])[3]!
    const hidingAlone = overlaps(cream, [glaze, hiding], [0, 1])[2]!
    const below = overlaps(cream, [glaze, hiding], [1, 0])[3]!
    expect(apart(top, hidingAlone)).toBeLessThan(apart(below, hidingAlone) / 2)
  })

  it('two clear films are nearly free of order', () => {
    expect(apart(overlaps(cream, [glaze, rose], [0, 1])[3]!, overlaps(cream, [glaze, rose], [1, 0])[3]!)).toBeLessThan(
      1,
    )
    expect(
      apart(overlaps(cream, [glaze, hiding], [0, 1])[3]!, overlaps(cream, [glaze, hiding], [1, 0])[3]!),
    ).toBeGreaterThan(5)
  })
})

describe('ranking orders', () => {
  it('agrees with laying every order by hand', () => {
    const films = [glaze, hiding, rose]
    const wishes = [
      { layers: 0b011, keep: 'layer' as const, layer: 0 },
      { layers: 0b111, keep: 'colour' as const, colour: labOfHex('#8899aa') },
      { layers: 0b110, keep: 'paper' as const },
    ]
    const ranked = rankOrders(cream, white, films, wishes)
    expect(ranked).toHaveLength(6)
    for (const { order, misses, sum } of ranked) {
      const seen = overlaps(cream, films, order)
      expect(misses).toEqual([
        expect.closeTo(apart(seen[0b011]!, film(white, glaze.pigment, 8)), 9),
        expect.closeTo(deltaE(labOf(seen[0b111]!), labOfHex('#8899aa')), 9),
        expect.closeTo(apart(seen[0b110]!, cream), 9),
      ])
      expect(sum).toBeCloseTo(
        misses.reduce((a, b) => a + b),
        9,
      )
    }
    expect(ranked.map((one) => one.sum)).toEqual(ranked.map((one) => one.sum).sort((a, b) => a - b))
  })

  it('lays the hiding film first when the glaze shall keep its own colour', () => {
    expect(rankOrders(cream, white, [glaze, hiding], [{ layers: 0b11, keep: 'layer', layer: 0 }])[0]!.order).toEqual([
      1, 0,
    ])
    expect(rankOrders(cream, white, [glaze, hiding], [{ layers: 0b11, keep: 'layer', layer: 1 }])[0]!.order).toEqual([
      0, 1,
    ])
  })

  it('goes through all orders of up to seven layers and no more', () => {
    expect(orders(0)).toEqual([[]])
    expect(new Set(orders(5).map(String)).size).toBe(120)
    expect(() => rankOrders(cream, white, Array(8).fill(glaze) as Film[], [])).toThrow('At most 7')
  })
})

describe('matching a colour', () => {
  const tubs = starterInks.filter((ink) => ink.nature !== 'oil' && ink.nature !== 'drier' && ink.nature !== 'extender')

  it('finds a mix again that was made of the tubs', () => {
    const mixed = mix(['warm red', 2], ['earth yellow', 3], ['transparent base', 15])
    const [best] = matchColour(labOf(film(white, mixed, 8)), white, 8, tubs)
    expect(best!.miss).toBeLessThan(0.3)
    expect(best!.tubs.length).toBeLessThanOrEqual(3)
    expect(best!.shares.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 9)
    const made = mixOf(best!.tubs.map((tub, i) => ({ mass: best!.shares[i]!, ...tubs[tub]! })))
    expect(deltaE(labOf(film(white, made, 8)), labOf(film(white, mixed, 8)))).toBeCloseTo(best!.miss, 6)
  })

  it('is no worse than a fine search of every pair', () => {
    const wanted = labOfHex('#7a8f6a')
    const [best] = matchColour(wanted, cream, 8, tubs)
    let pair = Infinity
    for (const one of tubs)
      for (const other of tubs) {
        for (let share = 0.02; share < 1; share += 0.06)
          pair = Math.min(
            pair,
            deltaE(
              labOf(
                film(
                  cream,
                  mixOf([
                    { mass: share, ...one },
                    { mass: 1 - share, ...other },
                  ]),
                  8,
                ),
              ),
              wanted,
            ),
          )
      }
    expect(best!.miss).toBeLessThanOrEqual(pair + 1e-9)
    expect(best!.shares.every((share) => share >= 0)).toBe(true)
  }, 30_000)

  it('does with one tub, tells how far it is, and takes none for none', () => {
    let told = 0
    const [only] = matchColour(labOfHex('#3355aa'), white, 8, [starterInk('orange')!], (done, all) => {
      told = done / all
    })
    expect(only).toMatchObject({ tubs: [0], shares: [1] })
    expect(only!.miss).toBeGreaterThan(20)
    expect(told).toBe(1)
    expect(matchColour(labOfHex('#3355aa'), white, 8, [])).toEqual([])
  })
})
