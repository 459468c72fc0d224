import { agree, pluralise } from '../../units/pluralise'
import { changed, replacedWhere } from '../../ground/fold'
import { type Refused, refuse } from '../../ground/refusal'
import { type LotState, putAside, type Ration, rationOf } from './state'

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

/** Why so many sheets cannot be given out of a ration, or null. */
export function releaseFault(
  lot: LotState,
  { rationId, sheets }: { rationId: string; sheets: number },
): Refused | null {
  const ration = rationOf(lot, rationId)
  if (!ration) return unknownRation()
  const kept = ration.sheets - ration.released
  if (sheets <= kept) return null
  return refuse(
    'more-than-put-aside',
    `${pluralise(kept, 'sheet')} ${agree(kept, 'is', 'are')} still put aside; ${sheets} cannot be given out.`,
    'sheets',
  )
}

/** Why so many sheets cannot be put aside, or null. */
export function rationFault(lot: LotState, sheets: number): Refused | null {
  const free = lot.left - putAside(lot)
  if (sheets <= free) return null
  return refuse(
    'stock-short',
    `${pluralise(free, 'sheet')} of ${lot.name} ${agree(free, 'is', 'are')} on the shelf and not put aside; ${sheets} ${agree(sheets, 'was', 'were')} asked for. Count the lot if the book is wrong.`,
    'sheets',
  )
}
