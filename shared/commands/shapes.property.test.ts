import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { dataOf, wrongDataOf } from '../../tests/fixtures/arbitrary'
import { expected, fieldsOf } from '#core/ground/shape'
import { actOf, acts, type CommandType, shapeOf } from '#core/house/acts'
import { decide, singleStreams } from '#core/house/streams'
import { check } from '../check'

const asSent = (data: unknown): unknown => JSON.parse(JSON.stringify(data))
it('says what is expected in words of its own', () => {
  const words = (type: CommandType, name: string) => expected(fieldsOf(shapeOf(type)).get(name)!)
  expect(words('add-rack', 'perSlot')).toBe('is a whole number from 1 to 50 sheets')
  expect(words('set-zones', 'zones')).toBe('is a list of 1 to 20, each an object')
  expect(words('lay-in', 'from')).toBe('is a whole number from 1 to 500, or none')
})

const context = {
  personId: 'p1',
  role: 'manager',
  commandId: 'c',
  occurredAt: '2026-11-02T09:30:00.000Z',
  zone: 'UTC',
} as const

describe.each(acts.map(({ type }) => type))('%s', (type: CommandType) => {
  const shape = shapeOf(type)

  it('takes its sample', () => {
    const read = check(shape, asSent(shape.sample))
    expect(read).toHaveProperty('value')
    expect(asSent((read as { value: object }).value)).toEqual(asSent(shape.sample))
  })

  it('takes whatever its bounds allow, unchanged', () =>
    fc.assert(
      fc.property(dataOf(shape), (data) => {
        const read = check(shape, asSent(data))
        expect(read).toHaveProperty('value')
        expect(asSent((read as { value: object }).value)).toEqual(asSent(data))
      }),
    ))

  it('refuses one wrong field, and names it', () =>
    fc.assert(
      fc.property(wrongDataOf(shape), ({ field, data }) => {
        expect(check(shape, asSent(data))).toMatchObject({ refusal: { code: 'invalid', field } })
      }),
      { numRuns: 300 },
    ))

  it('is decided without a throw, whatever it is given', () =>
    fc.assert(
      fc.property(dataOf(shape), (data) => {
        const { kind } = actOf.get(type)!.stream
        const stream = singleStreams.includes(kind as never) ? kind : `${kind}:x`
        decide(new Map(), { type, stream, data, expectedSeq: 0 }, context)
      }),
    ))
})
