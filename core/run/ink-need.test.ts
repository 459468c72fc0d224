import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { rollUpDefaults } from '../ink/roll-up'
import { blockOf, inkNeed, pullsToCome } from './ink-need'

const block = (name: string, width = 300, height = 200) => ({
  name,
  kind: 'hard lino' as const,
  width: width + 10,
  height: height + 10,
  thickness: 4.8,
  image: { left: 5, top: 5, width, height },
  rotation: 0,
  removed: '',
  transfer: 'carbon copy' as const,
  note: '',
})

describe('pulls a layer still takes', () => {
  it('are the sheets to start before any is torn, then the sheets that lack it', () => {
    const table = new PressTable({ start: 12 })
    expect(pullsToCome(table.edition, table.layer)).toEqual({ sheets: 12, warmUps: 2, proofs: 4 })
    table.tear(6)
    expect(pullsToCome(table.edition, table.layer).sheets).toBe(6)
    table.pull(1)
    table.pull(2)
    expect(pullsToCome(table.edition, table.layer)).toEqual({ sheets: 4, warmUps: 1, proofs: 0 })
    for (const sheet of [3, 4, 5, 6]) table.pull(sheet)
    expect(pullsToCome(table.edition, table.layer)).toEqual({ sheets: 0, warmUps: 0, proofs: 0 })
  })

  it('without a number to start from are the prints wanted', () => {
    expect(
      pullsToCome(new PressTable({ start: null, size: 20, proofs: { AP: 2, PP: 0, HC: 0 } }).edition, 'any').sheets,
    ).toBe(22)
  })
})

describe('ink for a layer', () => {
  it('is reckoned from its block, its share, its roller and its sessions, and says what is guessed', () => {
    const table = new PressTable({ start: 34 })
    const blockId = table.must('prepare-block', { block: block('key block') })
    expect(inkNeed(table.edition, table.layer, [])[0]!.guessed).toEqual([
      '50 % of the block inked',
      'a film of 8 µm',
      '1.1 g/cm³',
      'a roller of 150 mm',
    ])
    table.must('set-inked-share', { blockId, share: 0.6, reading: null })
    table.must('set-roll-up', {
      layerId: table.layer,
      rollUp: { ...rollUpDefaults, roller: { id: 'r', name: 'large', width: 260, diameter: 80 }, sessions: 2 },
    })
    const [need] = inkNeed(table.edition, table.layer, [], new Map([['whole', 1.1]]))
    expect(need!.guessed).toEqual(['a film of 8 µm'])
    expect(need!.job).toMatchObject({ blockArea: 60_000, inkedShare: 0.6, impressions: 40, sessions: 2 })
    expect(need!.amount.prints).toBeCloseTo(40 * 0.3168, 9)
    expect(need!.amount.total).toBeCloseTo((need!.amount.prints + need!.amount.held) * 1.1, 9)
    const measured = inkNeed(
      table.edition,
      table.layer,
      [{ editionStream: '', layerId: '', milligrams: 0, area: 3_000_000, film: 6 }],
      new Map([['whole', 1.1]]),
    )[0]!
    expect(measured.guess.film).toBeCloseTo(6.5, 12)
    expect(measured.guessed).toEqual([])
    expect(inkNeed(table.edition, 'none', [])).toEqual([])
  })

  it('takes each zone’s own share, and hand work a thicker film', () => {
    const table = new PressTable({ work: 'small hand work' })
    table.must('set-zones', {
      layerId: table.layer,
      zones: [
        { id: 'a', name: 'sky', batchId: null },
        { id: 'b', name: 'sea', batchId: null },
      ],
    })
    table.must('set-roll-up', {
      layerId: table.layer,
      rollUp: { ...rollUpDefaults, zones: [{ zoneId: 'a', inkedShare: 0.3, wipedShare: 0.05 }] },
    })
    const [sky, sea] = inkNeed(table.edition, table.layer, [])
    expect(sky!.job).toMatchObject({ inkedShare: 0.3, wipedShare: 0.05 })
    expect(sea!.job.inkedShare).toBe(0.25)
    expect(sea!.guess.film).toBe(10)
    expect(sea!.guessed[0]).toBe('the image has no size yet')
  })

  it('finds the block of a layer by its name, its place, or because it is the only one', () => {
    const table = new PressTable({ method: 'several blocks' })
    const second = table.must('add-layer', { name: 'rust', blocks: [] })
    table.must('prepare-block', { block: block('one') })
    const layer = (id: string) => table.edition.layers.find((known) => known.id === id)!
    expect(blockOf(table.edition, layer(second))!.block.name).toBe('one')
    table.must('prepare-block', { block: block('two') })
    expect(blockOf(table.edition, layer(second))!.block.name).toBe('two')
    table.must('change-layer', { layerId: second, name: 'rust', blocks: ['one'], routine: '', stackOrder: 'pulled' })
    expect(blockOf(table.edition, layer(second))!.block.name).toBe('one')
  })
})
