import { type Desk, EditionInHand, upTo } from './desk'
import { plan } from './plans'
import type { Stores } from './stores'

const day = 24 * 60 * 60_000

/** Two small images locked up side by side on one piece of paper, then gilded by hand: a layer no press prints. */
export async function buoyLights(desk: Desk, by: string, stores: Stores): Promise<void> {
  const edition = await new EditionInHand(desk, by, desk.now - 3 * day).start(
    {
      title: 'Buoy Lights',
      plan: plan('Oona Vell', 12, { layersPlanned: 2, start: 18, proofs: { AP: 1, PP: 0, HC: 0 } }),
    },
    'dusk',
  )
  await edition.addLayer('bronze leaf', 'size, leaf, burnish')
  await edition.ink(0, stores.dusk)
  await edition.sheet(stores.board, { width: 90, height: 120 }, 25, { images: { across: 2, down: 1, gap: 20 } })
  await edition.block('buoy', 'wood', 22.8)
  await edition.tear(stores.board, 3, 9, { images: 2 })
  const [dusk, leaf] = edition.layers as [string, string]
  await edition.give('lock-up', { layerId: dusk, images: 2 })
  await edition.give('set-without-pull', { layerId: leaf, withoutPull: true })
  await edition.prove(0, 1, 2)
  for (let piece = 0; piece < 8; piece++) {
    const [one, other] = [2 * piece + 1, 2 * piece + 2]
    const pullId = await edition.wait(5).pull(0, null, { sheetIds: [one, other] })
    // The one at the right took up a speck; its neighbour is sound.
    if (piece === 3) await edition.give('judge-sheet', { pullId, sheetId: other, verdict: 'reject', faults: ['salt'] })
  }
  await edition.wait(2 * 24 * 60).dry(0, upTo(1, 16))
  await edition.give('lay-layer', { layerId: leaf, sheetIds: upTo(1, 4) })
}
