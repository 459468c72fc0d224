import { defineEvent } from '../../ground/act'
import { changed } from '../../ground/fold'
import type { EarlierEdition } from '../state'
import { edition } from '../stream'

interface From {
  earlier: EarlierEdition[]
}

/** On the new edition: those that were printed from its blocks before it, the first of them first. */
export const printedFrom = defineEvent(edition, 'printed-from', (state, { earlier }: From) =>
  changed(state, { earlier }),
)
