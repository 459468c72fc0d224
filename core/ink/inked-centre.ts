import { type Grey, histogram, otsu } from './inked-share'

/** The middle of what prints, by a picture of the block: as shares of its width and height from the upper left; `share` of it inked. */
export interface InkedCentre {
  across: number
  down: number
  share: number
}

/** Where the printing area of a picture has its centroid; null for a picture without any. */
export function inkedCentre(grey: Grey): InkedCentre | null {
  const light = otsu(histogram(grey))
  const { width, height, pixels } = grey
  let count = 0
  let sumX = 0
  let sumY = 0
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      if (pixels[y * width + x]! < light) {
        count += 1
        sumX += x + 0.5
        sumY += y + 0.5
      }
  return count === 0
    ? null
    : { across: sumX / count / width, down: sumY / count / height, share: count / (width * height) }
}
