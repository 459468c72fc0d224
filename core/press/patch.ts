import { type Drawing, rectangle, type Shape, words } from '../drawing/shapes'

const edge = 12
/** What a patch covers around the middle of the places, mm. */
const radius = 15

/**
 * Where to paste a patch of thin paper behind a weak place: the image in full size with its marks, as one sees it from
 * above the press, which is the reverse of the print.
 * @param places mm from the image's upper left corner, as the print is seen
 */
export function patchGuide(
  image: { width: number; height: number },
  places: readonly { x: number; y: number; words: string }[],
  title: string,
): Drawing {
  const marks = places.flatMap(({ x, y, words: said }): Shape[] => {
    const [cx, cy] = [edge + image.width - x, edge + y]
    return [
      { kind: 'circle', pen: 'mark', x: cx, y: cy, radius: 1.5 },
      { kind: 'circle', pen: 'block', x: cx, y: cy, radius },
      words(said, cx, cy + radius + 4, 3.2, 'middle'),
    ]
  })
  return {
    width: image.width + 2 * edge,
    height: image.height + 2 * edge + 8,
    shapes: [
      rectangle('image', edge, edge, image.width, image.height),
      ...marks,
      words(
        `${title}, seen from above the press, reversed. Patch smaller steps outwards; print at 100 %.`,
        edge,
        image.height + 2 * edge + 2,
        2.8,
      ),
      words('head', edge + image.width / 2, edge - 3, 2.8, 'middle'),
    ],
  }
}
