import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { type Edge, edges, type Edges, noEdges } from './tear-request'
import { planTears, type TearPlan } from './tear-plan'

const across: Record<Edge, Edge> = { left: 'right', right: 'left', top: 'top', bottom: 'bottom' }
const down: Record<Edge, Edge> = { left: 'left', right: 'right', top: 'bottom', bottom: 'top' }
const mirrored = (set: Edges, way: Record<Edge, Edge>) =>
  Object.fromEntries(edges.map((edge) => [edge, set[way[edge]]])) as unknown as Edges
const some = fc.record({ left: fc.boolean(), right: fc.boolean(), top: fc.boolean(), bottom: fc.boolean() })
const points = (plan: TearPlan) => plan.pieces.reduce((sum, piece) => sum + piece.deckled, 0)
const largest = (plan: TearPlan) =>
  Math.round(Math.max(0, ...plan.offcuts.map((offcut) => offcut.width * offcut.height)))
const told = (plan: TearPlan) => [plan.perSheet, points(plan), plan.tears.length, largest(plan)]

const plan = (width: number, height: number, w: number, h: number, deckles: Edges, wanted: Edges, strip = 15) =>
  planTears({
    sheet: { width, height, deckles, allowance: 0, grain: 'unknown' },
    piece: { width: w, height: h, grain: 'free', deckles: wanted },
    count: 1,
    strip,
    price: 1,
    block: null,
  })

describe('wishes for a deckle', () => {
  it('are met alike on a sheet and on its mirror image', () => {
    const side = fc.integer({ min: 4, max: 9 }).map((n) => n * 25)
    fc.assert(
      fc.property(
        fc.integer({ min: 10, max: 24 }),
        fc.integer({ min: 10, max: 20 }),
        side,
        side,
        some,
        some,
        (columns, rows, w, h, deckles, wanted) => {
          const [width, height] = [columns * 31, rows * 29]
          const here = told(plan(width, height, w, h, deckles, wanted))
          expect(told(plan(width, height, w, h, mirrored(deckles, across), mirrored(wanted, across)))).toEqual(here)
          expect(told(plan(width, height, w, h, mirrored(deckles, down), mirrored(wanted, down)))).toEqual(here)
        },
      ),
      { numRuns: 60, seed: 5 },
    )
  })

  it('never cost a piece, and earn at most one point an edge', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 250, max: 760 }),
        fc.integer({ min: 200, max: 560 }),
        fc.integer({ min: 90, max: 300 }),
        fc.integer({ min: 90, max: 230 }),
        some,
        some,
        (width, height, w, h, deckles, wanted) => {
          const plain = plan(width, height, w, h, deckles, noEdges)
          const wished = plan(width, height, w, h, deckles, wanted)
          expect(wished.perSheet).toBe(plain.perSheet)
          expect(wished.tears.length).toBeGreaterThanOrEqual(plain.tears.length)
          expect(points(wished)).toBeLessThanOrEqual(wished.perSheet * edges.filter((edge) => wanted[edge]).length)
        },
      ),
      { numRuns: 120, seed: 6 },
    )
  })

  it('are sought however many pieces there are, and cost none', () => {
    const all = { left: true, right: true, top: true, bottom: true }
    const wanted = { ...noEdges, bottom: true }
    const plain = plan(1400, 1000, 61, 67, all, noEdges)
    const wished = plan(1400, 1000, 61, 67, all, wanted)
    expect(wished.perSheet).toBe(plain.perSheet)
    expect(points(wished)).toBeGreaterThan(points(plain))
  })

  it('are all met on a sheet used whole, and on one torn in a single direction', () => {
    const all = { left: true, right: true, top: true, bottom: true }
    const whole = plan(300, 230, 300, 230, all, all)
    expect(whole).toMatchObject({ perSheet: 1, tears: [], trued: [] })
    expect(points(whole)).toBe(4)
    const halved = plan(600, 230, 300, 230, all, { ...noEdges, top: true, bottom: true })
    expect(halved.perSheet).toBe(2)
    expect(points(halved)).toBe(4)
    expect(halved.trued.map(({ edge }) => edge)).toEqual([halved.datum.x])
  })

  it('are nothing without a deckle on the sheet, and cost no tear then', () => {
    const wanted = { ...noEdges, bottom: true }
    expect(told(plan(760, 560, 300, 230, noEdges, wanted))).toEqual(told(plan(760, 560, 300, 230, noEdges, noEdges)))
    expect(points(plan(760, 560, 300, 230, { ...noEdges, bottom: true }, wanted))).toBeGreaterThan(0)
  })
})
