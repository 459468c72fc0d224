import { expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { samples } from '../../tests/fixtures/requests'
import { goodAnHour, type LossBy, lossesBy, lossesOf } from './losses'

const asked = { hourOf: (at: string) => new Date(at).getUTCHours(), person: null, layerId: null }

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
  const by = (one: LossBy) => lossesOf([edition], { ...asked, by: one })
  expect(by('layer')).toEqual([
    {
      label: edition.layers[0]!.name,
      pressId: null,
      pulls: 3,
      notGood: 2,
      minutes: expect.closeTo(1.5, 5) as number,
      faults: [
        { fault: 'salt', times: 2 },
        { fault: 'slur', times: 1 },
      ],
    },
    { label: 'second', pressId: null, pulls: 0, notGood: 0, minutes: null, faults: [] },
  ])
  expect(by('press').map(({ label, pulls, notGood }) => [label, pulls, notGood])).toEqual([
    ['no press set', 1, 0],
    [samples['add-press'].name, 2, 2],
  ])
  expect(by('paper')).toMatchObject([{ pulls: 3 }])
  expect(by('time of day')).toMatchObject([{ label: '08 to 10 h', pulls: 3 }])
  expect(by('place')).toEqual([
    { label: 'upper left', pressId: null, pulls: 1, notGood: 1, minutes: null, faults: [{ fault: 'salt', times: 1 }] },
  ])
})

it('every pull that counts stands in every telling but that of places', () => {
  const { edition } = run()
  for (const one of lossesBy.filter((by) => by !== 'place'))
    expect(
      lossesOf([edition], { ...asked, by: one }).reduce((sum, { pulls }) => sum + pulls, 0),
      one,
    ).toBe(3)
})

it('ways of printing one layer are held side by side, and people only before those who may see them', () => {
  const { edition, layer } = run()
  const bySetUp = lossesOf([edition], { ...asked, by: 'set-up', layerId: layer })
  expect(bySetUp.map(({ label, pulls, pressId }) => [label, pulls, pressId])).toEqual([
    ['no press set', 1, null],
    [`${samples['add-press'].name}, set-up 1`, 2, 'p1'],
  ])
  expect(lossesOf([edition], { ...asked, by: 'person' })).toMatchObject([{ label: 'p1', pulls: 3, notGood: 2 }])
  expect(lossesOf([edition], { ...asked, by: 'person', person: 'p2' })).toEqual([])
})

it('the pace is of runs by themselves, not of what lies between two editions', () => {
  const [one, other] = [run(), run()]
  const [row] = lossesOf([one.edition, other.edition], { ...asked, by: 'paper' })
  expect(row).toMatchObject({ pulls: 6, minutes: expect.closeTo(1.5, 5) as number })
  expect(goodAnHour(row!)).toBeCloseTo(40 / 3, 5)
  expect(goodAnHour({ pulls: 0, notGood: 0, minutes: 2 })).toBeNull()
})
