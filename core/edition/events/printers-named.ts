import { Id, Ids, OrNull } from '../../ground/shape'
import { defineEvent } from '../../ground/act'
import { changed } from '../../ground/fold'
import { edition } from '../stream'

export class Named {
  static readonly sample: Named = { artistId: null, printerIds: ['p1'] }

  /** Who signs, when that is a person of the room. */
  @OrNull() @Id('artist') artistId!: string | null
  @Ids('printer', 100) printerIds!: string[]
}

/** Whose edition it is. */
export const printersNamed = defineEvent(edition, 'printers-named', (state, { artistId, printerIds }: Named) =>
  changed(state, { artistId, printerIds, printersGrow: false }),
)
