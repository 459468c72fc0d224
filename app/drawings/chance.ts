import { pluralise } from '#core/units/pluralise'
import { scaleLinear } from 'd3-scale'
import { select } from 'd3-selection'
import { line } from 'd3-shape'
import { percent } from './words'

export interface ChancePoint {
  sheets: number
  chance: number
}

const left = 48
const foot = 30
const top = 12

/** Draw the chance of reaching the goal against sheets started, with the answers and the current choice marked. */
export function drawChance(
  svg: SVGSVGElement,
  points: readonly ChancePoint[],
  marks: readonly { sheets: number; confidence: number }[],
  chosen: number | null,
  size: { width: number; height: number },
  read: (point: ChancePoint | null) => void,
): void {
  const { width, height } = size
  const first = points[0]?.sheets ?? 0
  const last = points.at(-1)?.sheets ?? 1
  const x = scaleLinear([first, last], [left, width - 12])
  const y = scaleLinear([0, 1], [height - foot, top])
  const root = select(svg).attr('viewBox', `0 0 ${width} ${height}`).attr('width', width).attr('height', height)
  root.selectAll('*').remove()
  for (const share of [0, 0.5, 0.8, 0.9, 1]) {
    root
      .append('line')
      .attr('class', share === 0 ? 'base' : 'level')
      .attr('x1', left)
      .attr('x2', width - 12)
      .attr('y1', y(share))
      .attr('y2', y(share))
    if (share !== 0.9)
      root
        .append('text')
        .attr('class', 'scale')
        .attr('x', left - 6)
        .attr('y', y(share) + 4)
        .attr('text-anchor', 'end')
        .text(`${share * 100} %`)
  }
  for (const tick of x.ticks(Math.min(8, last - first)))
    if (Number.isInteger(tick))
      root
        .append('text')
        .attr('class', 'scale')
        .attr('x', x(tick))
        .attr('y', height - 10)
        .attr('text-anchor', 'middle')
        .text(tick)
  root
    .append('path')
    .attr('class', 'curve')
    .attr(
      'd',
      line<ChancePoint>(
        (point) => x(point.sheets),
        (point) => y(point.chance),
      )(points),
    )
  for (const { sheets, confidence } of marks) {
    const chance = points.find((point) => point.sheets === sheets)?.chance ?? confidence
    root
      .append('line')
      .attr('class', 'answer')
      .attr('x1', x(sheets))
      .attr('x2', x(sheets))
      .attr('y1', y(chance))
      .attr('y2', y(0))
    root.append('circle').attr('class', 'answer').attr('cx', x(sheets)).attr('cy', y(chance)).attr('r', 3.5)
  }
  const now = chosen === null ? undefined : points.find((point) => point.sheets === chosen)
  if (now) {
    root
      .append('line')
      .attr('class', 'chosen')
      .attr('x1', x(now.sheets))
      .attr('x2', x(now.sheets))
      .attr('y1', y(0))
      .attr('y2', top)
    root
      .append('rect')
      .attr('class', 'chosen')
      .attr('x', x(now.sheets) - 5)
      .attr('y', y(now.chance) - 5)
      .attr('width', 10)
      .attr('height', 10)
    const after = x(now.sheets) > width - 190
    root
      .append('text')
      .attr('class', 'chosen-said')
      .attr('x', x(now.sheets) + (after ? -10 : 10))
      .attr('y', y(Math.min(now.chance, 0.86)) + 22)
      .attr('text-anchor', after ? 'end' : 'start')
      .text(`${pluralise(now.sheets, 'sheet')}: ${percent(now.chance)}`)
  }
  const reader = root.append('g').attr('class', 'reader').attr('visibility', 'hidden')
  reader.append('line').attr('y1', top).attr('y2', y(0))
  reader.append('circle').attr('r', 4)
  const show = (sheets: number | null) => {
    const point = sheets === null ? undefined : points[Math.max(0, Math.min(points.length - 1, sheets - first))]
    reader.attr('visibility', point ? 'visible' : 'hidden')
    if (point) {
      reader.select('line').attr('x1', x(point.sheets)).attr('x2', x(point.sheets))
      reader.select('circle').attr('cx', x(point.sheets)).attr('cy', y(point.chance))
    }
    read(point ?? null)
    return point
  }
  let at = chosen ?? first
  root
    .on('pointermove', (event: PointerEvent) =>
      show(Math.round(x.invert((event.offsetX * width) / (svg.clientWidth || width)))),
    )
    .on('pointerleave', () => show(null))
  root
    .on('focus', () => show(at))
    .on('blur', () => show(null))
    .on('keydown', (event: KeyboardEvent) => {
      const step = ({ ArrowLeft: -1, ArrowRight: 1, PageDown: -10, PageUp: 10 } as Record<string, number>)[event.key]
      if (step === undefined) return
      event.preventDefault()
      at = show(at + step)?.sheets ?? at
    })
}
