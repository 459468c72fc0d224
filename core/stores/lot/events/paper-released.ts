import { defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { rationChanged } from '../ration'
import { lot } from '../stream'

export interface Released {
  rationId: string
  sheets: number
}

/** Sheets put aside were given into the person's hands. */
export const paperReleased = defineEvent(lot, 'paper-released', (state, { rationId, sheets }: Released) =>
  changed(
    rationChanged(state, rationId, (ration) => ({ ...ration, released: ration.released + sheets })),
    { left: state.left - sheets },
  ),
)
