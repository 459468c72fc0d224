import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { play } from '../../tests/fixtures/random-run'
import type { Happening, LedgerEvent } from '../ground/envelope'
import { emptyState, evolve } from '../house/streams'
import { emptyBatch } from '../stores/batch/state'
import { inHand, type LotState } from '../stores/lot/state'
import { gramPriceOf, inkCharges } from './ink'
import { type ChargeLine, totalOf } from './line'
import { partedCents, wholeCents } from './money'
import { type InHands, paperCharges } from './paper'
import { looseCharges, sessionCharges } from './press-time'

describe('whole cents', () => {
  it.each([
    [0.125, 12],
    [0.135, 14],
    [0.145, 14],
    [1.005, 100],
    [1.015, 102],
    [-0.125, -12],
    [-0.135, -14],
    [2.675, 268],
    [0, 0],
    [0.1 + 0.2, 30],
    [19.999, 2000],
  ])('%d is %i', (amount, cents) => {
    expect(wholeCents(amount)).toBe(cents)
  })

  it('are never more than half a cent off, and a credit mirrors its charge', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1e6, noNaN: true }), (amount) => {
        expect(Math.abs(wholeCents(amount) - amount * 100)).toBeLessThanOrEqual(0.5 + 1e-4)
        expect(wholeCents(-amount) + wholeCents(amount)).toBe(0)
      }),
    )
  })

  it('are parted so that the parts add up, none by more than a cent off its share', () => {
    const weights = fc.array(fc.integer({ min: 0, max: 500 }), { minLength: 1, maxLength: 12 })
    fc.assert(
      fc.property(fc.integer({ min: -50_000, max: 50_000 }), weights, (cents, given) => {
        fc.pre(given.some((weight) => weight > 0))
        const parts = partedCents(cents, given)
        const sum = given.reduce((a, b) => a + b, 0)
        expect(parts.reduce((a, b) => a + b, 0)).toBe(cents)
        parts.forEach((part, i) => expect(Math.abs(part - (cents * given[i]!) / sum)).toBeLessThan(1))
      }),
    )
  })
})

/** Everything a lot's events charge, and the lot after them. */
function chargedBy(events: readonly LedgerEvent[], stream: string) {
  const inHands: InHands = new Map()
  const lines: ChargeLine[] = []
  let lot = emptyState(stream) as LotState
  for (const event of events.filter((one) => one.stream === stream)) {
    lines.push(...paperCharges(lot, event, inHands))
    lot = evolve(lot, event)
  }
  return { lines, lot }
}

describe('paper', () => {
  it('is charged where it went, sheet by sheet, whatever is done', () => {
    for (let seed = 1; seed <= 60; seed++) {
      const { room, steps } = play(seed, 120, seed % 2 ? 'papers' : 'classes')
      const events = [...room.begun, ...steps.flatMap((step) => step.events)]
      for (const stream of ['lot:l1', 'lot:l2', 'lot:l3']) {
        const { lines, lot } = chargedBy(events, stream)
        const own = events.filter((event) => event.stream === stream)
        const sheets = (type: string, from: 'shelf' | 'ration' | 'any') =>
          own
            .filter((event) => event.type === type)
            .map((event) => event.data as { sheets: number; rationId: string | null })
            .filter(({ rationId }) => from === 'any' || (rationId === null) === (from === 'shelf'))
            .reduce((sum, data) => sum + data.sheets, 0)
        const prices = new Set(own.flatMap(({ data }) => (data as { price?: number }).price ?? []))
        // What nobody has in hand was torn; what somebody has stands on no edition.
        const held = totalOf(lines.filter(({ editionStream }) => editionStream === null))
        if (prices.size === 1) {
          const each = wholeCents([...prices][0]!)
          const gone = sheets('lot-torn', 'shelf') + sheets('paper-released', 'any') - sheets('paper-returned', 'any')
          expect([seed, totalOf(lines)]).toEqual([seed, each * gone])
          expect(held).toBe(each * lot.rations.reduce((sum, ration) => sum + inHand(ration), 0))
        }
        expect(held).toBeGreaterThanOrEqual(0)
      }
    }
  })

  it('is credited at what it was given out for, though the price has changed', () => {
    const event = (type: string, data: object): Happening => ({
      stream: 'lot:l',
      seq: 1,
      type,
      version: 1,
      actor: 'staff',
      occurredAt: '2026-11-02T10:00:00Z',
      data,
    })
    const ration = { id: 'r', personId: 'ada', sheets: 4, released: 0, returned: 0, used: 0 }
    const lot = { ...(emptyState('lot:l') as LotState), name: 'laid', price: 4.2, rations: [ration] }
    const inHands: InHands = new Map()
    const lines = [
      ...paperCharges(lot, event('paper-released', { rationId: 'r', sheets: 2 }), inHands),
      ...paperCharges({ ...lot, price: 6 }, event('paper-released', { rationId: 'r', sheets: 2 }), inHands),
      ...paperCharges(
        { ...lot, price: 6 },
        event('lot-torn', { rationId: 'r', sheets: 3, editionStream: 'e' }),
        inHands,
      ),
      ...paperCharges({ ...lot, price: 6 }, event('paper-returned', { rationId: 'r', sheets: 1 }), inHands),
    ]
    expect(lines.map(({ personId, editionStream, cents }) => [personId, editionStream, cents])).toEqual([
      ['ada', null, 840],
      ['ada', null, 1200],
      ['ada', null, -1440],
      ['ada', 'e', 1440],
      ['ada', null, -600],
    ])
    expect(totalOf(lines)).toBe(1440)
  })
})

describe('ink', () => {
  const tub = (tubId: string | null, milligrams: number) => ({
    tubId,
    batchId: null,
    name: 'x',
    milligrams,
    held: null,
  })
  const prices: Record<string, number> = { black: 0.1, white: 0.04 }
  const priceOf = (id: string) => prices[id] ?? null

  it('costs what went into it, by mass, a left-over what it held', () => {
    expect(gramPriceOf([tub('black', 3000), tub('white', 1000)], priceOf, 0)).toEqual({ gram: 0.085, isKnown: true })
    const leftOver = {
      ...tub(null, 1000),
      batchId: 'b',
      held: { components: [tub('black', 1), tub('white', 1)], drawDown: null },
    }
    expect(gramPriceOf([leftOver, tub('white', 1000)], priceOf, 0).gram).toBeCloseTo(0.055, 12)
    expect(gramPriceOf([tub('black', 1), tub('nobody knows', 1)], priceOf, 0)).toEqual({ gram: 0.05, isKnown: false })
    expect(gramPriceOf([tub(null, 1)], priceOf, 0.09)).toEqual({ gram: 0.09, isKnown: true })
    expect(gramPriceOf([], priceOf, 0)).toEqual({ gram: 0, isKnown: false })
  })

  it('is charged to whoever drew it, for its edition', () => {
    const batch = { ...emptyBatch('batch:b'), name: 'slate', components: [tub('black', 500)] }
    const drawn: Happening = {
      stream: 'batch:b',
      seq: 2,
      type: 'ink-drawn',
      version: 1,
      actor: 'ada',
      occurredAt: '2026-11-02T10:00:00Z',
      data: { milligrams: 12_500, editionStream: 'edition:e', layerId: null, note: '' },
    }
    expect(inkCharges(batch, drawn, priceOf, () => 0)).toMatchObject([
      { personId: 'ada', editionStream: 'edition:e', what: '12.5 g of slate', cents: 125, isUnpriced: false },
    ])
    expect(inkCharges(batch, { ...drawn, type: 'batch-mixed' }, priceOf, () => 0)).toEqual([])
  })
})

describe('press time', () => {
  const press = { name: 'the long press', hourAt: (iso: string) => (iso < '2026-11-03' ? 6 : 7.5) }
  const left = { at: '2026-11-02T11:20:00Z', position: 9 }
  const printed = (editionStream: string, pulls: number) => ({
    editionStream,
    title: editionStream,
    layerId: 'l',
    layerName: 'l',
    pulls,
  })
  const time = { by: 'ada', from: '2026-11-02T10:00:00Z', left, printed: [], lastPull: null }

  it('is the session, at the rate it began with, parted over its editions by their pulls', () => {
    expect(sessionCharges(press, time)).toMatchObject([
      { cents: 800, editionStream: null, what: '1.33 h at the long press' },
    ])
    const shared = sessionCharges(press, { ...time, printed: [printed('a', 1), printed('b', 1), printed('a', 1)] })
    expect(shared.map(({ editionStream, cents }) => [editionStream, cents])).toEqual([
      ['a', 533],
      ['b', 267],
    ])
    // Left open over night and closed by the next one: nobody stood there until then.
    const leftOpen = { ...time, left: { at: '2026-11-03T09:00:00Z', position: 9 }, lastPull: '2026-11-02T10:30:00Z' }
    expect(sessionCharges(press, leftOpen)).toMatchObject([{ cents: 300, isReckoned: true }])
    expect(sessionCharges({ ...press, hourAt: () => null }, time)).toMatchObject([{ cents: 0, isUnpriced: true }])
    expect(sessionCharges(press, { ...time, from: '2026-11-02T12:00:00Z' })).toMatchObject([{ cents: 0 }])
  })

  it('is pulls by pace where no session was open, and says so', () => {
    const pull = (by: string, at: string, position: number) => ({ by, at, position, editionStream: 'e', pressId: 'p' })
    const lines = looseCharges(
      [
        ...[0, 4, 8, 12, 16].map((minute) =>
          pull('ada', `2026-11-02T10:${String(minute).padStart(2, '0')}:00Z`, minute + 1),
        ),
        pull('bo', '2026-11-03T10:00:00Z', 40),
      ],
      () => press,
      (iso) => iso.slice(0, 10),
      6,
    )
    expect(lines).toMatchObject([
      { personId: 'ada', cents: 200, isReckoned: true, what: '5 pulls at the long press, about 0.33 h' },
      { personId: 'bo', cents: 75, isReckoned: true, what: '1 pull at the long press, about 0.10 h' },
    ])
  })
})
