import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { deckleBits, type Lie } from './ceilings'
import { bestLayouts, type Layout } from './lay-outs'

type Tuple = [pieces: number, points: number, tears: number, offcut: number]

const better = (a: Tuple, b: Tuple) => a[0] - b[0] || a[1] - b[1] || b[2] - a[2] || a[3] - b[3]

/** Every tear at every whole unit, tried one by one: nothing clever, and so nothing to be wrong with. */
function byBruteForce(width: number, height: number, lies: readonly Lie[], strip: number, deckles: number): Tuple {
  const known = new Map<string, Tuple>()
  const least = Math.max(strip, 1)
  const solve = (w: number, h: number, sides: number): Tuple => {
    const key = `${w} ${h} ${sides}`
    const before = known.get(key)
    if (before) return before
    let best: Tuple = [0, 0, 0, w * h]
    for (const lie of lies)
      if (lie.width === w && lie.height === h && better([1, lie.points[sides]!, 0, 0], best) > 0)
        best = [1, lie.points[sides]!, 0, 0]
    const consider = (a: Tuple, b: Tuple) => {
      const sum: Tuple = [a[0] + b[0], a[1] + b[1], a[2] + b[2] + 1, Math.max(a[3], b[3])]
      if (better(sum, best) > 0) best = sum
    }
    for (let at = least; at <= w - least; at++)
      consider(solve(at, h, sides & ~deckleBits.right), solve(w - at, h, sides & ~deckleBits.left))
    for (let at = least; at <= h - least; at++)
      consider(solve(w, at, sides & ~deckleBits.bottom), solve(w, h - at, sides & ~deckleBits.top))
    known.set(key, best)
    return best
  }
  return solve(width, height, deckles)
}

const noPoints = Array(16).fill(0) as number[]
const lie = (width: number, height: number, points = noPoints): Lie => ({ width, height, points })
const both = (w: number, h: number) => (w === h ? [lie(w, h)] : [lie(w, h), lie(h, w)])
const halfTurn = (edges: number) => ((edges & 1) << 1) | ((edges & 2) >> 1) | ((edges & 4) << 1) | ((edges & 8) >> 1)
/** A quarter turn to the right: what was on the left comes to lie on top. */
const quarterTurn = (edges: number) => ((edges & 1) << 2) | ((edges & 2) << 2) | ((edges & 4) >> 1) | ((edges & 8) >> 3)
const bitCount = (bits: number) => [1, 2, 4, 8].filter((bit) => (bits & bit) !== 0).length
/** Wishes for deckles at those edges of the piece; the better of two half turns earns a point for each. */
const wish = (w: number, h: number, edges: number): Lie[] =>
  [
    [w, h, edges],
    [h, w, quarterTurn(edges)],
  ].map(([width, height, here]) =>
    lie(
      width!,
      height!,
      noPoints.map((_, sides) => Math.max(bitCount(sides & here!), bitCount(sides & halfTurn(here!)))),
    ),
  )

/** Walk a lay-out and report what it holds, checking every part on the way. */
function audit(layout: Layout, w: number, h: number, lies: readonly Lie[], strip: number, sides: number): Tuple {
  if (layout.kind === 'offcut') return [0, 0, 0, w * h]
  if (layout.kind === 'piece') {
    expect(lies[layout.lie]).toMatchObject({ width: w, height: h })
    return [1, lies[layout.lie]!.points[sides]!, 0, 0]
  }
  const whole = layout.across === 'x' ? w : h
  expect(Math.min(layout.at, whole - layout.at)).toBeGreaterThanOrEqual(Math.max(strip, 1))
  const [a, b] =
    layout.across === 'x'
      ? [
          audit(layout.first, layout.at, h, lies, strip, sides & ~2),
          audit(layout.second, w - layout.at, h, lies, strip, sides & ~1),
        ]
      : [
          audit(layout.first, w, layout.at, lies, strip, sides & ~8),
          audit(layout.second, w, h - layout.at, lies, strip, sides & ~4),
        ]
  return [a[0] + b[0], a[1] + b[1], a[2] + b[2] + 1, Math.max(a[3], b[3])]
}

function expectExact(w: number, h: number, lies: Lie[], strip: number, deckles: number): void {
  const { pieces, points, tears, offcut, layout } = bestLayouts(w, h, lies, strip)(deckles)!
  const wanted = byBruteForce(w, h, lies, strip, deckles)
  const given: Tuple = [pieces, points, tears, pieces === 0 ? w * h : offcut]
  expect(
    given,
    `${w} × ${h}, piece ${lies[0]!.width} × ${lies[0]!.height}, strip ${strip}, deckles ${deckles}`,
  ).toEqual(wanted)
  expect(audit(layout, w, h, lies, strip, deckles)).toEqual(wanted)
}

describe('against brute force', () => {
  const size = fc.integer({ min: 3, max: 26 })
  const side = fc.integer({ min: 2, max: 9 })

  it('the most pieces, the fewest tears and the largest offcut, torn or cut, grain free or kept', () => {
    fc.assert(
      fc.property(size, size, side, side, fc.integer({ min: 0, max: 4 }), fc.boolean(), (w, h, a, b, strip, free) => {
        expectExact(w, h, free ? both(a, b) : [lie(a, b)], strip, 0)
      }),
      { numRuns: 900, seed: 7 },
    )
  })

  it('with deckles wanted at some edges, on any sides of the sheet', () => {
    const sheet = fc.integer({ min: 3, max: 22 })
    const some = fc.integer({ min: 1, max: 15 })
    fc.assert(
      fc.property(
        sheet,
        sheet,
        side,
        side,
        fc.integer({ min: 0, max: 4 }),
        some,
        some,
        (w, h, a, b, strip, edges, deckles) => {
          expectExact(w, h, wish(a, b, edges), strip, deckles)
        },
      ),
      { numRuns: 500, seed: 8 },
    )
  })

  it('with deckles wanted and a piece nearly square', () => {
    for (const [a, b] of [
      [5, 6],
      [7, 8],
      [6, 8],
    ] as const) {
      for (let w = 17; w <= 33; w += 5)
        for (let h = 16; h <= 30; h += 7)
          for (const [edges, deckles] of [
            [8, 9],
            [1, 10],
            [9, 5],
          ] as const)
            expectExact(w, h, wish(a, b, edges), 2, deckles)
    }
  })

  it('where two orientations nearly agree and strips must be spread over several columns', () => {
    for (const [a, b] of [
      [7, 8],
      [6, 7],
      [9, 10],
      [5, 7],
      [8, 9],
    ] as const) {
      for (let w = 14; w <= 34; w += 4)
        for (let h = 15; h <= 33; h += 6) for (const strip of [2, 3, 5]) expectExact(w, h, both(a, b), strip, 0)
    }
  })
})

describe('a search', () => {
  it('serves for other sides what it has found out', () => {
    const layouts = bestLayouts(140, 100, wish(30, 19, 8), 2)
    for (const sides of [10, 9, 5, 6]) expect(layouts(sides)).toEqual(bestLayouts(140, 100, wish(30, 19, 8), 2)(sides))
  })

  it('tells how far it has come', () => {
    const told: number[] = []
    bestLayouts(1400, 1000, wish(61, 67, 8), 0, (parts) => told.push(parts))(10)
    expect(told.length).toBeGreaterThan(3)
    expect(told).toEqual([...told].sort((a, b) => a - b))
  })
})
