import { expect, it } from 'vitest'
import { gathered } from './gathered'

it('asks once for what is wanted in one turn, each name once, and anew in the next', async () => {
  const asked: string[] = []
  const ask = gathered((names) => {
    asked.push(names.join(' '))
    return Promise.resolve(names.length)
  })
  expect(await Promise.all([ask('lot'), ask('press'), ask('lot')])).toEqual([2, 2, 2])
  expect(await ask('tub')).toBe(1)
  expect(asked).toEqual(['lot press', 'tub'])
})

it('what goes wrong goes wrong for all who asked, and for nobody after', async () => {
  let isAway = true
  const ask = gathered(() => (isAway ? Promise.reject(new Error('away')) : Promise.resolve('here')))
  expect((await Promise.allSettled([ask('lot'), ask('press')])).map(({ status }) => status)).toEqual([
    'rejected',
    'rejected',
  ])
  isAway = false
  expect(await ask('lot')).toBe('here')
})
