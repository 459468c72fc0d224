import type { InMix } from './component'
import type { InkFamily } from './family'
import type { Shelf } from './shelf'
import { type Ingredient, mixWarnings } from './suits'

interface Contained {
  tubId: string
  milligrams: number
}

/** What of each tub is in some components, left-overs followed to what they hold. */
function contained(components: readonly InMix[], shelf: Shelf, beneath: readonly string[] = []): Contained[] {
  return components.flatMap(({ tubId, batchId, held, milligrams }) => {
    if (tubId !== null) return [{ tubId, milligrams }]
    if (batchId === null || beneath.includes(batchId)) return []
    const inside = held?.components ?? shelf.batches.get(batchId)?.components ?? []
    const whole = inside.reduce((sum, one) => sum + one.milligrams, 0)
    return contained(inside, shelf, [...beneath, batchId]).map((one) => ({
      ...one,
      milligrams: whole > 0 ? (one.milligrams / whole) * milligrams : 0,
    }))
  })
}

/**
 * Warnings about some components as one batch, wherever they were stirred in: recipe, loosening or a left-over (models.md,
 * M5). A label's range is held against all there is of that ink in the mix.
 */
export function componentWarnings(family: InkFamily, components: readonly InMix[], shelf: Shelf): string[] {
  const poured = components.filter(({ milligrams }) => milligrams > 0)
  const whole = poured.reduce((sum, { milligrams }) => sum + milligrams, 0)
  if (whole === 0) return []
  const shares = new Map<string, number>()
  for (const { tubId, milligrams } of contained(poured, shelf))
    shares.set(tubId, (shares.get(tubId) ?? 0) + milligrams / whole)
  const direct = new Set(poured.map(({ tubId }) => tubId))
  const tubs = [...shares].flatMap(([tubId, share]): Ingredient[] => {
    const tub = shelf.tubs.get(tubId)
    // What a left-over holds was warned of with the left-over; here only how much of it there is in all.
    return tub ? [{ ...tub, family: direct.has(tubId) ? tub.family : family, share }] : []
  })
  const leftOvers = new Map(
    poured.flatMap(({ batchId, milligrams }) => {
      const batch = batchId === null ? undefined : shelf.batches.get(batchId)
      return batch ? [[batchId, { ...batch, nature: 'pigment' as const, share: milligrams / whole, limits: null }]] : []
    }),
  )
  return mixWarnings(family, [...tubs, ...leftOvers.values()])
}
