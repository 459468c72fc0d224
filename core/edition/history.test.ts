import { expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { historyOf, kindOf } from './history'
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

it('a block cleared further in mid-run makes two kinds of print, the last of the first kind marked', () => {
  const at = new PressTable().tear(4)
  at.pull(1)
  at.pull(2)
  expect(kindOf(at.edition, historyOf(at.edition, at.edition.sheets[0]!).pulls)).toBe('')
  at.must('adjust', { layerId: at.layer, kind: 'cleared', note: '' })
  at.pull(3)
  const kinds = () => at.edition.sheets.map((sheet) => kindOf(at.edition, historyOf(at.edition, sheet).pulls))
  expect(kinds()).toEqual([
    'before the block was cleared',
    'the last before the block was cleared',
    'after the block was cleared',
    '',
  ])
  at.must('void-adjustment', { adjustmentId: at.edition.adjustments[0]!.id })
  expect(kinds()).toEqual(['', '', '', ''])
})
