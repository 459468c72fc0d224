import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { rollUpDefaults } from '../ink/roll-up'
import { noRecord } from '../plan/shop-record'
import { blockOf, type InkKnown, inkNeed, pullsToCome } from './ink-need'
import { sheetsToStart } from './sheets-to-start'

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

const known: InkKnown = { runs: [], density: new Map(), record: noRecord, confidence: 0.9 }
const come = (table: PressTable, layerId = table.layer) => pullsToCome(table.edition, layerId, known)

describe('pulls a layer still takes', () => {
  it('are the sheets to start before any is torn, then the sheets that lack it', () => {
    const table = new PressTable({ start: 12 })
    expect(come(table)).toEqual({ sheets: 12, warmUps: 2, proofs: 4 })
    table.tear(6)
    expect(come(table).sheets).toBe(6)
    table.pull(1)
    table.pull(2)
    expect(come(table)).toEqual({ sheets: 4, warmUps: 1, proofs: 0 })
    for (const sheet of [3, 4, 5, 6]) table.pull(sheet)
    expect(come(table)).toEqual({ sheets: 0, warmUps: 0, proofs: 0 })
  })

  it('without a number to start from are those the room’s confidence asks for', () => {
    const table = new PressTable({ start: null, size: 20, proofs: { AP: 2, PP: 0, HC: 0 } })
    const asked = sheetsToStart(table.edition.plan!, 1, noRecord, null, 0.9).sheets!
    expect(asked).toBeGreaterThan(22)
    expect(come(table).sheets).toBe(asked)
    expect(come(table, 'none')).toEqual({ sheets: 0, warmUps: 0, proofs: 0 })
  })

  it('are those that will reach it, not all that are alive', () => {
    const table = new PressTable({ size: 20, method: 'reduction', layersPlanned: 3, layering: 'ahead' }).tear(40)
    const third = table.edition.layers[2]!.id
    // 40 sheets, two proofs of the second layer and two of the third, 92 % pass each layer.
    const p = 23 / 25
    const square = (p * 24) / 26
    expect(come(table, third).sheets).toBe(Math.round(40 * square - 2 * p - 2))
    expect(come(table, third).sheets).toBeLessThan(come(table).sheets)
  })
})

describe('ink for a layer', () => {
  it('is reckoned from its block, its share, its roller and its sessions, and says what is guessed', () => {
    const table = new PressTable({ start: 34 })
    const blockId = table.prepareBlock(block('key block'))
    expect(inkNeed(table.edition, table.layer, known)[0]!.guessed).toEqual([
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
    const [need] = inkNeed(table.edition, table.layer, { ...known, density: new Map([['whole', 1.1]]) })
    expect(need!.guessed).toEqual(['a film of 8 µm'])
    expect(need!.job).toMatchObject({ blockArea: 60_000, inkedShare: 0.6, impressions: 40, sessions: 2 })
    expect(need!.amount.prints).toBeCloseTo(40 * 0.3168, 9)
    expect(need!.amount.total).toBeCloseTo((need!.amount.prints + need!.amount.held) * 1.1, 9)
    const measured = inkNeed(table.edition, table.layer, {
      ...known,
      runs: [{ editionStream: '', layerId: '', milligrams: 0, area: 3_000_000, film: 6 }],
      density: new Map([['whole', 1.1]]),
    })[0]!
    expect(measured.guess.film).toBeCloseTo(6.5, 12)
    expect(measured.guessed).toEqual([])
    expect(inkNeed(table.edition, 'none', known)).toEqual([])
    // The film may be thinner or thicker; what roller and slab hold is what it is.
    const { amount } = need!
    const held = amount.held * 1.1
    expect(need!.least - held).toBeCloseTo(((amount.total - held) * 5) / 8, 9)
    expect(need!.most - held).toBeCloseTo(((amount.total - held) * 15) / 8, 9)
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
    const [sky, sea] = inkNeed(table.edition, table.layer, known)
    expect(sky!.job).toMatchObject({ inkedShare: 0.3, wipedShare: 0.05 })
    expect(sea!.job.inkedShare).toBe(0.25)
    expect(sea!.guess.film).toBe(10)
    expect(sea!.guessed[0]).toBe('the image has no size yet')
  })

  it('finds the block of a layer by its name, its place, or because it is the only one', () => {
    const table = new PressTable({ method: 'several blocks' })
    const second = table.must('add-layer', { name: 'rust', blocks: [] })
    table.prepareBlock(block('one'))
    const layer = (id: string) => table.edition.layers.find((known) => known.id === id)!
    expect(blockOf(table.edition, layer(second))!.block.name).toBe('one')
    table.prepareBlock(block('two'))
    expect(blockOf(table.edition, layer(second))!.block.name).toBe('two')
    table.must('change-layer', { layerId: second, name: 'rust', blocks: ['one'], routine: '', stackOrder: 'pulled' })
    expect(blockOf(table.edition, layer(second))!.block.name).toBe('one')
  })
})
