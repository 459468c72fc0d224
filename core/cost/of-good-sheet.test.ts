import { expect, it } from 'vitest'
import { costOfGoodSheet } from './of-good-sheet'

it('a good sheet bears what the spoiled ones took', () => {
  const step = { piece: 1.2, ink: 0.1, minutes: 3, hour: 6 }
  expect(costOfGoodSheet(step, 1)).toBeCloseTo(1.6, 12)
  expect(costOfGoodSheet(step, 0.8)).toBeCloseTo(2, 12)
  expect(costOfGoodSheet(step, 0)).toBeNull()
})
