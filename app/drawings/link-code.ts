import { encode } from 'uqr'

/** A link as a code to be read by a camera: its dark squares as runs, in squares of the code, the quiet edge outside. */
export interface LinkCode {
  /** Squares along an edge. */
  size: number
  runs: { x: number; y: number; length: number }[]
}

export function linkCode(link: string): LinkCode {
  const { data, size } = encode(link, { border: 0, ecc: 'M' })
  const runs = data.flatMap((row, y) => {
    const found: LinkCode['runs'] = []
    row.forEach((isDark, x) => {
      if (!isDark) return
      const before = found.at(-1)
      if (before && before.x + before.length === x) before.length += 1
      else found.push({ x, y, length: 1 })
    })
    return found
  })
  return { size, runs }
}
