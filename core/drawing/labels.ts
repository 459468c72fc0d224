/** An upright box, in mm. */
export interface Box {
  left: number
  top: number
  right: number
  bottom: number
}

/** A place for a label: where its base line starts or ends. */
export interface LabelPlace {
  x: number
  y: number
  anchor: 'start' | 'end'
}

/** Width of a letter for its size, a little above the mean of figures and capitals in the faces that are drawn with. */
const letterWidth = 0.56

const overlap = (a: Box, b: Box) => a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom

/** The box a text takes, base line at `y`. */
export function boxOf(
  text: string,
  { x, y, anchor }: { x: number; y: number; anchor: 'start' | 'middle' | 'end' },
  size: number,
): Box {
  const width = text.length * letterWidth * size
  const left = anchor === 'start' ? x : anchor === 'end' ? x - width : x - width / 2
  return { left, top: y - 0.8 * size, right: left + width, bottom: y + 0.25 * size }
}

/**
 * The first place where a label lies within the drawing and over nothing; failing that the first where it covers no
 * other label, then the first of all.
 * @param labels boxes of texts that must not be covered, @param lines boxes of lines that had better not be
 */
export function placeLabel(
  text: string,
  size: number,
  places: readonly LabelPlace[],
  within: { width: number; height: number },
  labels: readonly Box[],
  lines: readonly Box[],
): LabelPlace {
  const inside = places.filter((place) => {
    const box = boxOf(text, place, size)
    return box.left >= 0 && box.top >= 0 && box.right <= within.width && box.bottom <= within.height
  })
  const clear = (place: LabelPlace, taken: readonly Box[]) =>
    !taken.some((box) => overlap(boxOf(text, place, size), box))
  const bare = inside.filter((place) => clear(place, labels))
  return bare.find((place) => clear(place, lines)) ?? bare[0] ?? places[0]!
}
