import { corrected } from './corrected'
import type { Component } from './component'
import { type Card, readCard, type SeenDrawDown } from './draw-down'
import { type Mixed, mixOf, type Pigment } from './kubelka-munk'
import { type InkNature, starterInk } from './pigments'
import { even } from './spectrum'

/** What of a tub tells what it does in a film. */
export interface TubOnShelf {
  name: string
  nature: InkNature
  /** Draw-down over white and over black, or null while there is none. */
  card: Card | null
  /** How strongly it tints beside an ink of strength 1. */
  tinting: number
  /** g/cm³. */
  density: number
}

/** What of the store is needed to tell the colour of a mix, by id. */
export interface Shelf {
  tubs: ReadonlyMap<string, TubOnShelf>
  batches: ReadonlyMap<string, { components: readonly Component[]; drawDown: SeenDrawDown | null }>
}

/** A mix as far as it is known. */
export interface KnownMix {
  pigment: Pigment
  /** Share of its weight whose colour nobody knows; the prediction leaves it out. */
  unknown: number
  /** g/cm³. */
  density: number
}

const clear = (): Pigment => ({ k: even(0.0002), s: even(0) })

/**
 * What a tub does in a film: from its draw-down; without one as the starter ink of the same name; base, extender, oil and
 * drier as clear. Null when nothing is known of its colour.
 */
export function pigmentOf(tub: Pick<TubOnShelf, 'name' | 'nature' | 'card'>): Pigment | null {
  if (tub.card) {
    const reading = readCard(tub.card)
    if ('pigment' in reading) return reading.pigment
  }
  const starter = starterInk(tub.name)
  if (starter) return starter.pigment
  return tub.nature === 'pigment' || tub.nature === 'white' ? null : clear()
}

/**
 * Predicted colour of some components, left-overs among them followed to their tubs; a batch that was drawn down is taken
 * as it was seen. Null when the colour of none of it is known.
 */
export function mixFrom(
  components: readonly Component[],
  shelf: Shelf,
  beneath: readonly string[] = [],
): KnownMix | null {
  const known: Mixed[] = []
  let whole = 0
  let unknown = 0
  let volume = 0
  for (const { tubId, batchId, name, milligrams } of components) {
    if (!(milligrams > 0)) continue
    whole += milligrams
    const found =
      batchId !== null && !beneath.includes(batchId) ? ofBatch(batchId, shelf, beneath) : ofTub(tubId, name, shelf)
    volume += milligrams / (found?.density ?? 1.1)
    if (found) known.push({ mass: milligrams * (1 - found.unknown), tinting: found.tinting, pigment: found.pigment })
    unknown += milligrams * (found?.unknown ?? 1)
  }
  if (known.every((one) => one.mass === 0)) return null
  return { pigment: mixOf(known), unknown: unknown / whole, density: whole / volume }
}

function ofTub(tubId: string | null, name: string, { tubs }: Shelf): (KnownMix & { tinting: number }) | null {
  const tub = (tubId === null ? undefined : tubs.get(tubId)) ??
    [...tubs.values()].find((known) => known.name === name) ?? {
      name,
      nature: 'pigment' as const,
      card: null,
      tinting: 1,
      density: 1.1,
    }
  const pigment = pigmentOf(tub)
  return pigment && { pigment, unknown: 0, density: tub.density, tinting: tub.tinting }
}

function ofBatch(batchId: string, shelf: Shelf, beneath: readonly string[]): (KnownMix & { tinting: number }) | null {
  const batch = shelf.batches.get(batchId)
  const mix = batch && predictedBatch(batch, shelf, [...beneath, batchId])
  return mix ? { ...mix, tinting: 1 } : null
}

/** A batch's ink: as its draw-down showed it, or as its components make it. */
export function predictedBatch(
  { components, drawDown }: { components: readonly Component[]; drawDown: SeenDrawDown | null },
  shelf: Shelf,
  beneath: readonly string[] = [],
): KnownMix | null {
  const mix = mixFrom(components, shelf, beneath)
  return mix && drawDown
    ? { ...mix, pigment: corrected(mix.pigment, drawDown.ground, drawDown.colour, drawDown.thickness), unknown: 0 }
    : mix
}
