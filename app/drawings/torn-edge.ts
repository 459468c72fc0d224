import { curveBasis, line } from 'd3-shape'

/**
 * The soft edge a sheet has where it was torn: a line that wavers, the same on every visit, and the sheet under it.
 * @param width and height of the edge, px
 */
export function tornEdge(width: number, height: number): { line: string; sheet: string } {
  const steps = 90
  const points: [number, number][] = Array.from({ length: steps + 1 }, (_, i) => {
    const waver = Math.sin(i * 1.7) * 0.35 + Math.sin(i * 0.61 + 1) * 0.4 + Math.sin(i * 4.3) * 0.2
    return [(i / steps) * width, height * (0.5 + 0.45 * waver)]
  })
  const edge = line().curve(curveBasis)(points) ?? ''
  return { line: edge, sheet: `${edge}L${width},${height}L0,${height}Z` }
}
