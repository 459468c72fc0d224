import type { InkFamily } from './family'
import type { InkNature } from './pigments'

/** What is stirred into a mix, and what its label allows. */
export interface Ingredient {
  name: string
  nature: InkNature
  family: InkFamily
  /** Share of the whole mix, 0 to 1. */
  share: number
  /** Range in percent of the mix that the maker gives, or null. */
  limits: { least: number; most: number } | null
}

const percent = (share: number) => `${(share * 100).toFixed(1).replace(/\.0$/, '')} %`

/** Families whose solvents and washes do not meet: what one loses in the other. */
function lost(family: InkFamily, into: InkFamily): string {
  if (family === 'water-based' || into === 'water-based') return 'oil and water do not mix: the batch would separate'
  if (into === 'water-washable oil') return 'the mix would no longer wash out with water'
  if (family === 'water-washable oil') return 'its share would still wash with water, the rest would not'
  return 'drying and tack of the two families differ, and the mix may never dry evenly'
}

/**
 * Warnings about what goes into a mix, in words a printer reads before stirring. They never forbid: the label and a trial
 * decide.
 */
export function mixWarnings(family: InkFamily, ingredients: readonly Ingredient[]): string[] {
  const warnings: string[] = []
  for (const { name, nature, family: own, share, limits } of ingredients) {
    if (share <= 0) continue
    if (own !== family && own !== 'other' && family !== 'other')
      warnings.push(`${name} is ${own} and the mix ${family}: ${lost(own, family)}.`)
    else if (nature === 'oil' && family === 'water-washable oil' && own === 'other')
      warnings.push(`${name} is an oil of no named family: plain oil may keep the mix from washing out with water.`)
    else if ((nature === 'oil' || nature === 'drier') && family === 'water-based')
      warnings.push(`${name} does not suit a water-based ink: it would separate.`)
    else if (nature === 'drier' && family === 'rubber-based')
      warnings.push(
        `A drier works on oil; a rubber-based ink sets into the paper, and ${name} would only make it tacky.`,
      )
    if (limits && (share * 100 > limits.most + 1e-9 || share * 100 < limits.least - 1e-9)) {
      warnings.push(`${name} is ${percent(share)} of the mix; its label says ${limits.least} to ${limits.most} %.`)
    }
  }
  return warnings
}
