import { scaleLinear } from 'd3-scale'
import { select } from 'd3-selection'
import { line, curveBasis } from 'd3-shape'
import type { FlowStage } from '#core/edition/flow'

const post = 38
const top = 22
const tall = 104
const below = 62

/** Draw the ribbon from torn to signed: it thins at each stage, and what is lost falls away with its fault named. */
export function drawStream(svg: SVGSVGElement, stages: readonly FlowStage[], width: number): void {
  const most = Math.max(1, ...stages.map((stage) => stage.sheets))
  const high = scaleLinear([0, most], [0, tall])
  const gap = (width - post) / Math.max(1, stages.length)
  const x = (i: number) => i * gap
  const root = select(svg)
    .attr('viewBox', `0 0 ${width} ${top + tall + below}`)
    .attr('width', width)
    .attr('height', top + tall + below)
  root.selectAll('*').remove()
  stages.forEach((stage, i) => {
    const next = stages[i + 1]
    const lost = stage.losses.reduce((sum, loss) => sum + loss.sheets, 0)
    const going = next ? Math.min(next.sheets, stage.sheets - lost) : stage.sheets - lost
    const waiting = next ? Math.max(0, stage.sheets - lost - going) : 0
    const wide = gap - post
    if (going > 0)
      root
        .append('rect')
        .attr('class', 'flow')
        .attr('x', x(i) + post)
        .attr('y', top)
        .attr('width', next ? wide : wide * 0.8)
        .attr('height', high(going))
    if (waiting > 0) {
      root
        .append('rect')
        .attr('class', 'waiting-flow')
        .attr('x', x(i) + post)
        .attr('y', top + high(going))
        .attr('width', wide)
        .attr('height', high(waiting))
      root
        .append('text')
        .attr('class', 'said')
        .attr('x', x(i) + post + 10)
        .attr('y', top + high(going) + Math.max(13, high(waiting) / 2 + 4))
        .text(`${waiting} still to go`)
    }
    if (stage.doubtful > 0)
      root
        .append('rect')
        .attr('class', 'doubtful-flow')
        .attr('x', x(i) + post)
        .attr('y', top + high(going + waiting) - high(stage.doubtful))
        .attr('width', Math.min(wide, 60))
        .attr('height', high(stage.doubtful))
    root
      .append('rect')
      .attr('class', 'post')
      .attr('x', x(i))
      .attr('y', top)
      .attr('width', post)
      .attr('height', Math.max(2, high(stage.sheets)))
    root
      .append('text')
      .attr('class', high(stage.sheets) > 22 ? 'sheets' : 'sheets outside')
      .attr('x', x(i) + post / 2)
      .attr('y', high(stage.sheets) > 22 ? top + high(stage.sheets) / 2 + 5 : top + high(stage.sheets) + 15)
      .text(stage.sheets)
    root.append('text').attr('class', 'label').attr('x', x(i)).attr('y', 13).text(stage.label)
    if (lost > 0) drawLoss(root, stage, x(i) + post, top + high(stage.sheets), Math.max(2, high(lost)))
  })
}

function drawLoss(
  root: ReturnType<typeof select<SVGSVGElement, unknown>>,
  stage: FlowStage,
  x: number,
  y: number,
  thick: number,
): void {
  const fall: [number, number][] = [
    [x, y - thick / 2],
    [x + 22, y - thick / 2 + 3],
    [x + 36, y + 14],
    [x + 40, y + 24],
  ]
  root
    .append('path')
    .attr('class', 'loss')
    .attr('d', line().curve(curveBasis)(fall))
    .attr('stroke-width', Math.min(thick, 14))
  stage.losses.slice(0, 3).forEach((loss, i) =>
    root
      .append('text')
      .attr('class', 'lost')
      .attr('x', x + 48)
      .attr('y', y + 22 + i * 14)
      .text(`${loss.sheets} ${loss.what}`),
  )
}

/** The stream in a sentence. */
export function streamSentence(stages: readonly FlowStage[]): string {
  return stages
    .map((stage) => {
      const losses = stage.losses.map((loss) => `${loss.sheets} ${loss.what}`).join(', ')
      return `${stage.label} ${stage.sheets}${losses ? `, lost ${losses}` : ''}`
    })
    .join('; ')
}
