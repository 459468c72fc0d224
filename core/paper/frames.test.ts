import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { planTears } from './tear-plan'
import { byGrain, type Edge, type Edges, edges, noEdges, type TearRequest } from './tear-request'

type PlanFigures = [pieces: number, points: number, tears: number, offcut: number]

const better = (a: PlanFigures, b: PlanFigures) => a[0] - b[0] || a[1] - b[1] || b[2] - a[2] || a[3] - b[3]
const turned: Record<Edge, Edge> = { top: 'right', right: 'bottom', bottom: 'left', left: 'top' }
const half: Record<Edge, Edge> = { top: 'bottom', bottom: 'top', left: 'right', right: 'left' }

/** Points of a piece that lies on those deckled sides, the better of two half turns. */
function pointsOf(wanted: Edges, sides: Edges, quarter: boolean): number {
  const ways = [(edge: Edge) => edge, (edge: Edge) => half[edge]]
  return Math.max(
    ...ways.map((way) => edges.filter((edge) => wanted[edge] && sides[way(quarter ? turned[edge] : edge)]).length),
  )
}

/** Every tear at every whole unit in the directions allowed, tried one by one. Nothing clever, so nothing to be wrong with. */
function tried(request: TearRequest, width: number, height: number, kept: Edges, x: boolean, y: boolean): PlanFigures {
  const { piece, sheet } = request
  const least = Math.max(request.strip, 1)
  const lies = [
    { w: piece.width, h: piece.height, quarter: false },
    { w: piece.height, h: piece.width, quarter: true },
  ].filter(({ quarter }) => piece.grain === 'free' || quarter === (piece.grain !== sheet.grain))
  const known = new Map<string, PlanFigures>()
  const solve = (w: number, h: number, sides: Edges): PlanFigures => {
    const key = `${w} ${h} ${edges.map((edge) => Number(sides[edge])).join('')}`
    const before = known.get(key)
    if (before) return before
    let best: PlanFigures = [0, 0, 0, w * h]
    for (const lie of lies) {
      const as: PlanFigures = [1, pointsOf(piece.deckles, sides, lie.quarter), 0, 0]
      if (lie.w === w && lie.h === h && better(as, best) > 0) best = as
    }
    const consider = (a: PlanFigures, b: PlanFigures) => {
      const sum: PlanFigures = [a[0] + b[0], a[1] + b[1], a[2] + b[2] + 1, Math.max(a[3], b[3])]
      if (better(sum, best) > 0) best = sum
    }
    if (x)
      for (let at = least; at <= w - least; at++)
        consider(solve(at, h, { ...sides, right: false }), solve(w - at, h, { ...sides, left: false }))
    if (y)
      for (let at = least; at <= h - least; at++)
        consider(solve(w, at, { ...sides, bottom: false }), solve(w, h - at, { ...sides, top: false }))
    known.set(key, best)
    return best
  }
  return solve(width, height, kept)
}

/** The best of every way to true the sheet: no edge, one in the direction that is torn, or one in each. */
function byBruteForce(request: TearRequest): PlanFigures {
  const { width, height, deckles, allowance } = request.sheet
  const sides = <A extends Edge>([a, b]: [A, A]) => (deckles[a] ? (deckles[b] ? [a, b] : [b]) : [a])
  const xs = [null, ...sides(['left', 'right'])]
  const ys = [null, ...sides(['top', 'bottom'])]
  const all = xs.flatMap((x) =>
    ys.map((y) => {
      const kept = { ...deckles, ...(x && { [x]: false }), ...(y && { [y]: false }) }
      const [w, h] = [width - (x ? allowance : 0), height - (y ? allowance : 0)]
      return w > 0 && h > 0 ? tried(request, w, h, kept, x !== null, y !== null) : ([0, 0, 0, 0] as PlanFigures)
    }),
  )
  return all.reduce((a, b) => (better(b, a) > 0 ? b : a))
}

const told = (request: TearRequest): PlanFigures => {
  const plan = planTears(request)
  const points = plan.pieces.reduce((sum, piece) => sum + piece.deckled, 0)
  const offcut = Math.round(Math.max(0, ...plan.offcuts.map(({ width, height }) => width * height)))
  return [plan.perSheet, points, plan.tears.length, offcut]
}

const some = fc.record({ left: fc.boolean(), right: fc.boolean(), top: fc.boolean(), bottom: fc.boolean() })
const request = fc.record({
  sheet: fc.record({
    width: fc.integer({ min: 4, max: 20 }),
    height: fc.integer({ min: 4, max: 20 }),
    deckles: some,
    allowance: fc.integer({ min: 0, max: 2 }),
    grain: fc.constantFrom('width' as const, 'height' as const),
  }),
  piece: fc.record({
    width: fc.integer({ min: 3, max: 9 }),
    height: fc.integer({ min: 3, max: 9 }),
    grain: fc.constantFrom('width' as const, 'height' as const, 'free' as const),
    deckles: some,
  }),
  count: fc.constant(1),
  strip: fc.integer({ min: 0, max: 3 }),
  price: fc.constant(0),
  block: fc.constant(null),
})

describe('a plan against brute force', () => {
  it('with any grain, strip, deckles and allowance', () => {
    fc.assert(
      fc.property(request, (given) => {
        const wanted = byBruteForce(given)
        const found = told(given)
        expect(found.slice(0, 1)).toEqual(wanted.slice(0, 1))
        if (wanted[0] > 0) expect(found).toEqual(wanted)
      }),
      { numRuns: 400, seed: 11 },
    )
  })

  it('in sixteenths of an inch', () => {
    const inch = 25.4 / 16
    fc.assert(
      fc.property(request, (given) => {
        const { sheet, piece, strip } = given
        const scaled = planTears({
          ...given,
          sheet: {
            ...sheet,
            width: sheet.width * inch,
            height: sheet.height * inch,
            allowance: sheet.allowance * inch,
          },
          piece: { ...piece, width: piece.width * inch, height: piece.height * inch },
          strip: strip * inch,
        })
        const plan = planTears(given)
        expect([scaled.perSheet, scaled.tears.length]).toEqual([plan.perSheet, plan.tears.length])
      }),
      { numRuns: 200, seed: 12 },
    )
  })
})

describe('what is refused or left open', () => {
  const given: TearRequest = {
    sheet: { width: 760, height: 560, deckles: noEdges, allowance: 0, grain: 'unknown' },
    piece: { width: 300, height: 230, grain: 'width', deckles: noEdges },
    count: 10,
    strip: 15,
    price: 1,
    block: null,
  }

  it('a grain wanted on a sheet of unknown grain is not chosen silently: both ways are to be shown', () => {
    expect(planTears(given)).toMatchObject({ perSheet: 0, reason: expect.stringContaining('grain is wanted') })
    expect(byGrain(given).map((one) => planTears(one).perSheet)).toEqual([4, 3])
    const free = { ...given, piece: { ...given.piece, grain: 'free' as const } }
    expect(byGrain(free)).toEqual([free])
    expect(planTears(free).perSheet).toBe(5)
  })

  it('a piece narrower than the strip limit is refused at once, and the knife offered', () => {
    const began = performance.now()
    const plan = planTears({
      ...given,
      sheet: { ...given.sheet, width: 1400, height: 1000, grain: 'width' },
      piece: { ...given.piece, width: 100, height: 12, grain: 'free' },
    })
    expect(plan).toMatchObject({ perSheet: 0, sheets: null, reason: expect.stringContaining('cannot be torn') })
    expect(plan.knifeGives).toBeGreaterThan(1000)
    expect(plan.reason).toContain(`A knife gives ${plan.knifeGives}`)
    expect(performance.now() - began).toBeLessThan(5000)
  })
})
