import { validateSync } from 'class-validator'
import { describe, expect, it } from 'vitest'
import { samples } from '../tests/fixtures/requests'
import { CommandRequest } from './commands/envelope'
import { requestOf } from './commands/requests'
import { fits, isFlat } from './fits'

const wrong = [undefined, null, 'many', '', 17.5, -1, 0, 1e9, true, [], ['x'], [1], {}, 'x'.repeat(9_999), Number.NaN]

/** The sample, and the sample with every key in turn left out or given every wrong value. */
function* variantsOf(sample: object): Generator<object> {
  yield sample
  yield { ...sample, extra: 1 }
  for (const key of Object.keys(sample)) {
    yield Object.fromEntries(Object.entries(sample).filter(([other]) => other !== key))
    for (const value of wrong) yield { ...sample, [key]: value }
  }
}

const envelope = {
  commandId: '01934f6e-5f2a-7c3b-8a4d-1234567890ab',
  device: 'b~1',
  by: 'p',
  occurredAt: '2026-11-02T09:30:00.000Z',
  type: 'pull',
  stream: 'edition:e',
  data: {},
}
const flat = [
  ['the envelope', CommandRequest, envelope] as const,
  ...Object.entries(samples).map(([type, sample]) => [type, requestOf.get(type)!, sample] as const),
].filter(([, shape]) => isFlat(shape))

describe.each(flat)('%s', (_type, shape, sample) => {
  it('fits exactly when the library finds nothing wrong', () => {
    for (const given of variantsOf(sample)) {
      const value = Object.assign(new shape(), given)
      const errors = validateSync(value, { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true })
      expect(fits(shape, value), JSON.stringify(given)).toBe(errors.length === 0)
    }
  })
})

it('most requests are flat, a pull and its envelope among them', () => {
  expect(flat.length).toBeGreaterThan(Object.keys(samples).length / 2)
  expect(flat.map(([type]) => type)).toEqual(expect.arrayContaining(['the envelope', 'pull']))
})
