import { costOfGoodSheet } from '../cost/of-good-sheet'
import { type Layer, layerOf } from '../edition/layer'
import { printedAtOnce } from '../edition/lock-up'
import type { EditionState } from '../edition/state'
import { perPull, type ZoneNeed } from './ink-need'

/** What the paper of one print cost, as it was really torn; null while nothing was. */
export function paperAPrint({ torn }: Pick<EditionState, 'torn'>): number | null {
  const prints = torn.reduce((sum, { count, images }) => sum + count * images, 0)
  const paid = torn.reduce((sum, { lotSheets, pricePerLotSheet }) => sum + lotSheets * pricePerLotSheet, 0)
  return prints > 0 ? paid / prints : null
}

/** The pulls of one way of printing a layer. */
export interface WayPrinted {
  pulls: number
  notGood: number
  minutes: number | null
  /** The press of their set-up; null where none was set. */
  pressId: string | null
}

/**
 * What a good sheet has cost at one step, printed one way: its paper, the layer's ink, and the time of press and printer.
 * One pull may print several sheets, which share its ink and time.
 * @param needs the ink of the layer, zone by zone
 * @param hourOf what an hour of a press costs by its own rate; null for the plan's
 * @returns money; null while paper or pace are not known; NaN when none was good
 */
export function stepCost(
  state: EditionState,
  layerId: string,
  way: WayPrinted,
  needs: readonly ZoneNeed[],
  hourOf: (pressId: string) => number | null,
): number | null {
  const paper = paperAPrint(state)
  const layer: Layer | undefined = layerOf(state, layerId)
  if (!layer || !state.plan || paper === null || way.minutes === null || way.pulls === 0) return null
  const { rates } = state.plan
  const milligrams = needs.reduce((sum, need) => sum + perPull(need), 0)
  const press = way.pressId === null ? null : hourOf(way.pressId)
  const each = printedAtOnce(state, layer)
  const step = {
    piece: paper,
    ink: ((milligrams / 1000) * rates.inkGram) / each,
    minutes: way.minutes / each,
    hour: (press ?? rates.pressHour) + rates.labourHour,
  }
  return costOfGoodSheet(step, (way.pulls - way.notGood) / way.pulls) ?? Number.NaN
}
