import type { LotDescription } from './state'

/** What was not asked of a lot before. */
export const lotDefaults: Pick<LotDescription, 'use' | 'grain' | 'betterSide' | 'deckles' | 'damp' | 'keptAt'> = {
  use: 'edition',
  grain: 'unknown',
  betterSide: '',
  deckles: { left: false, right: false, top: false, bottom: false },
  damp: false,
  keptAt: '',
}
