import { demoDay } from './days'
import { rollUpDefaults } from '#core/ink/roll-up'
import { netLoftFirst, netLoftSecond, netLoftThird, printed } from './block-pictures'
import { type Desk, EditionInHand, upTo } from './desk'
import { plan } from './plans'
import type { DemoRacks } from './racks'
import { arrive } from './stations'
import { packing, rollers, type Stores, underHand } from './stores'

const day = 24 * 60 * 60_000
const hour = 60 * 60_000

/** A four-layer reduction whose third layer is nearly through: the point of no return. */
export async function netLoftStairs(desk: Desk, by: string, stores: Stores, racks: DemoRacks): Promise<EditionInHand> {
  const edition = await new EditionInHand(desk, by, desk.now - 16 * day).start(
    {
      title: 'Net Loft Stairs',
      plan: plan('Ansa Quill', 20, {
        method: 'reduction',
        layersPlanned: 4,
        start: 40,
        confidence: 0.8,
        rates: { inkGram: 0.09, pressHour: 6, labourHour: 0, minutesPerPull: 5 },
        due: demoDay(desk.now + 19 * day),
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
  const setUp = (layer: number) =>
    edition.press(
      layer,
      stores.long,
      { packing, block: { name: 'the block', thickness: 23.3 }, sheet: 0.32 },
      0.3 + 0.05 * layer,
    )
  await edition.sheet(stores.laid, { width: 240, height: 165 }, 30)
  const block = await edition.block('the block', 'hard lino', 23.3, {
    rotation: 0.6,
    removed: 'sky left of the stairs sawn off',
  })
  const cutOn = (days: number) => demoDay(desk.now - days * day)
  await edition.give('record-block-state', {
    blockId: block,
    name: 'first state, window cleared',
    cutOn: cutOn(17),
    note: '',
    pictureId: await desk.picture(netLoftFirst),
  })
  await edition.tear(stores.laid, 8, 39, { wrong: 1, reason: 'the edge slipped' })
  await setUp(0)
  await edition.prove(0, 1, 2)
  await edition.run(0, upTo(1, 39), { 11: '+', 22: 'r slur' }, 2.5)
  const touch = (isDry: boolean) =>
    edition.give('touch-test', { layerId: edition.layers[0]!, moment: 'overprint', isDry, batchIds: [], isDamp: false })
  edition.wait(36 * 60)
  await touch(false)
  edition.wait(60 * 60)
  await touch(true)
  await edition.dry(0, upTo(1, 39))
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
  await setUp(1)
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
  await arrive(edition, stores.long, ['roller', 'hidden'], 'the large soft roller has rust red on its frame')
  await setUp(2)
  edition.proofPicture = await desk.picture(printed(netLoftThird))
  await edition.prove(2, 1, 0, 4, thirdProof)
  await edition.run(
    2,
    third.slice(0, 23),
    { 5: 'd salt', 8: '+', 9: 'r salt', 17: '-', 18: 'r register', 21: 'd pale' },
    5,
  )
  const wet = third.slice(0, 23).filter((_, i) => i !== 8 && i !== 17)
  await edition.rack(racks.long, 2, wet)
  return edition
}

/** Two blocks and a blended roll, still being proved. */
export async function ferryClock(desk: Desk, by: string, stores: Stores): Promise<EditionInHand> {
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
  await edition.press(0, stores.long, { packing, block: { name: 'sky block', thickness: 4 }, sheet: 0.12 })
  await edition.sheet(stores.kozo, { width: 260, height: 190 }, 32)
  await edition.block('sky block', 'vinyl', 4)
  await edition.block('key block', 'hard lino', 4.8)
  await edition.tear(stores.kozo, 6, 24)
  const leave = await arrive(edition, stores.long)
  await edition.wait(20).pull(0, null, { kind: 'warm-up' })
  const underLong = (nip: number) =>
    edition.press(0, stores.long, { packing, block: { name: 'sky block', thickness: 4 }, sheet: 0.12 }, nip)
  const proof = (sheetId: number | null = null) => edition.wait(8).pull(0, sheetId, { kind: 'proof', proofKind: 'CTP' })
  await edition.judge(await proof(), -1, -1)
  await underLong(0.5)
  await edition.judge(await proof(), 1, -1)
  await underLong(0.4)
  await edition.judge(await proof(), 0, -1, { charges: 3, note: 'the gap and a charge at once' })
  await edition.judge(await proof(), 0, 1, { charges: 3, passes: 3 })
  await edition.judge(await proof(), 0, 0, { charges: 3 })
  await edition.judge(await proof(1), -1, 0, { charges: 3, newsprint: false, note: 'the kozo takes more' })
  await leave(
    edition.wait(10),
    {
      washed: [],
      note: 'Had to run for the ferry.',
      problems: [{ kind: 'broken', what: 'the left screw grinds between the second and third turn', pictureId: null }],
    },
    ['hidden'],
  )
  return edition
}

/** A large print from three blocks, by hand, that loses more than it can afford. */
export async function weighbridge(desk: Desk, by: string, stores: Stores): Promise<void> {
  const edition = await new EditionInHand(desk, by, desk.now - 5 * day).start(
    {
      title: 'Weighbridge',
      plan: plan('Piers Haddow', 8, {
        method: 'several blocks',
        work: 'large hand work',
        layersPlanned: 3,
        sizeSchool: 'varied',
        proofs: { AP: 1, PP: 0, HC: 0 },
      }),
    },
    'panel A',
  )
  await edition.addLayer('panel B')
  await edition.addLayer('panel C')
  await edition.ink(0, stores.rust)
  await edition.ink(1, stores.slate)
  await edition.press(0, stores.table, {
    packing: underHand,
    block: { name: 'panel A', thickness: 6 },
    sheet: 0.12,
  })
  await edition.sheet(stores.kozo, { width: 820, height: 500 }, 55)
  for (const panel of ['A', 'B', 'C']) await edition.block(`panel ${panel}`, 'board', 6, { width: 830, height: 510 })
  await edition.tear(stores.kozo, 12, 12)
  await edition.prove(0, 1, 2, 10)
  await edition.run(0, upTo(1, 12), { 2: 'd pale', 4: 'r slur', 9: 'r crease', 11: 'b' }, 14)
  await edition.wait(2 * 24 * 60).dry(
    0,
    upTo(1, 12).filter((id) => id !== 4 && id !== 9),
  )
  await edition.run(1, [12, 11, 10], { 2: 'r slur' }, 16)
}

/** Two layers planned for cream paper, the first transparent: everything is thought out and no sheet torn yet. */
export async function slackWater(desk: Desk, by: string, stores: Stores): Promise<EditionInHand> {
  const edition = await new EditionInHand(desk, by, desk.now - 30 * hour).start(
    {
      title: 'Slack Water',
      plan: plan('Oona Vell', 25, {
        method: 'several blocks',
        layersPlanned: 2,
        start: 34,
        due: demoDay(desk.now + 26 * day),
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
  return edition
}
