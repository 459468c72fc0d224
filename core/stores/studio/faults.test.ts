import { expect, it } from 'vitest'
import { PressTable } from '../../../tests/fixtures/press-table'
import { samples } from '../../../tests/fixtures/requests'
import { findCause } from '../../finder/finder'
import { lineInForce, usualLine, type FaultLine } from '../../print/fault-table'
import { faultKeys } from '../../print/faults'
import type { StudioState } from './state'

const situation = {
  family: null,
  byHand: false,
  damp: null,
  block: null,
  pulls: 10,
  sinceWash: null,
  layer: 1,
  isStaying: false,
}

it('a studio says itself what a fault makes of a sheet, where it comes from and what is tried, and keeps what it said', () => {
  const table = new PressTable()
  const studio = () => table.states.get('studio') as StudioState | undefined
  const give = (data: FaultLine) =>
    table.submit({ type: 'set-fault-line', stream: 'studio', data, expectedSeq: studio()?.seq ?? 0 }).refusal?.code
  const line = samples['set-fault-line']
  const tryIt = (remedy: string) =>
    table.give('try-remedy', { layerId: table.layer, fault: 'salt', remedy }).refusal?.code
  expect(tryIt('warm the slab')).toBe('unknown-remedy')
  expect(give({ ...line, fault: 'gremlins' })).toBe('fault-line-unfit')
  expect(give({ ...line, causes: [{ ...line.causes[0]!, words: ' ' }] })).toBe('fault-line-unfit')
  expect(give({ ...line, causes: [line.causes[0]!, line.causes[0]!] })).toBe('fault-line-unfit')
  expect(give({ ...line, causes: [{ ...line.causes[0]!, remedies: [''] }] })).toBe('fault-line-unfit')
  expect(give(line)).toBeUndefined()
  expect(tryIt('warm the slab')).toBeUndefined()
  const own = studio()!.faultLines
  expect(lineInForce(own, 'salt')).toMatchObject(line)
  expect(lineInForce(own, 'pale')).toEqual(usualLine('pale'))
  expect(findCause('salt', situation, {}, lineInForce(own, 'salt')).remedies.map(({ words }) => words)).toEqual(
    expect.arrayContaining(['warm the slab']),
  )
  give(usualLine('salt'))
  expect(studio()!.faultLines).toHaveLength(2)
  expect(lineInForce(studio()!.faultLines, 'salt')).toMatchObject(usualLine('salt'))
})

it('every fault has a usual line that a studio could keep as its own', () => {
  for (const fault of faultKeys) {
    const line = usualLine(fault)
    const words = line.causes.map((cause) => cause.words)
    expect(new Set(words).size).toBe(words.length)
  }
})
