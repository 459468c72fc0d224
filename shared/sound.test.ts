import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { unsound } from './sound'

const inside = (value: unknown, depth: number): unknown => (depth === 0 ? value : { a: inside(value, depth - 1) })

describe('the JSON of a request', () => {
  it('is sound when it holds what people type, in any script', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 50 }), (text) => {
        expect(unsound({ note: text.replaceAll('\0', '') })).toBeNull()
      }),
    )
    expect(unsound({ note: 'é 漢 🖨' })).toBeNull()
  })

  it('is refused with a −0, which would be stored as another number than was decided on', () => {
    expect(unsound(JSON.parse('{"data":{"dx":-0}}'))).toMatchObject({ code: 'invalid', field: 'data.dx' })
    expect(unsound({ data: { dx: 0 } })).toBeNull()
  })

  it.each([
    ['NUL', 'a\0b'],
    ['half a pair at the end', 'a\ud83d'],
    ['the other half at the beginning', '\udda8a'],
  ])('names the field that holds %s', (_, text) => {
    expect(unsound({ plan: { artist: text } })).toMatchObject({ code: 'invalid', field: 'plan.artist' })
    expect(unsound({ rows: [{ title: 'x' }, { title: text }] })).toMatchObject({ field: 'rows.1.title' })
    expect(unsound({ [text]: 1 })).toMatchObject({ code: 'invalid' })
  })

  it.each(['__proto__', 'constructor', 'prototype'])('takes no key %s', (key) => {
    expect(unsound(JSON.parse(`{"data":{"${key}":{"role":"manager"}}}`))).toMatchObject({ field: 'data' })
  })

  it('is bounded in depth, number and length', () => {
    expect(unsound(inside(1, 12))).toBeNull()
    expect(unsound(inside([], 12))).toMatchObject({ message: expect.stringContaining('nested too deep') })
    expect(unsound({ ids: Array.from({ length: 59_000 }, (_, i) => i) })).toBeNull()
    expect(unsound({ ids: Array.from({ length: 61_000 }, (_, i) => i) })).toMatchObject({ code: 'invalid' })
    expect(unsound({ note: 'x'.repeat(20_001) })).toMatchObject({ field: 'note' })
  })
})
