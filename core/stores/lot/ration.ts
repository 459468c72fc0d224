import { changed, replacedWhere } from '../../ground/fold'
import { type Refused, refuse } from '../../ground/refusal'
import type { LotState, Ration } from './state'

/** The lot with one ration changed. */
export function rationChanged(state: LotState, id: string, change: (ration: Ration) => Ration): LotState {
  return changed(state, { rations: replacedWhere(state.rations, (ration) => ration.id === id, change) })
}

export function unknownRation(): Refused {
  return refuse(
    'unknown-ration',
    'That paper was not put aside here. Reload the page and choose from the list.',
    'rationId',
  )
}
