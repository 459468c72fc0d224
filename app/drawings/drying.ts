import { scaleLog } from 'd3-scale'
import { select } from 'd3-selection'
import { type Drying, type Moment, momentsInOrder } from '#core/drying/moments'
import { dayWords } from './drying-words'

const hour = 3600_000
const left = 128
const right = 16
const rowHeight = 34
const foot = 26

export const momentWords: Record<Moment, string> = {
  touch: 'dry to the touch',
  overprint: 'fit to print on',
  stack: 'fit to stack',
  ship: 'fit to ship',
}

/** The four moments as bars over the hours since the pull, early hours drawn wide; a line where it is now. */
export function drawDrying(
  svg: SVGSVGElement,
  { moments, latest }: Drying,
  since: number,
  now: number,
  width: number,
): void {
  const height = momentsInOrder.length * rowHeight + foot
  const first = moments.touch.from
  const end = Math.max(moments.ship.to, latest ?? 0)
  const x = scaleLog([first / 1.5, end * 1.1], [left, width - right]).clamp(true)
  const root = select(svg).attr('viewBox', `0 0 ${width} ${height}`).attr('width', width).attr('height', height)
  root.selectAll('*').remove()
  momentsInOrder.forEach((moment, row) => {
    const { from, to } = moments[moment]
    const y = row * rowHeight
    root
      .append('text')
      .attr('class', 'name')
      .attr('x', 0)
      .attr('y', y + 20)
      .text(momentWords[moment])
    root
      .append('rect')
      .attr('class', 'perhaps')
      .attr('x', x(from))
      .attr('y', y + 8)
      .attr('width', Math.max(2, x(to) - x(from)))
      .attr('height', 16)
    root
      .append('rect')
      .attr('class', 'surely')
      .attr('x', x(to))
      .attr('y', y + 8)
      .attr('width', Math.max(0, x(moment === 'overprint' && latest !== null ? latest : end * 1.1) - x(to)))
      .attr('height', 16)
    root
      .append('text')
      .attr('class', 'when')
      .attr('x', x(from) + 4)
      .attr('y', y + 20)
      .text(dayWords(since + from * hour, now))
  })
  const at = x(Math.max(first / 1.5, (now - since) / hour))
  root
    .append('line')
    .attr('class', 'now')
    .attr('x1', at)
    .attr('x2', at)
    .attr('y1', 2)
    .attr('y2', height - foot + 4)
  root
    .append('text')
    .attr('class', 'now-word')
    .attr('x', Math.min(width - 34, Math.max(left, at)))
    .attr('y', height - 8)
    .attr('text-anchor', 'middle')
    .text('now')
}

/** The same as a sentence. */
export function dryingSentence({ moments }: Drying, since: number, now: number): string {
  return momentsInOrder
    .map((moment) => {
      const at = (hours: number) => dayWords(since + hours * hour, now)
      return `${momentWords[moment]} from ${at(moments[moment].from)}, by ${at(moments[moment].to)}`
    })
    .join('; ')
}
