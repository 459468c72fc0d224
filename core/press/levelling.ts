/** A place on a platen, mm from its middle, right and down. */
export interface OnPlaten {
  x: number
  y: number
}

/** A support of printing height that brings the pressure back under the middle of the platen. */
export interface Support extends OnPlaten {
  /** What of it bears, mm². */
  area: number
}

/** So near to the middle a platen stays level, as a share of its smaller side. */
const level = 0.03

/**
 * Where a platen wants support (craft.md, step 2): pressure tilts towards the centroid of what prints, and a piece of printing height
 * on the other side levels it. Its area times its distance equals the print's.
 * @param area that prints, mm², @param centre its centroid, @param bed the platen
 * @returns null where it is level without
 */
export function supportFor(area: number, centre: OnPlaten, bed: { width: number; height: number }): Support | null {
  const off = Math.hypot(centre.x, centre.y)
  if (off <= level * Math.min(bed.width, bed.height) || area <= 0) return null
  // Far out on the line through its middle, a quarter of the way kept clear for the support's own size.
  const [ux, uy] = [-centre.x / off, -centre.y / off]
  const reach =
    0.75 *
    Math.min(...[ux && bed.width / 2 / Math.abs(ux), uy && bed.height / 2 / Math.abs(uy)].filter((way) => way > 0))
  return { x: ux * reach, y: uy * reach, area: (area * off) / reach }
}
