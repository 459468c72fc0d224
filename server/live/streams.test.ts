import { expect, it } from 'vitest'
import { Streams } from './streams'

it('counts the streams of a sign-in, and lets no one hold more than a browser needs', () => {
  const streams = new Streams()
  const leaves = Array.from({ length: 6 }, () => streams.enter('s1'))
  expect(leaves.every((leave) => leave !== null)).toBe(true)
  expect(streams.enter('s1')).toBeNull()
  expect(streams.enter('s2')).not.toBeNull()
  leaves[0]!()
  expect(streams.enter('s1')).not.toBeNull()
})

it('ends those whose sign-in is over, and all when the server stops', () => {
  const streams = new Streams()
  const ended: string[] = []
  for (const id of ['s1', 's1', 's2']) streams.onEnd(id, () => ended.push(id))
  const forget = streams.onEnd('s3', () => ended.push('s3'))
  streams.endOver((id) => id !== 's1')
  expect(ended).toEqual(['s1', 's1'])
  forget()
  streams.close()
  expect(ended).toEqual(['s1', 's1', 's1', 's1', 's2'])
})
