import { expect, it } from 'vitest'
import { acts } from '#core/house/acts'
import { play } from '../fixtures/random-run'

it('random runs reach every act now and then, so that what they break would be seen', () => {
  // The edition itself was begun before the first random command.
  const taken = new Set<string>(['start-edition'])
  for (let seed = 1; seed <= 900 && taken.size < acts.length; seed++)
    for (const { type, refused } of play(seed, 120).steps) if (refused === null) taken.add(type)
  expect(acts.map((act) => act.type).filter((type) => !taken.has(type))).toEqual([])
})
