import { computed } from 'vue'
import { hexOf } from '#core/ink/colour'
import { film, type Pigment } from '#core/ink/kubelka-munk'
import { black } from '#core/ink/draw-down'
import { reflectanceOf } from '#core/ink/reconstruct'
import type { InMix } from '#core/ink/component'
import { type KnownMix, mixFrom, predictedBatch, type Shelf, pigmentOf } from '#core/ink/shelf'
import type { TubSummary } from '#shared/replies/replies'

/** A paper that is a little off white, as most are. */
export const usualPaper = '#f4efe2'

/** Film of a draw-down or a print, as one looks at a swatch, µm. */
export const usualFilm = 8

/** What the inks of the store look like. */
export function useShelf() {
  const supplies = useSupplies()
  const shelf = computed<Shelf>(() => ({
    tubs: new Map(supplies.tubs.map((tub) => [tub.id, tub])),
    batches: new Map(supplies.batches.map((batch) => [batch.id, batch])),
  }))
  const mixed = (components: readonly InMix[]): KnownMix | null => mixFrom(components, shelf.value)
  const ofBatch = (id: string | null): KnownMix | null => {
    const batch = id === null ? undefined : shelf.value.batches.get(id)
    return batch ? predictedBatch(batch, shelf.value, id === null ? [] : [id]) : null
  }
  return { shelf, mixed, ofBatch }
}

/** A film on a paper as a screen shows it. */
export function filmHex(pigment: Pigment, paper: string, thickness: number): string {
  return hexOf(film(reflectanceOf(paper), pigment, thickness))
}

/** A tub's ink over white and over black; null when its colour is not known. */
export function tubHexes(tub: TubSummary): { white: string; black: string } | null {
  if (tub.card) return { white: tub.card.overWhite, black: tub.card.overBlack }
  const pigment = pigmentOf(tub)
  return pigment && { white: filmHex(pigment, usualPaper, usualFilm), black: hexOf(film(black, pigment, usualFilm)) }
}
