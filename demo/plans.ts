import { planDefaults } from '#core/plan/defaults'
import type { EditionPlan } from '#core/plan/plan'

/** What the demo’s editions have in common. */
export function plan(artist: string, size: number, more: Partial<EditionPlan> = {}): EditionPlan {
  return {
    ...planDefaults,
    method: 'single',
    size,
    sizeSchool: 'declared',
    orderSchool: 'curated',
    proofs: { AP: 2, PP: 0, HC: 0 },
    line: 'number-title-signature',
    year: null,
    numerals: 'roman',
    artist,
    due: null,
    ...more,
  }
}
