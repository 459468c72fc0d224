import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { noRecord } from '../plan/shop-record'
import { type InkKnown, inkNeed, usualProofs, usualWarmUps } from './ink-need'
import { planInk } from './plan-ink'

const known: InkKnown = { runs: [], density: new Map(), record: noRecord, confidence: 0.9 }

function tableWithBlock(layersPlanned: number): PressTable {
  const table = new PressTable({ start: 30, layersPlanned })
  table.prepareBlock({
    name: 'key block',
    kind: 'hard lino' as const,
    width: 310,
    height: 210,
    thickness: 4.8,
    image: { left: 5, top: 5, width: 300, height: 200 },
    rotation: 0,
    removed: '',
    transfer: 'carbon copy' as const,
    note: '',
  })
  return table
}

describe('ink of a whole plan', () => {
  it('is not told while an image has no size', () => {
    expect(planInk(new PressTable({ start: 30 }).edition, [30], () => known)).toBeNull()
  })

  it('is that of its layers, each with the sheets that reach it', () => {
    const { edition, layer } = tableWithBlock(1)
    const alone = (sheets: number) =>
      inkNeed(edition, layer, known, { sheets, warmUps: usualWarmUps, proofs: usualProofs })[0]!
    const found = planInk(edition, [29.6], () => known)!
    expect(found.grams).toBeCloseTo(alone(30).amount.total, 10)
    expect(found.guessed).toEqual(alone(30).guessed)
    expect(planInk(edition, [10], () => known)!.grams).toBeLessThan(found.grams)
  })

  it('lets a layer that is planned and not yet added take as much as the mean of the others', () => {
    const { edition } = tableWithBlock(3)
    expect(edition.layers).toHaveLength(1)
    const one = planInk(edition, [30], () => known)!
    expect(planInk(edition, [30, 27, 24], () => known)!.grams).toBeCloseTo(one.grams * 3, 10)
  })
})
