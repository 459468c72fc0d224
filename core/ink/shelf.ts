import { corrected } from './corrected'
import type { Held, InMix } from './component'
import type { InkFamily } from './family'
import { type Card, readCard, type SeenDrawDown } from './draw-down'
import { type Mixed, mixOf, type Pigment } from './kubelka-munk'
import { type InkNature, starterInk } from './pigments'
import { even } from './spectrum'

/** What of a tub tells what it does in a film. */
export interface TubOnShelf {
  name: string
  nature: InkNature
  family: InkFamily
  /** Share of a mix the maker allows, in percent, or null. */
  limits: { least: number; most: number } | null
  /** Draw-down over white and over black, or null while there is none. */
  card: Card | null
  /** How strongly it tints beside an ink of strength 1. */
  tinting: number
  /** g/cm³. */
  density: number
}

/** What a batch is made of, and how it was seen. */
interface Contents {
  components: readonly InMix[]
  drawDown: SeenDrawDown | null
}

/** What of the store is needed to tell the colour of a mix, by id. */
export interface Shelf {
  tubs: ReadonlyMap<string, TubOnShelf>
  batches: ReadonlyMap<string, { name: string; family: InkFamily } & Contents>
}

/** A mix as far as it is known. */
export interface KnownMix {
  pigment: Pigment
  /** Share of its weight whose colour nobody knows; the prediction leaves it out. */
  unknown: number
  /** g/cm³. */
  density: number
  /** How strongly what is known of it tints beside an ink of strength 1, by weight. */
  tinting: number
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
export function mixFrom(components: readonly InMix[], shelf: Shelf, beneath: readonly string[] = []): KnownMix | null {
  const known: Mixed[] = []
  let whole = 0
  let unknown = 0
  let volume = 0
  let tinted = 0
  for (const { tubId, batchId, held, name, milligrams } of components) {
    if (!(milligrams > 0)) continue
    whole += milligrams
    const found =
      batchId !== null && !beneath.includes(batchId)
        ? ofBatch(batchId, held ?? null, shelf, beneath)
        : ofTub(tubId, name, shelf)
    volume += milligrams / (found?.density ?? 1.1)
    if (found) {
      const mass = milligrams * (1 - found.unknown)
      known.push({ mass, tinting: found.tinting, pigment: found.pigment })
      tinted += mass * found.tinting
    }
    unknown += milligrams * (found?.unknown ?? 1)
  }
  if (known.every((one) => one.mass === 0)) return null
  return {
    pigment: mixOf(known),
    unknown: unknown / whole,
    density: whole / volume,
    tinting: tinted / (whole - unknown),
  }
}

function ofTub(tubId: string | null, name: string, { tubs }: Shelf): KnownMix | null {
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

/** A left-over in a mix: as it was when it was poured, and where that is not known as it is now. */
function ofBatch(batchId: string, held: Held | null, shelf: Shelf, beneath: readonly string[]): KnownMix | null {
  const contents = held ?? shelf.batches.get(batchId)
  return contents ? predictedBatch(contents, shelf, [...beneath, batchId]) : null
}

/** A batch's ink: as its draw-down showed it, or as its components make it. */
export function predictedBatch(
  { components, drawDown }: Contents,
  shelf: Shelf,
  beneath: readonly string[] = [],
): KnownMix | null {
  const mix = mixFrom(components, shelf, beneath)
  return mix && drawDown
    ? { ...mix, pigment: corrected(mix.pigment, drawDown.ground, drawDown.colour, drawDown.thickness), unknown: 0 }
    : mix
}
