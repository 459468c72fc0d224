import { demoDay } from './days'
import { hexOf } from '#core/ink/colour'
import { cardOf } from '#core/ink/draw-down'
import { film } from '#core/ink/kubelka-munk'
import { starterInks } from '#core/ink/pigments'
import { reflectanceOf } from '#core/ink/reconstruct'
import type { Roller } from '#core/ink/roller'
import { mixFrom } from '#core/ink/shelf'
import { lotDefaults } from '#core/stores/lot/defaults'
import type { LotDescription } from '#core/stores/lot/state'
import type { TubDescription } from '#core/stores/tub/state'
import type { DrawerPiece } from '#core/press/drawer'
import { pressed } from '#core/press/drawer'
import type { Packing } from '#core/press/stack'
import { type PressDescription, pressDefaults } from '#core/stores/press/state'
import type { DemoLot, DemoPress, Desk } from './desk'

const day = 24 * 60 * 60_000

/** What lies in the packing drawer. */
export const drawer: DrawerPiece[] = [
  { id: 'newsprint', name: 'newsprint', kind: 'sheet', thickness: 0.1, squeezed: null, count: 60, length: null },
  { id: 'press-card', name: 'press card', kind: 'card', thickness: 0.6, squeezed: null, count: 6, length: null },
  { id: 'thin-card', name: 'thin card', kind: 'card', thickness: 0.25, squeezed: null, count: 8, length: null },
  { id: 'film', name: 'polyester film', kind: 'film', thickness: 0.12, squeezed: null, count: 4, length: null },
  { id: 'felt', name: 'felt', kind: 'felt', thickness: 3, squeezed: 2.4, count: 3, length: null },
  { id: 'blanket', name: 'rubber blanket', kind: 'blanket', thickness: 1.9, squeezed: 1.7, count: 1, length: null },
  { id: 'board', name: 'hardboard', kind: 'board', thickness: 3.2, squeezed: null, count: 2, length: null },
]

const laid = (id: string, count = 1): Packing => {
  const piece = drawer.find((known) => known.id === id)!
  return { name: piece.name, thickness: pressed(piece), pieceId: id, count }
}

/** Felt over card over newsprint, as the room packs a press. */
export const packing: Packing[] = [laid('newsprint'), laid('press-card'), laid('felt')]
export const underLever: Packing[] = [laid('newsprint'), laid('thin-card', 2), laid('press-card')]
export const underHand: Packing[] = [{ name: 'cover sheet', thickness: 0.05, pieceId: null, count: 1 }]

/** The hand rollers of the room. */
export const rollers: Roller[] = [
  { id: 'roller-small', name: 'small hard', width: 60, diameter: 38 },
  { id: 'roller-middle', name: 'middle soft', width: 150, diameter: 50 },
  { id: 'roller-large', name: 'large soft', width: 260, diameter: 80 },
]

export interface Stores {
  laid: DemoLot
  kozo: DemoLot
  board: DemoLot
  newsprint: DemoLot
  black: string
  slate: string
  ochre: string
  rust: string
  tide: string
  dusk: string
  long: DemoPress
  platen: DemoPress
  table: DemoPress
}

/** The stock of an invented pressroom in a former rope works. */
export async function stock(desk: Desk, manager: string): Promise<Stores> {
  const at = desk.now - 40 * day
  const put = async (kind: string, type: string, data: object) => {
    const id = desk.newId(at)
    await desk.give(manager, `${kind}:${id}`, type, data, at)
    return id
  }
  const lot = async (
    name: string,
    maker: string,
    weight: number,
    price: number,
    sheets: number,
    more: Partial<LotDescription> = {},
  ): Promise<DemoLot> => {
    const description: LotDescription = { ...lotDefaults, name, maker, width: 760, height: 560, weight, price, ...more }
    return { ...description, id: await put('lot', 'add-lot', { ...description, sheets }) }
  }
  const tubs = new Map<string, string>()
  for (const [i, { name, nature, density, tinting, pigment }] of starterInks.entries()) {
    const description: TubDescription = {
      name,
      maker: i % 3 === 0 ? 'Capstan Colour' : 'Tarred Twine Inks',
      container: nature === 'oil' || nature === 'drier' ? 'bottle' : i % 4 === 1 ? 'tube' : 'tub',
      family: 'oil',
      nature,
      density,
      tinting,
      price: nature === 'pigment' ? 0.11 + 0.01 * (i % 5) : 0.06,
      openedOn: i % 4 === 3 ? null : demoDay(at - i * day),
      condition: name === 'earth red' ? 'skinned' : 'clean',
      limits: nature === 'drier' ? { least: 1, most: 4 } : nature === 'oil' ? { least: 0, most: 6 } : null,
      keptAt: nature === 'pigment' ? 'colour shelf' : 'by the slab',
      card:
        nature === 'pigment' || nature === 'white' ? cardOf(pigment, '#f4f2ec', name === 'bone black' ? 1 : 8) : null,
    }
    tubs.set(
      name,
      await put('tub', 'add-tub', {
        ...description,
        milligrams: (nature === 'pigment' ? 220 + 30 * (i % 7) : 400) * 1000,
      }),
    )
  }
  const shelf = {
    tubs: new Map(starterInks.map((ink) => [ink.name, { ...ink, card: null, family: 'oil' as const, limits: null }])),
    batches: new Map(),
  }
  const batch = (name: string, components: [string, number][]) => {
    const weighed = components.map(([ink, grams]) => ({
      tubId: tubs.get(ink)!,
      batchId: null,
      name: ink,
      milligrams: grams * 1000,
    }))
    return put('batch', 'mix-batch', {
      name,
      family: 'oil',
      colour: hexOf(film(reflectanceOf('#f4efe2'), mixFrom(weighed, shelf)!.pigment, 8)),
      components: weighed,
    })
  }
  return {
    laid: await lot('cream laid', 'Oakum Vale Mill', 200, 4.6, 120, {
      grain: 'width',
      betterSide: 'felt side, watermark reads right',
      deckles: { left: false, right: false, top: true, bottom: true },
      keptAt: 'drawer 2',
    }),
    kozo: await lot('white kozo', 'Saltmarsh Papers', 70, 3.9, 20, {
      width: 970,
      height: 640,
      grain: 'width',
      betterSide: 'smooth side',
      keptAt: 'drawer 3',
    }),
    board: await lot('heavy rag', 'Oakum Vale Mill', 300, 7.2, 40, { grain: 'height', damp: true, keptAt: 'drawer 4' }),
    newsprint: await lot('newsprint', 'Dockside Paper', 55, 0.12, 400, {
      use: 'proof',
      width: 650,
      height: 500,
      keptAt: 'under the long press',
    }),
    black: await batch('capstan black', [
      ['bone black', 180],
      ['light oil', 6],
    ]),
    slate: await batch('slate 2', [
      ['transparent base', 70],
      ['bone black', 9],
      ['deep blue', 14],
      ['hiding white', 22],
    ]),
    ochre: await batch('sand ochre', [
      ['transparent base', 60],
      ['earth yellow', 24],
      ['hiding white', 6],
    ]),
    rust: await batch('bollard rust', [
      ['earth red', 40],
      ['transparent base', 30],
      ['orange', 8],
    ]),
    tide: await batch('tide blue, clear', [
      ['transparent base', 46],
      ['clear blue', 5],
      ['green', 2],
    ]),
    dusk: await batch('dusk rose', [
      ['transparent base', 30],
      ['rose', 6],
      ['hiding white', 8],
    ]),
    ...(await presses(desk, manager, at)),
  }
}

/** Presses, their zeros and what an hour costs, and the packing drawer. */
async function presses(desk: Desk, manager: string, at: number): Promise<Pick<Stores, 'long' | 'platen' | 'table'>> {
  for (const piece of drawer) await desk.give(manager, 'studio', 'set-packing', piece, at)
  const add = async (description: PressDescription, hour: number, zero = 0): Promise<DemoPress> => {
    const id = desk.newId(at)
    const from = demoDay(at)
    await desk.give(manager, `press:${id}`, 'add-press', description, at)
    await desk.give(manager, `press:${id}`, 'rate-press', { from, hour }, at)
    return { ...description, id, zero }
  }
  const long = await add(
    {
      ...pressDefaults,
      name: 'Long press',
      kind: 'roller bed',
      divisions: 16,
      pitch: 2.54,
      travel: 14,
      span: 640,
      backlash: 0.5,
      bed: { width: 560, height: 1100 },
      condition: 'left screw stiff in the cold',
    },
    6,
    0.1,
  )
  await desk.give(
    manager,
    `press:${long.id}`,
    'find-zero',
    { on: [{ name: 'newsprint', thickness: 0.1 }], left: 3, right: 5, note: 'both ends just held the sheet' },
    at,
  )
  await add(
    {
      ...pressDefaults,
      name: 'Rimmed board',
      kind: 'rimmed board',
      divisions: 0,
      height: 8,
      bed: { width: 340, height: 460 },
    },
    0,
  )
  return {
    long,
    platen: await add(
      {
        ...pressDefaults,
        name: 'Small platen',
        kind: 'platen',
        divisions: 0,
        bed: { width: 300, height: 400 },
        users: 'members',
        condition: 'lever greased this month',
      },
      4,
    ),
    table: await add(
      {
        ...pressDefaults,
        name: 'Hand table 2',
        kind: 'by hand',
        divisions: 0,
        tools: 'two barens, wooden spoons, a hard roller',
      },
      0,
    ),
  }
}
