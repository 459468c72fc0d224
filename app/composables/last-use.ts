import type { LastUse } from '#core/station/state'
import { ago } from '~/drawings/words'
import { useSession } from '~/stores/session'
import { useSupplies } from '~/stores/supplies'

/** Who had a roller, a batch or a tub last, as the sessions of the room tell it. */
export function useLastUse() {
  const supplies = useSupplies()
  const session = useSession()

  /** The newest use of any of these, by the ids of rollers and batches. */
  function lastOf(ids: readonly string[]): (LastUse & { at: string; station: string }) | null {
    const uses = supplies.stations.flatMap(({ name, uses }) =>
      uses.filter(({ id }) => ids.includes(id)).map((use) => ({ ...use, station: name })),
    )
    return uses.sort((a, b) => b.position - a.position)[0] ?? null
  }

  function words(ids: readonly string[]): string {
    const use = lastOf(ids)
    return use ? `last used by ${session.nameOf(use.by)} at ${use.station}, ${ago(use.at)}` : ''
  }

  return {
    ofRoller: (id: string) => words([id]),
    /** A tub was used where a batch that it was poured into was. */
    ofTub: (id: string) =>
      words(
        supplies.batches.flatMap((batch) => (batch.components.some(({ tubId }) => tubId === id) ? [batch.id] : [])),
      ),
  }
}
