import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { type BlendPlan, choresDue, rollUpDefaults, routineWords } from '../ink/roll-up'

const rollUp = (table: PressTable, more: Partial<typeof rollUpDefaults> = {}) =>
  table.give('set-roll-up', { layerId: table.layer, rollUp: { ...rollUpDefaults, ...more } }).refusal?.code
const block = {
  name: 'key block',
  kind: 'hard lino' as const,
  width: 240,
  height: 160,
  thickness: 4.8,
  image: { left: 5, top: 5, width: 230, height: 150 },
  rotation: 0,
  removed: '',
  transfer: 'carbon copy' as const,
  note: '',
}
const blend: BlendPlan = {
  stripes: [
    { batchId: 'b1', at: 0.2 },
    { batchId: 'b2', at: 0.8 },
  ],
  blend: 0.3,
  widening: 0.01,
  freshAfter: 12,
  avoid: 'green',
  severalDirections: false,
  thickness: 8,
}

describe('the roll-up routine', () => {
  it('belongs to a layer and says what to repeat', () => {
    const table = new PressTable()
    expect(
      rollUp(table, { wiping: 'the rail', zones: [{ zoneId: 'whole', inkedShare: 0.4, wipedShare: 0 }] }),
    ).toBeUndefined()
    expect(table.edition.layers[0]!.rollUp).toMatchObject({ wiping: 'the rail', charges: 2 })
    expect(routineWords(table.edition.layers[0]!.rollUp!)).toBe(
      '2 charges, 2 passes each, crosswise, then lengthwise, wipe the rail',
    )
    expect(
      routineWords({
        ...rollUpDefaults,
        charges: 1,
        passes: 1,
        directions: '',
        masks: 'the sky',
        dabbing: 'the sun',
        touching: 'the lamp',
      }),
    ).toBe('1 charge, 1 pass each, mask the sky, dab off the sun, touch in the lamp')
    expect(table.give('set-roll-up', { layerId: 'none', rollUp: rollUpDefaults }).refusal?.code).toBe('unknown-layer')
  })

  it('refuses what cannot be done', () => {
    const table = new PressTable()
    expect(rollUp(table, { passes: 0 })).toBe('roll-up-unfit')
    expect(rollUp(table, { slabArea: -1 })).toBe('roll-up-unfit')
    expect(rollUp(table, { chores: [{ every: 0, what: 'wipe the rim' }] })).toBe('roll-up-unfit')
    expect(rollUp(table, { zones: [{ zoneId: 'gone', inkedShare: 0.2, wipedShare: 0 }] })).toBe('unknown-zone')
    for (const inkedShare of [1.2, -0.1])
      expect(rollUp(table, { zones: [{ zoneId: 'whole', inkedShare, wipedShare: 0 }] })).toBe('roll-up-unfit')
    table.must('set-zones', {
      layerId: table.layer,
      zones: [
        { id: 'a', name: 'sky', batchId: null },
        { id: 'b', name: 'sea', batchId: null },
      ],
    })
    expect(
      rollUp(table, {
        zones: [
          { zoneId: 'a', inkedShare: 0.7, wipedShare: 0 },
          { zoneId: 'b', inkedShare: 0.6, wipedShare: 0 },
        ],
      }),
    ).toBe('roll-up-unfit')
  })

  it('chores come up every so many pulls, and not before the first', () => {
    const chores = [
      { every: 5, what: 'clear the rim' },
      { every: 2, what: 'wipe the mask' },
    ]
    expect(choresDue(chores, 0)).toEqual([])
    expect(choresDue(chores, 4).map((chore) => chore.what)).toEqual(['wipe the mask'])
    expect(choresDue(chores, 10)).toHaveLength(2)
    expect(choresDue(chores, 7)).toEqual([])
  })
})

describe('what a block and its layers are to look like', () => {
  it('keeps the inked share with the block, and how it was read', () => {
    const table = new PressTable()
    const blockId = table.prepareBlock(block)
    const reading = { pictureId: 'p', threshold: 120, lightInked: false, masked: [] }
    table.must('set-inked-share', { blockId, share: 0.42, reading })
    expect(table.edition.blocks[0]!.inkedShare).toEqual({ share: 0.42, reading })
    expect(table.give('set-inked-share', { blockId: 'none', share: 0.4, reading: null }).refusal?.code).toBe(
      'unknown-block',
    )
    expect(table.give('set-inked-share', { blockId, share: 1.4, reading: null }).refusal?.code).toBe('share-range')
  })

  it('keeps the order of the layers and the wishes for their overlaps', () => {
    const table = new PressTable()
    const second = table.must('add-layer', { name: 'rust', blocks: [] })
    const layers = [
      { layerId: second, batchId: null, thickness: 8 },
      { layerId: table.layer, batchId: 'b1', thickness: 6 },
    ]
    const wish = { layers: [second, table.layer], keep: 'layer' as const, colour: null, layerId: second }
    table.must('plan-overprint', { overprint: { paper: '#efe3c4', layers, wishes: [wish] } })
    expect(table.edition.overprint).toMatchObject({ layers, wishes: [wish] })
    const give = (more: object) =>
      table.give('plan-overprint', { overprint: { paper: '#efe3c4', layers, wishes: [wish], ...more } }).refusal?.code
    const zones = [
      { layerId: second, batchId: 'b1', thickness: 8 },
      { layerId: second, batchId: 'b2', thickness: 8 },
    ]
    expect(
      give({ layers: zones, wishes: [{ ...wish, layers: [`${second} b1`], layerId: `${second} b2` }] }),
    ).toBeUndefined()
    expect(give({ layers: zones, wishes: [{ ...wish, layers: [`${second} b3`], layerId: second }] })).toBe('wish-unfit')
    expect(give({ layers: [{ layerId: 'gone', batchId: null, thickness: 8 }] })).toBe('unknown-layer')
    expect(give({ layers: layers.map((layer) => ({ ...layer, thickness: 0 })) })).toBe('thickness-range')
    expect(give({ layers: Array(8).fill(layers[0]) })).toBe('too-many-layers')
    expect(give({ wishes: [{ ...wish, layers: [] }] })).toBe('wish-unfit')
    expect(give({ wishes: [{ ...wish, layerId: 'gone' }] })).toBe('wish-unfit')
    expect(give({ wishes: [{ ...wish, keep: 'colour' }] })).toBe('wish-unfit')
  })

  it('keeps a blended roll, and takes it away again', () => {
    const table = new PressTable()
    table.must('plan-blend', { layerId: table.layer, blend })
    expect(table.edition.layers[0]!.blend).toEqual(blend)
    const give = (more: Partial<BlendPlan>) =>
      table.give('plan-blend', { layerId: table.layer, blend: { ...blend, ...more } }).refusal?.code
    expect(give({ stripes: blend.stripes.slice(0, 1) })).toBe('blend-unfit')
    expect(give({ stripes: [...blend.stripes].reverse() })).toBe('blend-unfit')
    expect(give({ blend: 1.5 })).toBe('blend-unfit')
    expect(give({ thickness: 0 })).toBe('blend-unfit')
    table.must('plan-blend', { layerId: table.layer, blend: null })
    expect(table.edition.layers[0]!.blend).toBeNull()
    expect(table.give('plan-blend', { layerId: 'gone', blend }).refusal?.code).toBe('unknown-layer')
  })
})
