import type { Layer } from '../edition/layer'
import type { EditionState } from '../edition/state'
import { type InkKnown, inkNeed, usualProofs, usualWarmUps } from './ink-need'

/** Ink that a whole plan takes. */
export interface PlanInk {
  grams: number
  /** What is guessed, in words. */
  guessed: string[]
}

/**
 * Ink of every layer of a plan, from its own share, film and roller as far as they are known; layers that are planned and
 * not yet added take as much as the mean of the others.
 * @param sheets expected at each layer, in order, for all that are planned
 * @returns null while an image has no size, or there is no layer
 */
export function planInk(
  state: EditionState,
  sheets: readonly number[],
  known: (layer: Layer) => InkKnown,
): PlanInk | null {
  const needs = state.layers.map((layer, i) =>
    inkNeed(state, layer.id, known(layer), {
      sheets: Math.round(sheets[i] ?? 0),
      warmUps: usualWarmUps,
      proofs: usualProofs,
    }),
  )
  const all = needs.flat()
  if (all.length === 0 || all.some((need) => need.job.blockArea === 0)) return null
  const grams = all.reduce((sum, need) => sum + need.amount.total, 0)
  return { grams: (grams * sheets.length) / needs.length, guessed: [...new Set(all.flatMap((need) => need.guessed))] }
}
