import { describe, expect, it } from 'vitest'
import { type CardKind, nearestCards } from './cards'
import { underRim, underType } from './underlay'

const kind = (thickness: number, count: number): CardKind => ({
  id: `k${thickness}`,
  name: `${thickness} mm`,
  thickness,
  count,
})

/** Every choice there is, looked at one by one. */
function everyChoice(drawer: readonly CardKind[], missing: number): { sum: number; cards: number } {
  const target = Math.round(missing * 100)
  let best = { sum: 0, cards: 0 }
  const better = (sum: number, cards: number) => {
    const [now, then] = [Math.abs(sum - target), Math.abs(best.sum - target)]
    return now < then || (now === then && (sum < best.sum || (sum === best.sum && cards < best.cards)))
  }
  const walk = (i: number, sum: number, cards: number): void => {
    if (i === drawer.length) {
      if (better(sum, cards)) best = { sum, cards }
      return
    }
    for (let n = 0; n <= drawer[i]!.count; n++) walk(i + 1, sum + n * Math.round(drawer[i]!.thickness * 100), cards + n)
  }
  walk(0, 0, 0)
  return best
}

/** Numbers that look random and are the same on every run. */
function steady(seed: number): () => number {
  let state = seed
  return () => {
    state = (state * 1103515245 + 12345) % 2 ** 31
    return state / 2 ** 31
  }
}

describe('the cards for a missing thickness', () => {
  it('are found to the hundredth', () => {
    const set = nearestCards([kind(0.6, 3), kind(0.25, 2), kind(0.1, 4)], 1.35)
    // 1.30 and 1.40 are equally near: the thinner.
    expect(set).toEqual({ cards: [kind(0.6, 2), kind(0.1, 1)], sum: 1.3, missing: expect.closeTo(0.05, 9) })
    expect(nearestCards([kind(0.6, 3), kind(0.25, 3), kind(0.1, 4)], 1.35)).toMatchObject({
      cards: [
        { thickness: 0.6, count: 1 },
        { thickness: 0.25, count: 3 },
      ],
      missing: expect.closeTo(0, 9),
    })
  })

  it('are the nearest of every choice, of two equally near the thinner, then the fewest, in a thousand drawers', () => {
    const random = steady(7)
    for (let run = 0; run < 1000; run++) {
      const drawer = Array.from({ length: 1 + Math.floor(random() * 4) }, (_, i) => ({
        ...kind(Math.ceil(random() * 120) / 100, Math.floor(random() * 4)),
        id: `k${i}`,
      }))
      const missing = Math.round(random() * 400) / 100
      const set = nearestCards(drawer, missing)
      const wanted = everyChoice(drawer, missing)
      expect(Math.round(set.sum * 100), JSON.stringify({ drawer, missing })).toBe(wanted.sum)
      expect(set.cards.reduce((sum, { count }) => sum + count, 0)).toBe(wanted.cards)
      for (const { id, count } of set.cards)
        expect(count).toBeLessThanOrEqual(drawer.find((one) => one.id === id)!.count)
      expect(set.cards.reduce((sum, { thickness, count }) => sum + Math.round(thickness * 100) * count, 0)).toBe(
        wanted.sum,
      )
      expect(set.missing).toBeCloseTo(missing - set.sum, 9)
    }
  })

  it('are none where nothing is missing, the drawer is empty, or any card would be further off', () => {
    expect(nearestCards([kind(0.6, 3)], 0)).toEqual({ cards: [], sum: 0, missing: 0 })
    expect(nearestCards([], 1)).toEqual({ cards: [], sum: 0, missing: 1 })
    expect(nearestCards([kind(0.6, 3)], 0.3).cards).toEqual([])
    expect(nearestCards([kind(0.6, 3)], -0.4).cards).toEqual([])
  })
})

describe('what goes under a block', () => {
  it('lets it stand slightly proud of a rim, or brings it to type height', () => {
    expect(underRim(23.5, 22.8)).toBeCloseTo(1, 9)
    expect(underRim(23.5, 24)).toBeCloseTo(-0.2, 9)
    expect(underRim(23.5, 23.4, 0.2)).toBeCloseTo(0.3, 9)
    expect(underType(23.32, 23.8)).toBeCloseTo(-0.48, 9)
  })
})
