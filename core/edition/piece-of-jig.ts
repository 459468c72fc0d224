import type { PiecePlan } from '../paper/piece'
import { jigOf, type RegisterPlan } from '../register/registration'

/** Lengths are given to a tenth of a millimetre. */
const rounded = (mm: number): number => Math.round(mm * 10) / 10

/**
 * What a registration sheet prints, as a piece of paper is planned: one image around everything that prints, and what is left
 * of its sheet on each side, mm; nothing where something reaches over the sheet's edge.
 */
export function pieceOfJig(plan: RegisterPlan): Pick<PiecePlan, 'image' | 'margins'> | null {
  const { image, more } = jigOf({ ...plan, meeting: 'block onto paper' })
  const points = [...image, ...more.flatMap(({ corners }) => corners)]
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)]
  const [left, right, top, foot] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)]
  const margins = {
    left: rounded(left),
    right: rounded(plan.sheet.width - right),
    top: rounded(top),
    bottom: rounded(plan.sheet.height - foot),
  }
  if (Object.values(margins).some((margin) => margin < 0)) return null
  return { image: { width: rounded(right - left), height: rounded(foot - top) }, margins }
}
