import type { EditionState } from '../edition/state'
import { layerOf } from '../edition/layer'
import { isLive } from '../edition/pull'
import type { Printed, Session, Used } from './state'

/**
 * What a session used, by the pulls made at its press since it was opened: those set up on it, and those of its own
 * person for which no press was set up.
 * @param pressId the station's own id
 */
export function usedIn(editions: readonly EditionState[], session: Session, pressId: string): Used {
  const printed: Printed[] = []
  const batchIds = new Set<string>()
  const rollerIds = new Set<string>()
  for (const edition of editions) {
    const here = edition.pulls.filter(
      (pull) =>
        isLive(pull) &&
        pull.position > session.position &&
        isAt(edition, pull.layerId, pull.setupSeq, pressId, pull.by === session.by),
    )
    for (const layer of edition.layers) {
      const pulls = here.filter(({ layerId }) => layerId === layer.id)
      if (pulls.length === 0) continue
      printed.push({
        editionStream: edition.stream,
        title: edition.title,
        layerId: layer.id,
        layerName: layer.name,
        pulls: pulls.length,
      })
      for (const pull of pulls) for (const id of pull.batchIds) batchIds.add(id)
      if (layer.rollUp?.roller) rollerIds.add(layer.rollUp.roller.id)
    }
  }
  return { printed, batchIds: [...batchIds], rollerIds: [...rollerIds] }
}

function isAt(edition: EditionState, layerId: string, setupSeq: number, pressId: string, isOwn: boolean): boolean {
  const setup = layerOf(edition, layerId)?.setups.find(({ seq }) => seq === setupSeq)
  return setup ? setup.setup.pressId === pressId : isOwn
}
