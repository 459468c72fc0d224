import { expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { historyOf } from './history'
import type { StackOrder } from './layer'
import { sheetWords } from './sheet-words'
import { stackFor } from './stack'

/** Three sheets pulled out of order at the first layer, the middle one with salt, the last a reject. */
function twoLayers(stackOrder: StackOrder) {
  const at = new PressTable().tear(4)
  at.must('add-layer', { name: 'second', blocks: [] })
  const second = at.edition.layers[1]!.id
  at.pull(2)
  at.pull(1, { verdict: 'doubtful', faults: ['salt'] })
  at.pull(3)
  at.pull(4, { verdict: 'reject', faults: ['slur'] })
  at.must('change-layer', { layerId: second, name: 'second', blocks: [], routine: '', stackOrder })
  const stack = stackFor(at.edition, at.edition.layers[1]!).map(({ id }) => id)
  const history = (id: number) => historyOf(at.edition, at.edition.sheets[id - 1]!)
  return { at, second, stack, history }
}

it.each([
  ['pulled', [2, 1, 3]],
  ['reversed', [3, 1, 2]],
  ['serial', [1, 2, 3]],
] as const)('a stack that comes %s comes as it lies', (order, stack) => {
  expect(twoLayers(order).stack).toEqual(stack)
})

it('of a stack that comes mixed nobody says which sheet met which pull before, but of those taken out', () => {
  const { at, second, stack, history } = twoLayers('mixed')
  expect(new Set(stack)).toEqual(new Set([1, 2, 3]))
  expect(history(1)).toMatchObject({ pulls: [], mixedBefore: { name: 'second' } })
  expect(sheetWords(at.edition, at.edition.sheets[0]!)).not.toContain('salt')
  expect(history(4)).toMatchObject({ mixedBefore: null })
  expect(sheetWords(at.edition, at.edition.sheets[3]!)).toContain('slur')
  const pullId = at.pull(1, { layerId: second, wetOnWet: true })
  expect(history(1).pulls.map((pull) => pull.pullId)).toEqual([pullId])
  expect(twoLayers('pulled').history(1).pulls).toHaveLength(1)
})
