import { dryingDefaults } from '../drying/moments'
import { oneImage } from '../paper/piece'
import { asTorn } from '../register/growth'
import { blankSheet } from './sheet'
import { emptyEdition, type EditionState } from './state'

/** What was not known of a layer before. */
const layerDefaults = {
  fills: 1,
  withoutPull: false,
  settling: asTorn,
  drying: dryingDefaults,
}

/** What was not asked of a curator before. */
const lookedAt = { place: 0, mark: 'for sale' as const }

/**
 * A browser's own copy of an edition, folded by an older program, with everything that was not asked for then. Only for a
 * bench that starts against a dead server: the ledger's own events go through their upcasts.
 */
export function broughtUpToDate(copy: EditionState): EditionState {
  const { piece, register } = copy
  return {
    ...emptyEdition(copy.stream),
    ...copy,
    piece: piece && { ...piece, images: piece.images ?? oneImage },
    register: register && { ...register, register: { ...register.register, more: register.register.more ?? [] } },
    layers: copy.layers.map((layer) => ({ ...layerDefaults, ...layer })),
    sheets: copy.sheets.map((sheet) => ({
      ...blankSheet(sheet.id, sheet.lotId, sheet.lotName),
      ...sheet,
      curated: sheet.curated && { ...lookedAt, ...sheet.curated },
    })),
    torn: copy.torn.map((torn) => ({ ...torn, images: torn.images ?? 1 })),
    pulls: copy.pulls.map((pull) => ({ ...pull, apart: pull.apart ?? [], grade: pull.grade ?? null })),
  }
}
