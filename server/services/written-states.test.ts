import { expect, it } from 'vitest'
import { WrittenStates } from './written-states'

it('are written once until their stream moves on, and so much of them is kept', () => {
  const written = new WrittenStates(200)
  let times = 0
  const state = (seq: number) => ({
    seq,
    toJSON() {
      times += 1
      return { seq, words: 'x'.repeat(20) }
    },
  })
  const first = written.of('edition:e whole', state(1))
  expect([written.of('edition:e whole', state(1)), times]).toEqual([first, 1])
  expect(written.of('edition:e whole', state(2)).toString()).toContain('"seq":2')
  expect(written.of('edition:e cut', state(2)).toString()).toContain('"seq":2')
  expect(times).toBe(3)
  for (let i = 0; i < 20; i++) written.of(`edition:${i} whole`, state(1))
  times = 0
  written.of('edition:e whole', state(2))
  expect(times).toBe(1)
})
