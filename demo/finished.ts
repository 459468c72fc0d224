import { demoDay } from './days'
import { printed, roofs } from './block-pictures'
import { noFinishing } from '#core/finish/plan'
import { type Desk, EditionInHand, upTo } from './desk'
import { plan } from './plans'
import { rollUpDefaults } from '#core/ink/roll-up'
import { arrive } from './stations'
import { packing, rollers, type Stores, underLever } from './stores'

const day = 24 * 60 * 60_000

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
export async function bakeryDoor(desk: Desk, by: string, stores: Stores): Promise<void> {
  const edition = await new EditionInHand(desk, by, desk.now - 30 * day).start(
    { title: 'Bakery Door', plan: plan('Ansa Quill', 20, { year: Number(demoDay(desk.now).slice(0, 4)) }) },
    'black',
  )
  await edition.ink(0, stores.black)
  await edition.press(0, stores.long, { packing, block: { name: 'key block', thickness: 23.3 }, sheet: 0.32 })
  await edition.sheet(stores.laid, { width: 230, height: 160 }, 32)
  const block = await edition.block('key block', 'hard lino', 23.3)
  await edition.give('set-roll-up', {
    layerId: edition.layers[0]!,
    rollUp: {
      ...rollUpDefaults,
      roller: rollers[2]!,
      wiping: 'the lettering’s rim',
      masks: 'the step',
      chores: [{ every: 8, what: 'wash the mask' }],
      zones: [{ zoneId: 'whole', inkedShare: null, wipedShare: 0.02 }],
    },
  })
  await edition.tear(stores.laid, 7, 28)
  const leave = await arrive(edition, stores.long)
  await edition.prove(0, 1, 3)
  const run = { 5: 'd salt', 8: '+', 15: 'r slur', 19: 'b', 24: 'p' }
  await edition.run(0, upTo(1, 5), run, 3)
  await edition.give('try-remedy', { layerId: edition.layers[0]!, fault: 'salt', remedy: 'one more pass' })
  await edition.run(0, upTo(6, 26), { 3: '+', 10: 'r slur', 14: 'b', 19: 'p' }, 3)
  await leave(edition.wait(25))
  await edition.wait(3 * 24 * 60).dry(0, upTo(1, 26))
  await finish(
    edition,
    upTo(1, 26).filter((id) => id !== 5 && id !== 15),
    [5],
    20,
    2,
    22,
  )
  await edition.wait(60).give('close', {
    note: 'A scored line across; the proof lies in drawer 2.',
    block: 'cancelled with a proof',
    blockIds: [block],
  })
  const left = demoDay(edition.at + day)
  for (const [sheetId, how, to] of [
    [1, 'in the archive', 'drawer 2'],
    [2, 'given', 'Oona Vell'],
    [3, 'sold', 'M. B.'],
    [4, 'on loan', 'Customs House window'],
  ] as const)
    await edition.wait(24 * 60).give('send-print', { sheetId, how, to, on: left, note: '' })
}

/** A photopolymer print, all pulled and dry, being coloured by hand in batches of five. */
export async function tinRoofs(desk: Desk, by: string, stores: Stores): Promise<void> {
  const edition = await new EditionInHand(desk, by, desk.now - 6 * day).start(
    { title: 'Tin Roofs', plan: plan('Merle Tarn', 15, { sizeSchool: 'counted', colouring: true }) },
    'key black',
  )
  await edition.ink(0, stores.black)
  await edition.press(0, stores.platen, {
    packing: underLever,
    block: { name: 'plate', thickness: 1.5 },
    sheet: 0.5,
  })
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
  const leave = await arrive(edition, stores.platen, ['packing'], 'a card of somebody else’s on the bed')
  edition.proofPicture = await desk.picture(printed(roofs))
  await edition.prove(0, 2, 2)
  await edition.run(0, upTo(1, 22), { 7: 'd hickey 128,52', 12: 'r fill 60,96', 20: 'd pale' }, 4)
  await leave(edition.wait(20))
  const good = upTo(1, 22).filter((id) => id !== 12)
  await edition.wait(2 * 24 * 60).dry(0, good)
  const colours = ['rust red', 'slate', 'pale yellow']
  await edition.give('plan-finishing', {
    finishing: {
      ...noFinishing,
      colours: colours.map((name, i) => ({ id: `c${i + 1}`, name })),
      wash: 'holds',
      flatten: true,
      chop: { kind: 'blind', left: 8, top: 201, width: 10, height: 10 },
    },
  })
  const batch = (number: number) => good.slice(number * 5 - 5, number * 5)
  const colour = (step: string, sheetIds: number[], minutes: number) =>
    edition.wait(minutes).give('finish-sheets', { step, sheetIds, isDone: true })
  await colour('colour c1', batch(1), 40)
  await colour('colour c1', batch(2), 24)
  await colour('colour c1', batch(3), 21)
  await colour('colour c2', batch(1), 55)
  await colour('colour c2', batch(2), 32)
}

/** A declared edition half signed. */
export async function tideTable(desk: Desk, by: string, stores: Stores): Promise<void> {
  const edition = await new EditionInHand(desk, by, desk.now - 12 * day).start(
    { title: 'Tide Table', plan: plan('Oona Vell', 12, { proofs: { AP: 1, PP: 1, HC: 0 } }) },
    'rust',
  )
  await edition.ink(0, stores.rust)
  await edition.press(0, stores.long, { packing, block: { name: 'key block', thickness: 4.8 }, sheet: 0.12 })
  await edition.sheet(stores.kozo, { width: 240, height: 180 }, 35)
  const block = await edition.block('key block', 'soft-cut lino', 4.8, { transfer: 'toner face down' })
  await desk.give(by, `block:${block}`, 'keep-block', { where: 'plan chest, third drawer' }, edition.at)
  await edition.tear(stores.kozo, 4, 16)
  const leave = await arrive(edition, stores.long)
  await edition.prove(0, 1, 2)
  await edition.run(0, upTo(1, 16), { 6: 'r crease', 11: '+' }, 3)
  await leave(edition.wait(15), { note: 'The felt was damp; it hangs over the rail.' }, ['packing'])
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
