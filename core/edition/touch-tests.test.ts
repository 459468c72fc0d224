import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { samples } from '../../tests/fixtures/requests'
import { touchRecordOf } from './touch-tests'

/** A layer pulled at a known moment, and sheets of it touched some hours later. */
function table() {
  const at = new PressTable().tear(4)
  at.pull(1)
  const pulled = Date.parse(at.edition.pulls[0]!.at)
  const touch = (hours: number, isDry: boolean, moment: 'touch' | 'overprint' = 'touch') => {
    at.clock = new Date(pulled + hours * 3600_000).toISOString()
    const given = at.give('touch-test', { layerId: at.layer, moment, isDry, batchIds: [], isDamp: false })
    at.clock = null
    return given.refusal?.code
  }
  const ratio = () => {
    const { 'oil, ordinary': told } = touchRecordOf(at.edition)
    return told && Math.exp(told.logs / told.tests)
  }
  return { at, touch, ratio }
}

describe('a touch test', () => {
  it('says what it is of, and how long that was expected to take', () => {
    const { at, touch } = table()
    at.submit({ type: 'read-climate', stream: 'studio', data: { temperature: 10, humidity: 50 } })
    expect(touch(5, false)).toBeUndefined()
    expect(at.edition.touchTests).toMatchObject([
      { moment: 'touch', isDry: false, hours: 5, expected: 48, family: 'oil', paper: 'ordinary' },
    ])
    at.must('set-drying', { layerId: at.layer, drying: { paper: 'hard', stillAir: true, drier: true } })
    touch(6, false)
    expect(at.edition.touchTests[1]).toMatchObject({ paper: 'hard', expected: 48 * 1.4 * 1.2 * 0.5 })
  })

  it('knows the ink by the batch of the layer, wherever that is known', () => {
    const { at, touch } = table()
    at.submit({ type: 'mix-batch', stream: 'batch:b1', data: { ...samples['mix-batch'], family: 'water-based' } })
    at.must('set-zones', { layerId: at.layer, zones: [{ id: 'whole', name: 'whole block', batchId: 'b1' }] })
    const told = at.give('touch-test', {
      layerId: at.layer,
      moment: 'touch',
      isDry: true,
      batchIds: ['b1', 'none'],
      isDamp: true,
    })
    expect(told.refusal).toBeUndefined()
    expect(at.edition.touchTests[0]).toMatchObject({ family: 'water-based', expected: 0.65 })
    expect(touch(1, true)).toBeUndefined()
    expect(at.edition.touchTests[1]).toMatchObject({ family: 'oil' })
  })

  it('is refused before anything was pulled, or before the pull', () => {
    const { touch } = table()
    expect(touch(-1, true)).toBe('before-the-pull')
    const bare = new PressTable().tear(1)
    const data = { layerId: bare.layer, moment: 'touch' as const, isDry: true, batchIds: [], isDamp: false }
    expect(bare.give('touch-test', data).refusal?.code).toBe('not-pulled')
    expect(bare.give('touch-test', { ...data, layerId: 'none' }).refusal?.code).toBe('unknown-layer')
    expect(bare.give('set-drying', { layerId: 'none', drying: bare.edition.layers[0]!.drying }).refusal?.code).toBe(
      'unknown-layer',
    )
  })

  it('tells between the last wet and the first dry one, and nothing where it came too late or too early', () => {
    const late = table()
    late.touch(60, true)
    expect(late.ratio()).toBeUndefined()
    const early = table()
    early.touch(10, false)
    expect(early.ratio()).toBeUndefined()
    early.touch(40, true)
    // Expected to the touch after 24 h, at 20 °C.
    expect(early.ratio()).toBeCloseTo(20 / 24)
    early.touch(41, false)
    expect(early.ratio()).toBeCloseTo(20 / 24)
    const soon = table()
    soon.touch(12, true)
    expect(soon.ratio()).toBeCloseTo(0.5)
    const slow = table()
    slow.touch(30, false)
    slow.touch(36, false)
    expect(slow.ratio()).toBeCloseTo(1.5)
    slow.touch(12, true, 'overprint')
    expect(touchRecordOf(slow.at.edition)['oil, ordinary']!.tests).toBe(2)
  })
})
