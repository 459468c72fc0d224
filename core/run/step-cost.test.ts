import { expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { paperAPrint, stepCost } from './step-cost'

const way = { pulls: 10, notGood: 2, minutes: 3, pressId: 'p1' }

it('a good sheet bears paper, ink and time; images of one pull share its time', () => {
  const one = new PressTable().tear(4)
  // One large sheet at 4.20 gave four pieces; the press has its own rate.
  expect(paperAPrint(one.edition)).toBeCloseTo(1.05, 12)
  const cost = (table: PressTable, more: Partial<typeof way> = {}) =>
    stepCost(table.edition, table.layer, { ...way, ...more }, [], (id) => (id === 'p1' ? 12 : null))
  expect(cost(one)).toBeCloseTo((1.05 + 0.6) / 0.8, 12)
  // No rate anywhere: nothing is charged for the press.
  expect(cost(one, { pressId: 'p2' })).toBeCloseTo(1.05 / 0.8, 12)
  const two = new PressTable().tear(4, 2)
  two.must('lock-up', { layerId: two.layer, images: 2 })
  expect(cost(two)).toBeCloseTo((0.525 + 0.3) / 0.8, 12)
})

it('is not known while paper or pace are not, and none good is no price', () => {
  const bare = new PressTable()
  const none = () => null
  expect([paperAPrint(bare.edition), stepCost(bare.edition, bare.layer, way, [], none)]).toEqual([null, null])
  const torn = new PressTable().tear(4)
  expect(stepCost(torn.edition, torn.layer, { ...way, minutes: null }, [], none)).toBeNull()
  expect(stepCost(torn.edition, torn.layer, { ...way, notGood: 10 }, [], none)).toBeNaN()
})
