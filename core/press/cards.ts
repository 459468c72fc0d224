/** Cards of one kind in the drawer. Thickness in mm. */
export interface CardKind {
  id: string
  name: string
  thickness: number
  count: number
}

/** Cards that together come nearest to a missing thickness. */
export interface CardSet {
  /** How many of each kind, those taken only. */
  cards: { id: string; name: string; thickness: number; count: number }[]
  sum: number
  /** What is missing still, mm: below zero the cards are too thick by so much. */
  missing: number
}

const grain = 100
const inGrains = (mm: number) => Math.round(mm * grain)

/**
 * The cards nearest to a thickness (models.md, M10): exact over every choice the drawer allows, at 0.01 mm; of two equally near the
 * thinner, then the one of fewest cards.
 * @param missing what the packing lacks, mm
 */
export function nearestCards(drawer: readonly CardKind[], missing: number): CardSet {
  const target = Math.max(0, inGrains(missing))
  // No card at all misses by the target: nothing beyond twice of it can be nearer.
  const most = 2 * target
  const kinds = drawer.filter((kind) => kind.count > 0 && inGrains(kind.thickness) > 0)
  const layers: Int32Array[] = [Int32Array.from({ length: most + 1 }, (_, sum) => (sum === 0 ? 0 : unreachable))]
  for (const kind of kinds) layers.push(withKind(layers.at(-1)!, inGrains(kind.thickness), kind.count))
  const last = layers.at(-1)!
  let best = 0
  for (let sum = 1; sum <= most; sum++)
    if (last[sum]! < unreachable && Math.abs(sum - target) < Math.abs(best - target)) best = sum
  const cards = taken(kinds, layers, best)
  return { cards, sum: best / grain, missing: missing - best / grain }
}

const unreachable = 2 ** 30

/** Fewest cards for every sum once this kind may be taken too, up to its count: a sliding minimum along each residue. */
function withKind(before: Int32Array, thick: number, count: number): Int32Array {
  const after = new Int32Array(before.length).fill(unreachable)
  for (let residue = 0; residue < Math.min(thick, before.length); residue++) {
    // Places of the window, best first; a place's worth is its cards less those that lead up to it.
    const window: number[] = []
    let from = 0
    for (let k = 0, sum = residue; sum < before.length; k++, sum += thick) {
      const worth = (at: number) => before[residue + at * thick]! - at
      while (window.length > from && worth(window.at(-1)!) >= worth(k)) window.pop()
      window.push(k)
      if (window[from]! < k - count) from += 1
      const cards = worth(window[from]!) + k
      after[sum] = Math.min(unreachable, cards)
    }
  }
  return after
}

/** Which cards make up a sum, read back from the last kind to the first. */
function taken(kinds: readonly CardKind[], layers: readonly Int32Array[], sum: number): CardSet['cards'] {
  const cards: CardSet['cards'] = []
  let left = sum
  for (let i = kinds.length - 1; i >= 0; i--) {
    const { id, name, thickness, count } = kinds[i]!
    const thick = inGrains(thickness)
    let used = 0
    while (used < count && layers[i]![left - used * thick] !== layers[i + 1]![left]! - used) used += 1
    if (used > 0) cards.unshift({ id, name, thickness, count: used })
    left -= used * thick
  }
  return cards
}
