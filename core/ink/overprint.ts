import { deltaE, type Lab, labOf } from './colour'
import { film, type Pigment } from './kubelka-munk'
import { mostLayers } from './roll-up'
import type { Spectrum } from './spectrum'

/** One layer of the print as a film. Thickness in µm. */
export interface Film {
  pigment: Pigment
  thickness: number
}

/**
 * Every overlap of some layers on a paper (models.md, M7), laid in the given order.
 * @param paper the paper's reflectance
 * @param films one for each layer
 * @param order indices of the films, first laid first
 * @returns 2ⁿ reflectances; bit i of the index says that layer i is there, so 0 is the bare paper
 */
export function overlaps(paper: Spectrum, films: readonly Film[], order: readonly number[]): Spectrum[] {
  const seen: Spectrum[] = [paper]
  for (let set = 1; set < 1 << films.length; set++) {
    // The last laid of the set lies over what the others make without it.
    const top = order.findLast((layer) => (set & (1 << layer)) !== 0)!
    seen[set] = film(seen[set & ~(1 << top)]!, films[top]!.pigment, films[top]!.thickness)
  }
  return seen
}

/** What an overlap should look like. */
export type Wish =
  | { layers: number; keep: 'colour'; colour: Lab }
  /** Near a layer's own colour on white. */
  | { layers: number; keep: 'layer'; layer: number }
  | { layers: number; keep: 'paper' }

export interface RankedOrder {
  order: number[]
  /** ΔE00 of each wish, and their sum. */
  misses: number[]
  sum: number
}

/** All orders of n things, in lexical order. */
export function orders(n: number): number[][] {
  if (n === 0) return [[]]
  const all: number[][] = []
  const grow = (begun: number[]) => {
    if (begun.length === n) all.push(begun)
    for (let next = 0; next < n; next++) if (!begun.includes(next)) grow([...begun, next])
  }
  grow([])
  return all
}

/**
 * All orders of some layers, best first by the summed differences from the wishes. An overlap's colour hangs only on the
 * order of its own layers, so each is worked out once.
 * @param white ground on which a layer's own colour is seen
 * @throws RangeError for more than seven layers
 */
export function rankOrders(
  paper: Spectrum,
  white: Spectrum,
  films: readonly Film[],
  wishes: readonly Wish[],
): RankedOrder[] {
  if (films.length > mostLayers)
    throw new RangeError(`At most ${mostLayers} layers are put in order; ${films.length} were given.`)
  const colours = new Map<string, { reflectance: Spectrum; lab: Lab }>()
  const laid = (layers: readonly number[]): { reflectance: Spectrum; lab: Lab } => {
    const key = layers.join(' ')
    let known = colours.get(key)
    if (!known) {
      const top = films[layers.at(-1)!]
      const reflectance = top ? film(laid(layers.slice(0, -1)).reflectance, top.pigment, top.thickness) : paper
      colours.set(key, (known = { reflectance, lab: labOf(reflectance) }))
    }
    return known
  }
  const wanted = wishes.map((wish) => {
    if (wish.keep === 'colour') return wish.colour
    if (wish.keep === 'paper') return labOf(paper)
    const { pigment, thickness } = films[wish.layer]!
    return labOf(film(white, pigment, thickness))
  })
  const misses = new Map<string, number>()
  const missOf = (order: readonly number[], i: number) => {
    const layers = order.filter((layer) => (wishes[i]!.layers & (1 << layer)) !== 0)
    const key = `${i}:${layers.join(' ')}`
    let known = misses.get(key)
    if (known === undefined) misses.set(key, (known = deltaE(laid(layers).lab, wanted[i]!)))
    return known
  }
  const ranked = orders(films.length).map((order) => {
    const each = wishes.map((_, i) => missOf(order, i))
    return { order, misses: each, sum: each.reduce((sum, miss) => sum + miss, 0) }
  })
  return ranked.sort((a, b) => a.sum - b.sum)
}
