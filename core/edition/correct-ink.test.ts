import { expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { samples } from '../../tests/fixtures/requests'

it('from one pull on the ink was another: of its layer, and of those counted with that batch', () => {
  const table = new PressTable().tear(5)
  for (const id of ['b1', 'b2'])
    table.submit({
      type: 'mix-batch',
      stream: `batch:${id}`,
      data: {
        ...samples['mix-batch'],
        name: id,
        components: samples['mix-batch'].components.map((one) => ({ ...one, tubId: null, batchId: null })),
      },
    })
  const [, second, third] = [['b1'], ['b1', 'red'], ['b1'], []].map((batchIds, i) => table.pull(i + 1, { batchIds }))
  const correct = (pullId: string, from: string, to: string, reason = 'the wrong tin') =>
    table.give('correct-ink', { pullId, from, to, reason }).refusal?.code
  expect([
    correct('none', 'b1', 'b2'),
    correct(second!, 'b1', 'b9'),
    correct(second!, 'b1', 'b1'),
    correct(second!, 'blue', 'b2'),
  ]).toEqual(['unknown-pull', 'unknown-batch', 'same-batch', 'not-with-it'])
  expect(correct(second!, 'b1', 'b2', ' ')).toBe('reason-missing')
  expect(correct(second!, 'b1', 'b2')).toBeUndefined()
  expect(table.edition.pulls.map(({ batchIds }) => batchIds)).toEqual([['b1'], ['b2', 'red'], ['b2'], []])
  expect(correct(third!, 'b2', 'b1')).toBeUndefined()
  expect(table.edition.pulls.map(({ batchIds }) => batchIds)).toEqual([['b1'], ['b2', 'red'], ['b1'], []])
})
