import { defineEvent } from '../../ground/act'
import { changed } from '../../ground/fold'
import { edition } from '../stream'

export interface Named {
  /** Who signs, when that is a person of the room. */
  artistId: string | null
  printerIds: string[]
}

/** Whose edition it is. */
export const printersNamed = defineEvent(edition, 'printers-named', (state, { artistId, printerIds }: Named) =>
  changed(state, { artistId, printerIds, printersGrow: false }),
)
