import { defineEvent } from '../../../ground/act'
import { changed } from '../../../ground/fold'
import { lotDefaults } from '../defaults'
import type { WrittenDescription } from '../state'
import { lot } from '../stream'

/** A lot came into the store: bought, or kept as offcuts of another. */
export const lotAdded = defineEvent(
  lot,
  'lot-added',
  (state, { sheets, ...description }: WrittenDescription & { sheets: number }) =>
    changed(state, { ...description, left: sheets, bought: sheets }),
  [(data) => ({ ...data, ...lotDefaults })],
)
