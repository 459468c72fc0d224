import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { samples } from '../../tests/fixtures/requests'
import { imageOf, stayingFaults } from './fault-places'

/** A table with a block, and pulls with salt at those places; null is a pull without the fault. */
function table(...places: ([number, number] | null)[]) {
  const at = new PressTable().tear(12)
  at.must('prepare-block', { ...samples['prepare-block'], blockId: 'k1' })
  places.forEach((place, i) => {
    const pullId = at.pull(i + 1, { verdict: place ? 'doubtful' : 'good', faults: place ? ['salt'] : [] })
    if (place) at.must('place-fault', { pullId, fault: 'salt', x: place[0], y: place[1] })
  })
  return at
}
const staying = (at: PressTable) => stayingFaults(at.edition, at.layer)

describe('where a fault is seen', () => {
  it('is said of a fault that was named, on a print whose image is known', () => {
    const at = new PressTable().tear(4)
    const pullId = at.pull(1, { verdict: 'doubtful', faults: ['salt'] })
    const place = { pullId, fault: 'salt', x: 10, y: 10 }
    const code = (data: typeof place) => at.give('place-fault', data).refusal?.code
    expect(code(place)).toBe('image-missing')
    at.must('prepare-block', { ...samples['prepare-block'], blockId: 'k1' })
    expect(code({ ...place, pullId: 'none' })).toBe('unknown-pull')
    expect(code({ ...place, fault: 'pale' })).toBe('fault-not-named')
    expect(code({ ...place, x: imageOf(at.edition)!.width + 301 })).toBe('off-the-sheet')
    expect(code(place)).toBeUndefined()
    expect(code({ ...place, x: 20 })).toBeUndefined()
    expect(at.edition.faultPlaces).toEqual([{ ...place, x: 20 }])
    at.must('void-pull', { pullId, reason: 'not pulled' })
    expect(code(place)).toBe('voided')
  })
})

describe('a fault stays', () => {
  it('within thirty millimetres on three of the last five pulls', () => {
    expect(staying(table([10, 10], null, [30, 10], null, [20, 25]))).toMatchObject([
      { fault: 'salt', x: 20, y: 15, pulls: 3, of: 5 },
    ])
    expect(staying(table([10, 10], [30, 10], [60, 10]))).toMatchObject([{ pulls: 3, x: 100 / 3 }])
    expect(staying(table([10, 10], [41, 10], [80, 10]))).toEqual([])
    expect(staying(table([10, 10], [12, 10]))).toEqual([])
  })

  it('no longer once it was seen too long ago, or was taken back', () => {
    expect(staying(table([10, 10], [10, 10], null, [10, 10], null, null))).toEqual([])
    const at = table([10, 10], [10, 10], [10, 10])
    const { pullId } = at.edition.pulls.at(-1)!
    at.must('judge-pull', { pullId, verdict: 'good', faults: [], rescued: null, reason: 'dust on the lens' })
    expect(staying(at)).toEqual([])
    const voided = table([10, 10], [10, 10], [10, 10])
    voided.must('void-pull', { pullId: voided.edition.pulls[0]!.pullId, reason: 'not pulled' })
    expect(staying(voided)).toEqual([])
  })
})
