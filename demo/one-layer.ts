import { demoDay } from './days'
import { scales } from './block-pictures'
import { type Desk, EditionInHand, upTo } from './desk'
import { plan } from './plans'
import { arrive } from './stations'
import { type Stores, underLever } from './stores'

/** A single layer in black, half way through its pulls, at the platen now. */
export async function harbourScales(desk: Desk, by: string, stores: Stores): Promise<EditionInHand> {
  const edition = await new EditionInHand(desk, by, desk.now - 100 * 60_000).start(
    { title: 'Harbour Scales', plan: plan('Merle Tarn', 30, { start: 38, proofs: { AP: 3, PP: 0, HC: 0 } }) },
    'black',
  )
  await edition.ink(0, stores.black)
  await edition.press(0, stores.platen, {
    packing: underLever,
    block: { name: 'scales block', thickness: 22.8 },
    sheet: 0.32,
  })
  await edition.sheet(stores.laid, { width: 210, height: 150 }, 30)
  const block = await edition.block('scales block', 'wood', 22.8)
  await edition.give('record-block-state', {
    blockId: block,
    name: 'cut',
    cutOn: demoDay(desk.now - 24 * 3600_000),
    note: '',
    pictureId: await desk.picture(scales),
  })
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
      more: [],
    },
    formatId: 'harbour-set',
  })
  // Damp sheets go through once before they are printed; they were marked 200 and 150 mm apart.
  await edition.give('settle-paper', {
    layerId: edition.layers[0]!,
    settling: { passes: 1, growth: { width: { before: 200, after: 201.1 }, height: { before: 150, after: 150.3 } } },
  })
  await edition.tear(stores.laid, 10, 38)
  await arrive(edition, stores.platen)
  await edition.prove(0, 2, 2, 2)
  await edition.run(0, upTo(1, 20), { 14: 'd pale', 15: '+', 18: 'r salt' }, 3.4)
  return edition
}
