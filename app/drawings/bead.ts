/**
 * The outline of a bead of ink as it is squeezed out on a slab: a long drop with an uneven rim, the same for the same place.
 * @param width of the bead, in px
 * @param seed which of its kinds it is, so that two beside one another are not twins
 * @returns an SVG path about the origin
 */
export function beadPath(width: number, height: number, seed: number): string {
  const points = 14
  const wave = (i: number) => 1 + 0.05 * Math.sin(i * 2.4 + seed * 1.7) + 0.03 * Math.cos(i * 4.1 + seed)
  const rim = Array.from({ length: points }, (_, i) => {
    const angle = (i / points) * 2 * Math.PI
    // Blunt at its ends, as what is drawn along with a knife.
    const blunt = (value: number) => Math.sign(value) * Math.abs(value) ** 0.55
    return [
      (width / 2) * blunt(Math.cos(angle)) * wave(i),
      (height / 2) * blunt(Math.sin(angle)) * wave(i + 3),
    ] as const
  })
  const middle = (a: readonly [number, number], b: readonly [number, number]) =>
    `${((a[0] + b[0]) / 2).toFixed(1)},${((a[1] + b[1]) / 2).toFixed(1)}`
  const bends = rim.map((point, i) => {
    const next = rim[(i + 1) % points]!
    return `Q${point[0].toFixed(1)},${point[1].toFixed(1)} ${middle(point, next)}`
  })
  return `M${middle(rim.at(-1)!, rim[0]!)} ${bends.join(' ')}Z`
}
