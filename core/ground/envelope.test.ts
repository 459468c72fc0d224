import { expect, it } from 'vitest'
import { doerOf, doerWords, notStoredYet, whenOf } from './envelope'

const names = new Map([
  ['p1', 'Ada Pell'],
  ['p2', 'Tove Brand'],
])
const nameOf = (id: string) => names.get(id)!
const event = { stream: 'edition:e1', seq: 1, type: 'pulled', version: 1, actor: 'p1', occurredAt: '', data: {} }

it('who handed a thing in is named where it was another', () => {
  expect(doerWords(doerOf(event), nameOf)).toBe('Ada Pell')
  expect(doerWords(doerOf({ ...event, via: 'p2' }), nameOf)).toBe('Ada Pell (handed in by Tove Brand)')
})

it('what is not stored yet comes after everything that is', () => {
  expect(whenOf({ ...event, position: 41 }).position).toBe(41)
  expect(whenOf(event).position).toBe(notStoredYet)
})
