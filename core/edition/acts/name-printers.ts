import { defineAct } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import { isStaff } from '../../ground/who'
import type { StudioState } from '../../stores/studio/state'
import { studio } from '../../stores/studio/stream'
import { Named, printersNamed } from '../events/printers-named'
import { edition } from '../stream'
import { theirsSignedOff } from '../who'

const isHere = (room: StudioState, id: string) => room.people[id]?.active === true

/**
 * Who the edition is said to be: whoever is named may act on it. Members let others in on an edition of their own, so that
 * two can print together.
 */
export const namePrinters = defineAct(edition, 'name-printers', Named, theirsSignedOff, {
  needs: () => ({ room: studio.of() }),
  events: [printersNamed],
  rule: ({ edition, room }, { artistId, printerIds }, { role }) => {
    if (edition.assignment !== null && !isStaff(role))
      return refuse('not-allowed', 'This edition belongs to a class: its instructor names who prints it.', 'printerIds')
    const before = new Set([edition.artistId, ...edition.printerIds])
    const ids = [...new Set(printerIds)]
    const fresh = [artistId, ...ids].filter((id): id is string => id !== null && !before.has(id))
    if (!fresh.every((id) => isHere(room, id)))
      return refuse('unknown-person', 'One of them is not in the pressroom any more. Reload the page.', 'printerIds')
    if (artistId === null && ids.length === 0)
      return refuse('nobody-named', 'Name at least one who prints, or the artist.', 'printerIds')
    return [printersNamed.on(edition, { artistId, printerIds: ids })]
  },
})
