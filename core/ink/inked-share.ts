/** A grey picture, a byte a pixel, row by row; 0 is black. */
export interface Grey {
  width: number
  height: number
  pixels: Uint8Array
}

/** Luma of red, green, blue and alpha bytes, over white where the picture is clear (ITU-R BT.709 weights). */
export function greyOf(rgba: Uint8ClampedArray, width: number, height: number): Grey {
  const pixels = new Uint8Array(width * height)
  for (let i = 0, at = 0; i < pixels.length; i++, at += 4) {
    const luma = (54 * rgba[at]! + 183 * rgba[at + 1]! + 19 * rgba[at + 2]!) >> 8
    const alpha = rgba[at + 3]!
    pixels[i] = alpha === 255 ? luma : 255 - ((((255 - luma) * alpha) / 255) | 0)
  }
  return { width, height, pixels }
}

/** A part of the picture, in shares of its width and height. */
export interface Area {
  left: number
  top: number
  width: number
  height: number
}

/** How many pixels there are of each grey, those in `masked` areas left out. */
export function histogram({ width, height, pixels }: Grey, masked: readonly Area[] = []): Uint32Array {
  const counts = new Uint32Array(256)
  const out = masked.map((area) => ({
    left: Math.round(area.left * width),
    right: Math.round((area.left + area.width) * width),
    top: Math.round(area.top * height),
    bottom: Math.round((area.top + area.height) * height),
  }))
  for (let y = 0; y < height; y++) {
    const here = out.filter((area) => y >= area.top && y < area.bottom)
    for (let x = 0; x < width; x++) {
      if (here.length > 0 && here.some((area) => x >= area.left && x < area.right)) continue
      counts[pixels[y * width + x]!]! += 1
    }
  }
  return counts
}

/**
 * The grey that parts dark from light best: the largest variance between the two classes. Source: N. Otsu, IEEE
 * Transactions on Systems, Man, and Cybernetics 9 (1979).
 * @returns the darkest grey that counts as light; the middle of the stretch when several part them alike, 128 for an even picture
 */
export function otsu(counts: Uint32Array): number {
  let whole = 0
  let sum = 0
  counts.forEach((count, grey) => {
    whole += count
    sum += grey * count
  })
  let dark = 0
  let darkSum = 0
  let best = 0
  let first = 128
  let last = 128
  for (let grey = 0; grey < 255; grey++) {
    dark += counts[grey]!
    darkSum += grey * counts[grey]!
    if (dark === 0 || dark === whole) continue
    const apart = darkSum / dark - (sum - darkSum) / (whole - dark)
    const between = dark * (whole - dark) * apart * apart
    if (between > best * (1 + 1e-12)) {
      best = between
      first = last = grey + 1
    } else if (between >= best * (1 - 1e-12)) last = grey + 1
  }
  return Math.round((first + last) / 2)
}

/**
 * Share of the whole picture that carries ink. What is cut away (`masked` counts) carries none, though it may look dark.
 * @param threshold greys darker than this count as inked, or lighter ones when `light` is inked
 */
export function inkedShare(counts: Uint32Array, pixels: number, threshold: number, light = false): number {
  let dark = 0
  let all = 0
  counts.forEach((count, grey) => {
    all += count
    if (grey < threshold) dark += count
  })
  return pixels === 0 ? 0 : (light ? all - dark : dark) / pixels
}
