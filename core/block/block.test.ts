import { describe, expect, it } from 'vitest'
import { blockFault, flipWords, mustFlip, transfers, type BlockDescription } from './block'
import { clock, exposureFrom, stepTimes } from './exposure'

const block: BlockDescription = {
  name: 'key block',
  kind: 'hard lino',
  width: 200,
  height: 150,
  thickness: 23.3,
  image: { left: 10, top: 10, width: 180, height: 130 },
  rotation: 0,
  removed: '',
  transfer: 'carbon copy',
  note: '',
}

describe('a drawing on its way to the print', () => {
  it('is flipped for a traced copy, and not for one laid face down', () => {
    expect(mustFlip('carbon copy')).toBe(true)
    expect(mustFlip('drawn direct')).toBe(true)
    expect(mustFlip('toner face down')).toBe(false)
    expect(mustFlip('film')).toBe(false)
    for (const transfer of transfers) expect(flipWords(transfer).length).toBeGreaterThan(20)
  })
})

describe('a block', () => {
  it('stands when its image fits inside it', () => {
    expect(blockFault(block)).toBeNull()
    expect(blockFault({ ...block, name: ' ' })?.field).toBe('name')
    expect(blockFault({ ...block, width: 0 })?.field).toBe('width')
    expect(blockFault({ ...block, image: { ...block.image, left: 30 } })?.message).toContain('does not fit')
    expect(blockFault({ ...block, image: { ...block.image, width: 0 } })?.field).toBe('image')
  })
})

describe('a step test', () => {
  it('goes up in geometric steps of whole seconds', () => {
    expect(stepTimes(30, Math.SQRT2, 6)).toEqual([30, 42, 60, 85, 120, 170])
    expect(stepTimes(1, 1.1, 5)).toEqual([1, 2, 3, 4, 5])
  })

  it('refuses what is no test', () => {
    for (const [first, factor, count] of [
      [0, 2, 4],
      [10, 1, 4],
      [10, 2, 1],
      [10, 2, 2.5],
    ] as const)
      expect(() => stepTimes(first, factor, count)).toThrow(RangeError)
  })

  it('gives the first step that holds, or says which way to go on', () => {
    const steps = [30, 42, 60]
    expect(exposureFrom(steps, 1)).toMatchObject({ exposure: 42, words: expect.stringContaining('at 30 s') })
    expect(exposureFrom(steps, 0)).toMatchObject({ exposure: 30, words: expect.stringContaining('shortest') })
    expect(exposureFrom(steps, null)).toMatchObject({
      exposure: null,
      words: expect.stringContaining('from 60 s upwards'),
    })
    expect(exposureFrom(steps, 7).exposure).toBeNull()
  })

  it('shows seconds as a clock', () => expect([clock(75), clock(600), clock(-3)]).toEqual(['1:15', '10:00', '0:00']))
})
