import { hexOf } from '#core/ink/colour'
import { cardOf } from '#core/ink/draw-down'
import { film } from '#core/ink/kubelka-munk'
import { starterInks } from '#core/ink/pigments'
import { reflectanceOf } from '#core/ink/reconstruct'
import { rollUpDefaults } from '#core/ink/roll-up'
import type { Roller } from '#core/ink/roller'
import { type EditionPlan, planDefaults } from '#core/plan/plan'
import { type LotDescription, lotDefaults } from '#core/stores/lot/state'
import { mixFrom } from '#core/ink/shelf'
import type { TubDescription } from '#core/stores/tub/state'
import { studioDefaults } from '#core/stores/studio/state'
import { netLoftFirst, netLoftSecond, netLoftThird } from './block-pictures'
import { type DemoLot, type Desk, EditionInHand, upTo } from './desk'

const day = 24 * 60 * 60_000
const hour = 60 * 60_000

const packing = [
  { name: 'newsprint', thickness: 0.1 },
  { name: 'press card', thickness: 0.6 },
  { name: 'felt', thickness: 2.4 },
]

/** The hand rollers of the room. */
const rollers: Roller[] = [
  { id: 'roller-small', name: 'small hard', width: 60, diameter: 38 },
  { id: 'roller-middle', name: 'middle soft', width: 150, diameter: 50 },
  { id: 'roller-large', name: 'large soft', width: 260, diameter: 80 },
]

interface Stores {
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
  long: string
  platen: string
  table: string
}

/** The stock of an invented pressroom in a former rope works. */
async function stock(desk: Desk, manager: string): Promise<Stores> {
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
      openedOn: i % 4 === 3 ? null : new Date(at - i * day).toISOString().slice(0, 10),
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
    long: await put('press', 'add-press', { name: 'Long press', kind: 'roller bed', divisions: 12 }),
    platen: await put('press', 'add-press', { name: 'Small platen', kind: 'platen', divisions: 0 }),
    table: await put('press', 'add-press', { name: 'Hand table 2', kind: 'by hand', divisions: 0 }),
  }
}

function plan(artist: string, size: number, more: Partial<EditionPlan> = {}): EditionPlan {
  return {
    ...planDefaults,
    method: 'single',
    size,
    sizeSchool: 'declared',
    orderSchool: 'curated',
    proofs: { AP: 2, PP: 0, HC: 0 },
    line: 'number-title-signature',
    year: null,
    numerals: 'roman',
    artist,
    due: null,
    ...more,
  }
}

/** Curate every sheet good but those named, number the first, and sign as many as wanted. */
async function finish(
  edition: EditionInHand,
  good: number[],
  doubtful: number[],
  size: number,
  proofs: number,
  sign: number,
): Promise<void> {
  for (const sheetId of good) await edition.wait(0.3).give('curate', { sheetId, verdict: 'good', reason: '' })
  for (const sheetId of doubtful)
    await edition.wait(0.3).give('curate', { sheetId, verdict: 'reject', reason: 'weaker beside the BAT' })
  const numbered = good.slice(0, size)
  await edition.wait(5).give('give-numbers', {
    series: 'edition',
    size,
    assignments: numbered.map((sheetId, i) => ({ sheetId, number: i + 1 })),
  })
  const rest = good.slice(size, size + proofs)
  if (rest.length > 0)
    await edition.give('give-numbers', {
      series: 'AP',
      size: proofs,
      assignments: rest.map((sheetId, i) => ({ sheetId, number: i + 1 })),
    })
  for (const sheetId of [...numbered, ...rest].slice(0, sign)) await edition.wait(0.5).give('sign', { sheetId })
}

/** A finished, signed and closed edition. */
async function bakeryDoor(desk: Desk, by: string, stores: Stores): Promise<void> {
  const edition = await new EditionInHand(desk, by, desk.now - 30 * day).start(
    { title: 'Bakery Door', plan: plan('Ansa Quill', 20, { year: new Date(desk.now).getUTCFullYear() }) },
    'black',
  )
  await edition.ink(0, stores.black)
  await edition.press(0, stores.long, 1, 4, packing)
  await edition.sheet(stores.laid, { width: 230, height: 160 }, 32)
  await edition.block('key block', 'hard lino', 23.3)
  await edition.tear(stores.laid, 7, 28)
  await edition.prove(0, 1, 3)
  await edition.run(0, upTo(1, 26), { 5: 'd salt', 8: '+', 15: 'r slur', 19: 'b', 24: 'p' }, 3)
  await edition.wait(3 * 24 * 60).dry(0, upTo(1, 26))
  await finish(
    edition,
    upTo(1, 26).filter((id) => id !== 5 && id !== 15),
    [5],
    20,
    2,
    22,
  )
  await edition
    .wait(60)
    .give('close', { note: 'Block cancelled with a scored line; one cancellation proof kept in the drawer.' })
}

/** A photopolymer print, all pulled and dry, waiting to be curated before its colouring. */
async function tinRoofs(desk: Desk, by: string, stores: Stores): Promise<void> {
  const edition = await new EditionInHand(desk, by, desk.now - 6 * day).start(
    { title: 'Tin Roofs', plan: plan('Merle Tarn', 15, { sizeSchool: 'counted', colouring: true }) },
    'key black',
  )
  await edition.ink(0, stores.black)
  await edition.press(0, stores.platen, 0, 0, packing)
  await edition.sheet(stores.board, { width: 200, height: 150 }, 30)
  const plate = await edition.block('plate', 'photopolymer', 1.5, {
    transfer: 'film',
    note: 'on a 20 mm mount for the platen',
  })
  await edition.give('find-exposure', {
    blockId: plate,
    exposure: {
      steps: [30, 42, 60, 85, 120],
      firstHolding: 2,
      exposure: 60,
      washOut: 240,
      hardening: 300,
      note: 'lamp 1, film emulsion down',
    },
  })
  await edition.tear(stores.board, 6, 22)
  await edition.prove(0, 2, 2)
  await edition.run(0, upTo(1, 22), { 7: 'd hickey', 12: 'r fill', 20: 'd pale' }, 4)
  await edition.wait(2 * 24 * 60).dry(
    0,
    upTo(1, 22).filter((id) => id !== 12),
  )
}

/** A declared edition half signed. */
async function tideTable(desk: Desk, by: string, stores: Stores): Promise<void> {
  const edition = await new EditionInHand(desk, by, desk.now - 12 * day).start(
    { title: 'Tide Table', plan: plan('Oona Vell', 12, { proofs: { AP: 1, PP: 1, HC: 0 } }) },
    'rust',
  )
  await edition.ink(0, stores.rust)
  await edition.press(0, stores.long, 1, 2, packing)
  await edition.sheet(stores.kozo, { width: 240, height: 180 }, 35)
  await edition.block('key block', 'soft-cut lino', 4.8, { transfer: 'toner face down' })
  await edition.tear(stores.kozo, 4, 16)
  await edition.prove(0, 1, 2)
  await edition.run(0, upTo(1, 16), { 6: 'r crease', 11: '+' }, 3)
  await edition.wait(3 * 24 * 60).dry(0, upTo(1, 16))
  await finish(
    edition,
    upTo(1, 16).filter((id) => id !== 6),
    [],
    12,
    1,
    7,
  )
}

/** A four-layer reduction whose third layer is nearly through: the point of no return. */
async function netLoftStairs(desk: Desk, by: string, stores: Stores): Promise<void> {
  const edition = await new EditionInHand(desk, by, desk.now - 16 * day).start(
    {
      title: 'Net Loft Stairs',
      plan: plan('Ansa Quill', 20, {
        method: 'reduction',
        layersPlanned: 4,
        start: 40,
        confidence: 0.8,
        rates: { inkGram: 0.09, pressHour: 6, labourHour: 0, minutesPerPull: 5 },
        due: new Date(desk.now + 19 * day).toISOString().slice(0, 10),
      }),
    },
    'sand',
  )
  await edition.addLayer('rust')
  await edition.addLayer('slate blue', 'charge, pass, charge, pass, wipe the rail')
  await edition.addLayer('black')
  await edition.ink(0, stores.ochre)
  await edition.ink(1, stores.rust)
  await edition.ink(2, stores.slate)
  for (const layer of [0, 1, 2]) await edition.press(layer, stores.long, 1, 3 + layer, packing)
  await edition.sheet(stores.laid, { width: 240, height: 165 }, 30)
  const block = await edition.block('the block', 'hard lino', 23.3, {
    rotation: 0.6,
    removed: 'sky left of the stairs sawn off',
  })
  const cutOn = (days: number) => new Date(desk.now - days * day).toISOString().slice(0, 10)
  await edition.give('record-block-state', {
    blockId: block,
    name: 'first state, window cleared',
    cutOn: cutOn(17),
    note: '',
    pictureId: await desk.picture(netLoftFirst),
  })
  await edition.tear(stores.laid, 8, 39, { wrong: 1, reason: 'the edge slipped' })
  await edition.prove(0, 1, 2)
  await edition.run(0, upTo(1, 39), { 11: '+', 22: 'r slur' }, 2.5)
  await edition.wait(4 * 24 * 60).dry(0, upTo(1, 39))
  await edition.give('cut-further', { layerId: edition.layers[0]! })
  await edition.give('record-block-state', {
    blockId: block,
    name: 'second state, planks and lettering',
    cutOn: cutOn(12),
    note: 'lettering checked in the mirror',
    pictureId: await desk.picture(netLoftSecond),
  })
  const [secondProof, ...stack] = upTo(1, 39).filter((id) => id !== 22)
  const second = stack.reverse()
  await edition.prove(1, 0, 1, 4, secondProof)
  await edition.run(1, second, { 5: 'r register', 14: 'p', 20: 'r register' }, 2.5)
  await edition.wait(5 * 24 * 60).dry(1, second)
  await edition.give('cut-further', { layerId: edition.layers[1]! })
  await edition.give('record-block-state', {
    blockId: block,
    name: 'third state, stairs alone',
    cutOn: cutOn(6),
    note: '',
    pictureId: await desk.picture(netLoftThird),
  })
  const [thirdProof, ...third] = second.filter((_, i) => i !== 4 && i !== 19).reverse()
  edition.at = desk.now - 2.6 * hour
  await edition.prove(2, 1, 0, 4, thirdProof)
  await edition.run(
    2,
    third.slice(0, 23),
    { 5: 'd salt', 8: '+', 9: 'r salt', 17: '-', 18: 'r register', 21: 'd pale' },
    5,
  )
}

/** A single layer in black, half way through its pulls, at the platen now. */
async function harbourScales(desk: Desk, by: string, stores: Stores): Promise<void> {
  const edition = await new EditionInHand(desk, by, desk.now - 100 * 60_000).start(
    { title: 'Harbour Scales', plan: plan('Merle Tarn', 30, { start: 38, proofs: { AP: 3, PP: 0, HC: 0 } }) },
    'black',
  )
  await edition.ink(0, stores.black)
  await edition.press(0, stores.platen, 0, 0, packing)
  await edition.sheet(stores.laid, { width: 210, height: 150 }, 30)
  await edition.block('scales block', 'wood', 22.8)
  await edition.give('draw-register', {
    register: {
      sheet: { width: 270, height: 217.5 },
      outline: { left: 25, top: 25, width: 220, height: 160 },
      image: { left: 5, top: 5, width: 210, height: 150 },
      rotation: 0,
      meeting: 'paper onto block',
      mat: null,
      series: { topLine: 30, footLine: 37.5 },
      stops: 30,
      pins: [],
    },
    formatId: 'harbour-set',
  })
  await edition.tear(stores.laid, 10, 38)
  await edition.prove(0, 2, 2, 2)
  await edition.run(0, upTo(1, 20), { 14: 'd pale', 15: '+', 18: 'r salt' }, 3.4)
}

/** Two blocks and a blended roll, still being proved. */
async function ferryClock(desk: Desk, by: string, stores: Stores): Promise<void> {
  const edition = await new EditionInHand(desk, by, desk.now - 26 * hour).start(
    { title: 'Ferry Clock', plan: plan('Oona Vell', 18, { method: 'blended roll', layersPlanned: 2, start: 26 }) },
    'sky, blended',
  )
  await edition.addLayer('key black')
  await edition.ink(0, stores.slate)
  await edition.give('plan-blend', {
    layerId: edition.layers[0]!,
    blend: {
      stripes: [
        { batchId: stores.ochre, at: 0.15 },
        { batchId: stores.tide, at: 0.85 },
      ],
      blend: 0.35,
      widening: 0.01,
      freshAfter: 16,
      avoid: 'green',
      severalDirections: false,
      thickness: 8,
    },
  })
  await edition.press(0, stores.long, 1, 6, packing)
  await edition.sheet(stores.kozo, { width: 260, height: 190 }, 32)
  await edition.block('sky block', 'vinyl', 4)
  await edition.block('key block', 'hard lino', 4.8)
  await edition.tear(stores.kozo, 6, 24)
  await edition.wait(20).pull(0, null, { kind: 'warm-up' })
  await edition.wait(5).pull(0, null, { kind: 'proof', proofKind: 'CTP' })
  await edition.wait(8).pull(0, null, { kind: 'proof', proofKind: 'CTP' })
}

/** A large print from four blocks, by hand, that loses more than it can afford. */
async function weighbridge(desk: Desk, by: string, stores: Stores): Promise<void> {
  const edition = await new EditionInHand(desk, by, desk.now - 5 * day).start(
    {
      title: 'Weighbridge',
      plan: plan('Piers Haddow', 8, {
        method: 'several blocks',
        work: 'large hand work',
        layersPlanned: 4,
        sizeSchool: 'varied',
        proofs: { AP: 1, PP: 0, HC: 0 },
      }),
    },
    'panel A',
  )
  await edition.addLayer('panel B')
  await edition.ink(0, stores.rust)
  await edition.ink(1, stores.slate)
  await edition.press(0, stores.table, 0, 0, [{ name: 'cover sheet', thickness: 0.05 }])
  await edition.sheet(stores.kozo, { width: 820, height: 500 }, 55)
  for (const panel of ['A', 'B', 'C', 'D'])
    await edition.block(`panel ${panel}`, 'board', 6, { width: 830, height: 510 })
  await edition.tear(stores.kozo, 12, 12)
  await edition.prove(0, 1, 2, 10)
  await edition.run(0, upTo(1, 12), { 2: 'd pale', 4: 'r slur', 9: 'r crease', 11: 'b' }, 14)
  await edition.wait(2 * 24 * 60).dry(
    0,
    upTo(1, 12).filter((id) => id !== 4 && id !== 9),
  )
  await edition.run(1, [12, 11, 10], { 2: 'r slur' }, 16)
}

/** An evening class: each student makes an edition of five. */
async function eveningClass(desk: Desk, students: [string, string][], stores: Stores): Promise<void> {
  const runs: { pulls: number; events: Record<number, string> }[] = [
    { pulls: 5, events: { 4: 'r salt' } },
    { pulls: 5, events: { 2: 'd salt', 3: 'r salt', 5: 'r salt' } },
    { pulls: 2, events: {} },
    { pulls: 4, events: {} },
    { pulls: 1, events: {} },
  ]
  for (const [i, [id, name]] of students.entries()) {
    const edition = await new EditionInHand(desk, id, desk.now - (80 + 7 * i) * 60_000).start(
      {
        title: `Kettle, ${name.split(' ')[0]}`,
        plan: plan(name, 5, { work: 'beginners', proofs: { AP: 0, PP: 0, HC: 0 } }),
      },
      'black',
    )
    await edition.ink(0, stores.black)
    await edition.sheet(stores.laid, { width: 150, height: 110 }, 35)
    await edition.tear(stores.laid, 2, 7)
    await edition.wait(10).pull(0, null, { kind: 'practice' })
    await edition.prove(0, 0, 2, 5)
    await edition.run(0, upTo(1, runs[i]!.pulls), runs[i]!.events, 6)
  }
}

/** Two layers planned for cream paper, the first transparent: everything is thought out and no sheet torn yet. */
async function slackWater(desk: Desk, by: string, stores: Stores): Promise<void> {
  const edition = await new EditionInHand(desk, by, desk.now - 30 * hour).start(
    {
      title: 'Slack Water',
      plan: plan('Oona Vell', 25, {
        method: 'several blocks',
        layersPlanned: 2,
        start: 34,
        due: new Date(desk.now + 26 * day).toISOString().slice(0, 10),
      }),
    },
    'transparent blue',
  )
  await edition.addLayer('rust')
  await edition.sheet(stores.laid, { width: 230, height: 150 }, 28)
  const colour = await edition.block('colour block', 'hard lino', 4.8)
  const key = await edition.block('key block', 'hard lino', 4.8)
  await edition.give('set-inked-share', { blockId: colour, share: 0.72, reading: null })
  await edition.give('set-inked-share', { blockId: key, share: 0.31, reading: null })
  await edition.ink(0, stores.tide)
  await edition.ink(1, stores.rust)
  await edition.give('set-roll-up', {
    layerId: edition.layers[0]!,
    rollUp: {
      ...rollUpDefaults,
      roller: rollers[2]!,
      wiping: 'the lamp',
      chores: [{ every: 10, what: 'clear the slab’s rim' }],
      zones: [{ zoneId: 'whole', inkedShare: null, wipedShare: 0.03 }],
    },
  })
  await edition.give('plan-overprint', {
    overprint: {
      paper: '#efe3c4',
      layers: edition.layers.map((layerId, i) => ({ layerId, batchId: [stores.tide, stores.rust][i]!, thickness: 8 })),
      wishes: [{ layers: [...edition.layers], keep: 'layer', colour: null, layerId: edition.layers[1]! }],
    },
  })
}

/** The whole invented pressroom, dated around `desk.now`, the same on every start. */
export async function fillPressroom(desk: Desk): Promise<void> {
  const manager = await desk.person('Ansa Quill', 'manager', '2580')
  await desk.give(
    manager,
    'studio',
    'set-studio',
    {
      name: 'Ropewalk Pressroom',
      line: 'number-title-signature',
      destroyedNumber: 'retired',
      currency: '€',
      ...studioDefaults,
      inkGram: 0.09,
      pressHour: 6,
      labourHour: 0,
    },
    desk.now - 41 * day,
  )
  const instructor = await desk.person('Piers Haddow', 'instructor', '2580')
  const [merle, oona] = [
    await desk.person('Merle Tarn', 'member', '2580'),
    await desk.person('Oona Vell', 'member', '2580'),
  ]
  const students: [string, string][] = []
  for (const name of ['Ibb Fenner', 'Tansy Crake', 'Rook Alder', 'Wren Maddox', 'Jory Pell'])
    students.push([await desk.person(name, 'student', '2580'), name])
  for (const roller of rollers) await desk.give(manager, 'studio', 'set-roller', roller, desk.now - 40 * day)
  const stores = await stock(desk, manager)
  await desk.give(
    manager,
    'studio',
    'add-past-editions',
    {
      editions: [
        { title: 'Lock Gates', method: 'reduction', work: 'press', passed: 118, rejected: 9, finished: 32, lost: 1 },
        { title: 'Slipway', method: 'reduction', work: 'press', passed: 80, rejected: 7, finished: 24, lost: 2 },
        { title: 'Chandler’s Cat', method: 'single', work: 'press', passed: 61, rejected: 3, finished: 58, lost: 1 },
        {
          title: 'Evening class, last spring',
          method: 'single',
          work: 'beginners',
          passed: 74,
          rejected: 22,
          finished: 60,
          lost: 6,
        },
      ],
    },
    desk.now - 39 * day,
  )
  await desk.give(
    manager,
    'studio',
    'set-series-format',
    { id: 'harbour-set', name: 'Harbour set', topLine: 30, footLine: 37.5, mat: { width: 220, height: 160 } },
    desk.now - 39 * day,
  )
  await bakeryDoor(desk, manager, stores)
  await tideTable(desk, oona, stores)
  await tinRoofs(desk, merle, stores)
  await weighbridge(desk, instructor, stores)
  await ferryClock(desk, oona, stores)
  await eveningClass(desk, students, stores)
  await slackWater(desk, oona, stores)
  await netLoftStairs(desk, manager, stores)
  await harbourScales(desk, merle, stores)
  const ration = await desk.give(
    instructor,
    `lot:${stores.laid.id}`,
    'ration-paper',
    { personId: students[0]![0], sheets: 4 },
    desk.now - 3 * hour,
  )
  await desk.give(
    instructor,
    `lot:${stores.laid.id}`,
    'release-paper',
    { rationId: ration.id, sheets: 2 },
    desk.now - 2 * hour,
  )
}
