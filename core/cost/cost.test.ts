import { describe, expect, it } from 'vitest'
import { gramsAnImpression } from '../ink/amount'
import { costOf, costOfPull, lostAtLayer } from './cost'

const terms = { piece: 1, inkGrams: 2, inkGram: 0.1, minutesPerPull: 6, pressHour: 5, labourHour: 15, layers: 3 }

describe('what an edition costs', () => {
  it('is paper, ink, press and labour over the good prints', () => {
    expect(costOfPull(terms)).toBeCloseTo(2.2)
    expect(costOf(terms, 30, 80, 20)).toEqual({ total: 30 + 80 * 2.2, perGoodPrint: (30 + 80 * 2.2) / 20 })
    expect(costOf(terms, 3, 3, 0).perGoodPrint).toBeNaN()
  })

  it('loses more with every layer that is already on the sheet', () => {
    expect(lostAtLayer(terms).map((cost) => Number(cost.toFixed(2)))).toEqual([3.2, 5.4, 7.6])
  })
})

describe('ink on an impression', () => {
  it('meets the worked check', () => expect(gramsAnImpression(300 * 200, 0.6, 8, 1.1)).toBeCloseTo(0.3168, 10))
})
