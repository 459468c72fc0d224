import { expect, it } from 'vitest'
import { WrittenReplies } from './written-replies'

it('are written once for all who ask, until what they are written from changes', async () => {
  let now = 0
  let times = 0
  const replies = new WrittenReplies<{ text: string }>(
    100,
    ({ text }) => text.length,
    () => now,
  )
  const ask = (from: string, name = 'edition:e') =>
    replies.of(name, from, async () => {
      times += 1
      await Promise.resolve()
      return { text: `${name} ${from} ${times}` }
    })
  expect((await Promise.all([ask('1'), ask('1'), ask('1')])).map(({ text }) => text)).toEqual(
    Array(3).fill('edition:e 1 1'),
  )
  expect((await ask('1')).text).toBe('edition:e 1 1')
  expect((await ask('2')).text).toBe('edition:e 2 2')
  // What moves beside the events is no older than ten seconds.
  now = 10_001
  expect((await ask('2')).text).toBe('edition:e 2 3')
  // So many bytes are kept and no more.
  for (let i = 0; i < 20; i++) await ask('1', `edition:${i}`)
  expect((await ask('2')).text).toBe('edition:e 2 24')
})

it('that could not be written are tried again', async () => {
  const replies = new WrittenReplies<object>(100, () => 1)
  await expect(replies.of('a', '1', () => Promise.reject(new Error('disk')))).rejects.toThrow('disk')
  expect(await replies.of('a', '1', () => Promise.resolve({ ok: true }))).toEqual({ ok: true })
})
