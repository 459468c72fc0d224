import { defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { rationChanged } from '../ration'
import { lot } from '../stream'

interface LotTorn {
  editionStream: string
  /** Large sheets torn, and the pieces they gave. */
  sheets: number
  pieces: number
  /** The ration they were torn from, or null for the shelf. */
  rationId: string | null
}

/** Large sheets were torn for an edition. Sheets given out left the shelf then, so tearing them takes no more from it. */
export const lotTorn = defineEvent(
  lot,
  'lot-torn',
  (state, { sheets, rationId }: LotTorn) =>
    rationId === null
      ? changed(state, { left: state.left - sheets })
      : rationChanged(state, rationId, (ration) => ({ ...ration, used: ration.used + sheets })),
  [(data) => ({ ...data, rationId: null })],
)
