import { expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { samples } from '../../tests/fixtures/requests'
import { lossesBy, lossesOf } from './losses'

const utc = (at: string) => new Date(at).getUTCHours()

function run() {
  const at = new PressTable().tear(8)
  at.must('add-layer', { name: 'second', blocks: [] })
  at.must('prepare-block', { ...samples['prepare-block'], blockId: 'k1' })
  at.submit({ type: 'add-press', stream: 'press:p1', data: samples['add-press'] })
  at.pull(1)
  at.must('set-press', { ...samples['set-press'], layerId: at.layer, pressId: 'p1', block: null, packing: [] })
  const setupSeq = at.edition.layers[0]!.setups[0]!.seq
  const salty = at.pull(2, { verdict: 'reject', faults: ['salt', 'slur'], setupSeq })
  at.pull(3, { verdict: 'doubtful', faults: ['salt'], setupSeq })
  at.pull(4, { kind: 'proof', proofKind: 'WP', verdict: 'reject', faults: ['fill'] })
  const voided = at.pull(5, { verdict: 'reject', faults: ['fill'] })
  at.must('void-pull', { pullId: voided, reason: '' })
  at.must('place-fault', { pullId: salty, fault: 'salt', x: 1, y: 1 })
  return at
}

it('losses are told apart by what they came with, proofs and void pulls left out', () => {
  const { edition } = run()
  const by = (one: (typeof lossesBy)[number]) => lossesOf(edition, one, utc)
  expect(by('layer')).toEqual([
    {
      label: edition.layers[0]!.name,
      pulls: 3,
      notGood: 2,
      goodAnHour: expect.closeTo(40 / 3, 5) as number,
      faults: [
        { fault: 'salt', times: 2 },
        { fault: 'slur', times: 1 },
      ],
    },
    { label: 'second', pulls: 0, notGood: 0, goodAnHour: null, faults: [] },
  ])
  expect(by('press').map(({ label, pulls, notGood }) => [label, pulls, notGood])).toEqual([
    ['no press set', 1, 0],
    [samples['add-press'].name, 2, 2],
  ])
  expect(by('paper')).toMatchObject([{ pulls: 3 }])
  expect(by('time of day')).toMatchObject([{ label: '08 to 10 h', pulls: 3 }])
  expect(by('place')).toEqual([
    { label: 'upper left', pulls: 1, notGood: 1, goodAnHour: null, faults: [{ fault: 'salt', times: 1 }] },
  ])
})

it('every pull that counts stands in every telling but that of places', () => {
  const { edition } = run()
  for (const one of lossesBy.filter((by) => by !== 'place'))
    expect(
      lossesOf(edition, one, utc).reduce((sum, { pulls }) => sum + pulls, 0),
      one,
    ).toBe(3)
})
