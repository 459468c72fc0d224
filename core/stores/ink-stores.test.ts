import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { PressTable } from '../../tests/fixtures/press-table'
import { cardOf } from '../ink/draw-down'
import { starterInk } from '../ink/pigments'
import { type BatchState, scaleTolerance } from './batch/state'
import { type Poured, shares, weightOf } from '../ink/component'
import { pigmentOf } from '../ink/shelf'
import { emptyTub, type TubDescription, type TubState } from './tub/state'

const of = (name: string, milligrams: number, from: Partial<Poured> = {}): Poured => ({
  tubId: null,
  batchId: null,
  name,
  milligrams,
  ...from,
})
const batchOf = (table: PressTable, id = 'b1') => table.states.get(`batch:${id}`) as BatchState
const tubOf = (table: PressTable, id: string) => table.states.get(`tub:${id}`) as TubState

function code(table: PressTable, type: string, stream: string, data: unknown, role?: 'student' | 'member') {
  return table.submit({ type, stream, data }, role).refusal?.code
}

describe('an ink batch', () => {
  const mix = {
    name: 'slate 2',
    family: 'oil',
    colour: '#445566',
    components: [of('black', 9_000), of('base', 70_000), of('white', 21_000)],
  }

  it('knows its shares', () => {
    expect(shares(mix.components)).toEqual([0.09, 0.7, 0.21])
    expect(shares([])).toEqual([])
    expect(shares([{ milligrams: 0 }])).toEqual([0])
  })

  it('refuses weights that are none', () => {
    const table = new PressTable()
    expect(code(table, 'mix-batch', 'batch:b1', { ...mix, components: [] })).toBe('no-component')
    expect(code(table, 'mix-batch', 'batch:b1', { ...mix, components: [of('black', 0)] })).toBe('weight-range')
    expect(code(table, 'mix-batch', 'batch:b1', { ...mix, components: [of('black', -5)] })).toBe('weight-range')
    expect(code(table, 'mix-batch', 'batch:b1', { ...mix, name: '' })).toBe('name-missing')
    expect(code(table, 'draw-ink', 'batch:b1', { milligrams: 1, editionStream: '', layerId: null, note: '' })).toBe(
      'unknown-batch',
    )
  })

  it('never gives more than was mixed, whatever is drawn and reweighed', () => {
    const act = fc.record({ draw: fc.boolean(), milligrams: fc.integer({ min: 1, max: 120_000 }) })
    fc.assert(
      fc.property(fc.array(act, { maxLength: 25 }), (acts) => {
        const table = new PressTable()
        code(table, 'mix-batch', 'batch:b1', mix)
        let left = 100_000
        for (const { draw, milligrams } of acts) {
          const refused = draw
            ? code(table, 'draw-ink', 'batch:b1', { milligrams, editionStream: table.stream, layerId: null, note: '' })
            : code(table, 'reweigh-batch', 'batch:b1', { milligrams, reason: 'on the scale' })
          const possible = draw ? left > 0 && milligrams <= left + scaleTolerance : milligrams <= 100_000
          expect(refused === undefined).toBe(possible)
          if (possible) left = draw ? left - Math.min(left, milligrams) : milligrams
          expect(batchOf(table).left).toBe(left)
          expect(left).toBeGreaterThanOrEqual(0)
        }
      }),
    )
  })

  it('is named in the zones that use it, and each pull keeps it', () => {
    const table = new PressTable().tear(2)
    code(table, 'mix-batch', 'batch:b1', mix)
    expect(
      table.give('set-zones', { layerId: table.layer, zones: [{ id: 'a', name: 'sky', batchId: 'b2' }] }).refusal?.code,
    ).toBe('unknown-batch')
    table.must('set-zones', {
      layerId: table.layer,
      zones: [
        { id: 'a', name: 'sky', batchId: 'b1' },
        { id: 'b', name: 'sea', batchId: null },
      ],
    })
    expect(table.edition.layers[0]!.zones).toEqual([
      { id: 'a', name: 'sky', batchId: 'b1', batchName: 'slate 2' },
      { id: 'b', name: 'sea', batchId: null, batchName: '' },
    ])
    table.pull(1, { batchIds: ['b1'] })
    table.must('set-zones', { layerId: table.layer, zones: [{ id: 'a', name: 'sky', batchId: null }] })
    expect(table.edition.pulls[0]!.batchIds).toEqual(['b1'])
  })
})

const red: TubDescription = {
  name: 'warm red',
  maker: '',
  container: 'tub',
  family: 'oil',
  nature: 'pigment',
  density: 1.12,
  tinting: 1.1,
  price: 0.1,
  openedOn: null,
  condition: 'clean',
  limits: null,
  keptAt: '',
  card: cardOf(starterInk('warm red')!.pigment, '#f4f2ec', 8),
}
const base: TubDescription = { ...red, name: 'transparent base', nature: 'base', card: null }

/** A table with a tub of red and one of base. */
function stocked(): PressTable {
  const table = new PressTable()
  code(table, 'add-tub', 'tub:t1', { ...red, milligrams: 200_000 })
  code(table, 'add-tub', 'tub:t2', { ...base, milligrams: 400_000 })
  return table
}

describe('a tub', () => {
  it('falls as batches are mixed from it, and a pour beyond the book waits for the scale', () => {
    const table = stocked()
    code(table, 'mix-batch', 'batch:b1', {
      name: 'rust',
      family: 'oil',
      colour: '#94492f',
      components: [of('warm red', 150_000, { tubId: 't1' }), of('transparent base', 50_000, { tubId: 't2' })],
    })
    expect([tubOf(table, 't1').left, tubOf(table, 't2').left]).toEqual([50_000, 350_000])
    code(table, 'add-ink', 'batch:b1', { components: [of('warm red', 60_000, { tubId: 't1' })], why: 'changed' })
    expect(tubOf(table, 't1').left).toBe(-10_000)
    expect(code(table, 'weigh-tub', 'tub:t1', { milligrams: 4_000, reason: '' })).toBe('reason-missing')
    expect(code(table, 'weigh-tub', 'tub:t1', { milligrams: 4_000, reason: 'there was more in it' })).toBeUndefined()
    expect(tubOf(table, 't1')).toMatchObject({
      left: 4_000,
      weighings: [{ before: -10_000, after: 4_000, reason: 'there was more in it' }],
    })
  })

  it('refuses what cannot be, and says why', () => {
    const table = stocked()
    expect(code(table, 'add-tub', 'tub:t1', { ...red, milligrams: 1 })).toBe('already-there')
    expect(code(table, 'describe-tub', 'tub:t9', red)).toBe('unknown-tub')
    for (const odd of [{ name: ' ' }, { density: 0 }, { tinting: 0 }, { limits: { least: 5, most: 2 } }]) {
      expect(code(table, 'describe-tub', 'tub:t1', { ...red, ...odd }), JSON.stringify(odd)).toBe('tub-unfit')
    }
    expect(code(table, 'describe-tub', 'tub:t1', { ...red, condition: 'skinned' }, 'student')).toBe('not-allowed')
    expect(
      code(table, 'describe-tub', 'tub:t1', { ...red, condition: 'skinned', openedOn: '2026-11-20' }, 'member'),
    ).toBeUndefined()
    expect(tubOf(table, 't1')).toMatchObject({ condition: 'skinned', openedOn: '2026-11-20', left: 200_000 })
    expect(
      code(table, 'mix-batch', 'batch:b1', {
        name: 'rust',
        family: 'oil',
        colour: '#94492f',
        components: [of('gone', 10, { tubId: 't9' })],
      }),
    ).toBe('unknown-tub')
  })

  it('has its colour from the draw-down, from the starter set, or is clear, or unknown', () => {
    expect(pigmentOf(red)!.k[0]).toBeGreaterThan(0.05)
    expect(pigmentOf({ ...red, card: null })).toBe(starterInk('warm red')!.pigment)
    expect(Math.max(...pigmentOf({ ...base, name: 'our own base' })!.k)).toBeLessThan(0.001)
    expect(pigmentOf({ ...red, name: 'unnamed tin', card: null })).toBeNull()
    expect(emptyTub('tub:x').left).toBe(0)
  })
})

describe('from one day to the next', () => {
  const mixed = () => {
    const table = stocked()
    code(table, 'mix-batch', 'batch:b1', {
      name: 'rust',
      family: 'oil',
      colour: '#94492f',
      components: [of('warm red', 60_000, { tubId: 't1' }), of('transparent base', 40_000, { tubId: 't2' })],
    })
    return table
  }

  it('a left-over named twice is taken, and asked for, once', () => {
    const table = mixed()
    const twice = (milligrams: number) => ({
      name: 'sunset',
      family: 'oil',
      colour: '#94492f',
      components: [of('rust', milligrams, { batchId: 'b1' }), of('rust again', milligrams, { batchId: 'b1' })],
    })
    // Neither is more than there is; both together are.
    expect(code(table, 'mix-batch', 'batch:b2', twice(60_000))).toBe('not-enough')
    expect(code(table, 'mix-batch', 'batch:b2', twice(50_000))).toBeUndefined()
    expect(batchOf(table)).toMatchObject({ left: 0, draws: [{ milligrams: 100_000 }] })
    expect(batchOf(table, 'b2').mixed).toBe(100_000)
  })

  it('a left-over in two mixes is in each what it was when it was poured', () => {
    const table = mixed()
    const rest = (milligrams: number) => ({
      name: 'sunset',
      family: 'oil',
      colour: '#94492f',
      components: [of('rust', milligrams, { batchId: 'b1' })],
    })
    code(table, 'mix-batch', 'batch:b2', rest(20_000))
    code(table, 'add-ink', 'batch:b1', {
      components: [of('transparent base', 80_000, { tubId: 't2' })],
      why: 'changed',
    })
    code(table, 'see-draw-down', 'batch:b1', { ground: '#f4efe2', colour: '#c08060', thickness: 8 })
    code(table, 'mix-batch', 'batch:b3', rest(20_000))
    const held = (id: string) => batchOf(table, id).components[0]!.held!
    expect(held('b2').components.map(({ milligrams }) => milligrams)).toEqual([60_000, 40_000])
    expect(held('b2').drawDown).toBeNull()
    // 48 and 32 g were left of it, and 80 g of base came in.
    expect(held('b3').components.map(({ milligrams }) => milligrams)).toEqual([48_000, 112_000])
    expect(held('b3').drawDown).toMatchObject({ colour: '#c08060' })
  })

  it('what is kept, scraped off and loosened is in the book', () => {
    const table = mixed()
    code(table, 'draw-ink', 'batch:b1', { milligrams: 30_000, editionStream: table.stream, layerId: null, note: '' })
    expect(code(table, 'keep-batch', 'batch:b1', { milligrams: 69_000, scraped: 2_000, how: 'wrapped' })).toBe(
      'more-than-left',
    )
    expect(
      code(table, 'keep-batch', 'batch:b1', { milligrams: 60_000, scraped: 2_000, how: 'wrapped' }),
    ).toBeUndefined()
    expect(batchOf(table)).toMatchObject({ left: 60_000, scraped: 2_000, keepings: [{ left: 60_000, how: 'wrapped' }] })
    code(table, 'add-ink', 'batch:b1', { components: [of('light oil', 1_200)], why: 'loosened' })
    expect(batchOf(table)).toMatchObject({
      left: 61_200,
      mixed: 101_200,
      additions: [{ milligrams: 1_200, why: 'loosened' }],
    })
    // What was used took its share of each along: 60 : 40 of the 60 g that were left.
    expect(batchOf(table).components.map((component) => component.milligrams)).toEqual([36_000, 24_000, 1_200])
  })

  it('a left-over is poured into a new batch and is gone from the old', () => {
    const table = mixed()
    expect(
      code(table, 'mix-batch', 'batch:b2', {
        name: 'rust 2',
        family: 'oil',
        colour: '#94492f',
        components: [of('rust', 110_000, { batchId: 'b1' })],
      }),
    ).toBe('not-enough')
    expect(
      code(table, 'mix-batch', 'batch:b2', {
        name: 'rust 2',
        family: 'oil',
        colour: '#94492f',
        components: [of('rust', 100_050, { batchId: 'b1' }), of('warm red', 20_000, { tubId: 't1' })],
      }),
    ).toBeUndefined()
    expect(batchOf(table).left).toBe(0)
    expect(batchOf(table, 'b2').mixed).toBe(120_050)
    expect(
      code(table, 'add-ink', 'batch:b2', { components: [of('rust 2', 10, { batchId: 'b2' })], why: 'top-up' }),
    ).toBe('unknown-batch')
    expect(code(table, 'draw-ink', 'batch:b1', { milligrams: 50, editionStream: '', layerId: null, note: '' })).toBe(
      'not-enough',
    )
  })

  it('a draw-down corrects the swatch, and a run its film', () => {
    const table = mixed()
    expect(code(table, 'see-draw-down', 'batch:b1', { ground: '#efe3c4', colour: '#8a4531', thickness: 0 })).toBe(
      'thickness-range',
    )
    expect(
      code(table, 'see-draw-down', 'batch:b1', { ground: '#efe3c4', colour: '#8a4531', thickness: 8 }),
    ).toBeUndefined()
    expect(batchOf(table)).toMatchObject({ colour: '#8a4531', drawDown: { thickness: 8 } })
    const run = { editionStream: table.stream, layerId: table.layer, milligrams: 9_000, area: 900_000, film: 7.5 }
    expect(code(table, 'weigh-run', 'batch:b1', { ...run, area: 0 })).toBe('nothing-printed')
    expect(code(table, 'weigh-run', 'batch:b1', run)).toBeUndefined()
    expect(batchOf(table).runs).toEqual([{ ...run, at: expect.any(String), position: expect.any(Number) }])
  })

  it('no gram is made or lost over any mixing, topping up, drawing and keeping', () => {
    const amount = fc.integer({ min: 1, max: 60_000 })
    const act = fc.record({
      what: fc.constantFrom('mix', 'add', 'draw', 'keep', 'over'),
      on: fc.constantFrom('b1', 'b2', 'b3'),
      from: fc.constantFrom('b1', 'b2', 'b3'),
      a: amount,
      b: amount,
    })
    fc.assert(
      fc.property(fc.array(act, { maxLength: 40 }), (acts) => {
        const table = stocked()
        for (const { what, on, from, a, b } of acts) {
          if (what === 'mix')
            code(table, 'mix-batch', `batch:${on}`, {
              name: on,
              family: 'oil',
              colour: '#94492f',
              components: [of('warm red', a, { tubId: 't1' }), of('transparent base', b, { tubId: 't2' })],
            })
          if (what === 'add')
            code(table, 'add-ink', `batch:${on}`, { components: [of('warm red', a, { tubId: 't1' })], why: 'top-up' })
          if (what === 'over')
            code(table, 'add-ink', `batch:${on}`, {
              components: [
                of(from, Math.min(a, (table.states.get(`batch:${from}`) as BatchState | undefined)?.left ?? a), {
                  batchId: from,
                }),
              ],
              why: 'top-up',
            })
          if (what === 'draw')
            code(table, 'draw-ink', `batch:${on}`, {
              milligrams: a,
              editionStream: table.stream,
              layerId: null,
              note: '',
            })
          if (what === 'keep')
            code(table, 'keep-batch', `batch:${on}`, {
              milligrams: Math.max(
                0,
                ((table.states.get(`batch:${on}`) as BatchState | undefined)?.left ?? 0) - Math.min(b, 500),
              ),
              scraped: 0,
              how: '',
            })
        }
        const batches = ['b1', 'b2', 'b3']
          .map((id) => table.states.get(`batch:${id}`) as BatchState | undefined)
          .filter((batch) => batch !== undefined)
        const taken = 600_000 - tubOf(table, 't1').left - tubOf(table, 't2').left
        const poured = table.events
          .filter((event) => event.type === 'ink-drawn' && (event.data as { note: string }).note.startsWith('into'))
          .reduce((sum, event) => sum + (event.data as { milligrams: number }).milligrams, 0)
        expect(batches.reduce((sum, batch) => sum + batch.mixed, 0)).toBe(taken + poured)
        for (const batch of batches) {
          const drawn = weightOf(batch.draws)
          const used = batch.mixed - drawn - batch.scraped - batch.left
          expect(batch.left).toBeGreaterThanOrEqual(0)
          expect(used).toBeGreaterThanOrEqual(0)
          expect(used === 0 || batch.keepings.length > 0).toBe(true)
        }
      }),
    )
  })
})

describe('rollers', () => {
  it('are kept with the studio, changed and retired', () => {
    const table = new PressTable()
    const roller = { id: 'r1', name: 'large soft', width: 260, diameter: 80 }
    expect(code(table, 'set-roller', 'studio', { ...roller, name: '' })).toBe('name-missing')
    expect(code(table, 'set-roller', 'studio', { ...roller, width: 0 })).toBe('roller-range')
    code(table, 'set-roller', 'studio', roller)
    code(table, 'set-roller', 'studio', { ...roller, width: 250 })
    expect(table.states.get('studio')).toMatchObject({ rollers: [{ ...roller, width: 250 }] })
    expect(code(table, 'retire-roller', 'studio', { id: 'r9' })).toBe('unknown-roller')
    code(table, 'retire-roller', 'studio', { id: 'r1' })
    expect(table.states.get('studio')).toMatchObject({ rollers: [] })
  })
})
