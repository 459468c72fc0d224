import { describe, expect, it } from 'vitest'
import { samples } from '../../tests/fixtures/requests'
import { check } from '../check'
import { requestOf } from './requests'

type Given = Record<string, unknown>

const isObject = (value: unknown): value is Given =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/** Every way to leave out one key, at any depth; of a list the first is looked into. */
function withOneKeyLess(given: Given, path = ''): { path: string; less: Given }[] {
  return Object.entries(given).flatMap(([key, value]) => {
    const here = `${path}${key}`
    const less = Object.fromEntries(Object.entries(given).filter(([other]) => other !== key))
    const inner = Array.isArray(value) && isObject(value[0]) ? value[0] : isObject(value) ? value : null
    const back = (changed: Given) => ({
      ...given,
      [key]: Array.isArray(value) ? [changed, ...value.slice(1)] : changed,
    })
    const deeper = inner ? withOneKeyLess(inner, `${here}.`) : []
    return [{ path: here, less }, ...deeper.map((one) => ({ path: one.path, less: back(one.less) }))]
  })
}

describe.each(Object.entries(samples))('%s', (type, given) => {
  const shape = requestOf.get(type)!
  const sample = JSON.parse(JSON.stringify(given)) as Given

  it('is taken as a browser sends it', () => {
    const read = check(shape, sample)
    expect(read).toHaveProperty('value')
    expect(JSON.parse(JSON.stringify((read as { value: object }).value))).toEqual(sample)
  })

  it('is refused with a key that is not known, or of another kind', () => {
    expect(check(shape, { ...sample, extra: 1 })).toMatchObject({ refusal: { code: 'invalid', field: 'extra' } })
    for (const key of Object.keys(sample)) {
      const wrong = typeof sample[key] === 'number' ? 'many' : 17.5
      expect(check(shape, { ...sample, [key]: wrong }), key).toMatchObject({ refusal: { code: 'invalid' } })
    }
  })

  it('is refused with any key left out', () => {
    for (const { path, less } of withOneKeyLess(sample))
      expect(check(shape, less), path).toMatchObject({ refusal: { code: 'invalid' } })
  })
})

it('there is a sample of every request', () => {
  expect(Object.keys(samples).sort()).toEqual([...requestOf.keys()].sort())
})
