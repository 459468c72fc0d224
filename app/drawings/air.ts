import { pluralise } from '#core/units/pluralise'
import { hourIn, tickDay } from '~/format/days'
import { scaleLinear, scaleTime } from 'd3-scale'
import { select } from 'd3-selection'
import { line } from 'd3-shape'
import type { Reading } from '#core/stores/climate/state'

const margin = { left: 40, right: 12, top: 16, gap: 30, bottom: 22 }
const tall = 84
const foot = margin.top + 2 * tall + margin.gap

/** Hours further apart than this were not read: the line breaks. ms. */
const longestGap = 2.5 * 3600_000

/** Temperature above, humidity below, hour by hour on one axis of time. */
export function drawAir(svg: SVGSVGElement, readings: readonly Reading[], width: number): void {
  const times = readings.map(({ at }) => Date.parse(at))
  const right = width - margin.right
  const x = scaleTime([times[0]!, times.at(-1)!], [margin.left, right])
  const root = select(svg)
    .attr('viewBox', `0 0 ${width} ${foot + margin.bottom}`)
    .attr('width', width)
  root.selectAll('*').remove()
  const text = (words: string, at: number, y: number, anchor = 'start') =>
    root.append('text').attr('x', at).attr('y', y).attr('text-anchor', anchor).text(words)
  const one = (key: 'temperature' | 'humidity', words: string, top: number) => {
    const values = readings.map((reading) => reading[key])
    const y = scaleLinear([Math.min(...values) - 1, Math.max(...values) + 1], [top + tall, top]).nice(4)
    const path = line<[number, number]>()
      .x(([at]) => x(at))
      .y(([, value]) => y(value))
    for (const tick of y.ticks(4)) {
      root
        .append('line')
        .attr('class', 'rule')
        .attr('x1', margin.left)
        .attr('x2', right)
        .attr('y1', y(tick))
        .attr('y2', y(tick))
      text(String(tick), margin.left - 6, y(tick) + 4, 'end').attr('class', 'tick')
    }
    for (const stretch of unbroken(readings.map((reading, i) => [times[i]!, reading[key]])))
      root.append('path').attr('class', `curve ${key}`).attr('d', path(stretch))
    text(words, margin.left, top - 5).attr('class', 'name')
  }
  one('temperature', 'Temperature, °C', margin.top)
  one('humidity', 'Humidity, %', margin.top + tall + margin.gap)
  for (const tick of x.ticks(Math.max(2, Math.floor(width / 130))))
    text(momentWords(tick), x(tick), foot + 16, 'middle').attr('class', 'tick')
}

/** A tick of the axis of time: the day at midnight, else the hour. */
function momentWords(tick: Date): string {
  const hours = hourIn(tick.getTime())
  return hours === 0 ? tickDay(tick.getTime()) : `${String(hours).padStart(2, '0')}:00`
}

function unbroken(points: [number, number][]): [number, number][][] {
  const stretches: [number, number][][] = []
  for (const point of points) {
    const last = stretches.at(-1)?.at(-1)
    if (last && point[0] - last[0] <= longestGap) stretches.at(-1)!.push(point)
    else stretches.push([point])
  }
  return stretches
}

/** The chart in a sentence. */
export function airSentence(readings: readonly Reading[]): string {
  const span = (key: 'temperature' | 'humidity') => {
    const values = readings.map((reading) => reading[key])
    return `${Math.min(...values)} to ${Math.max(...values)}`
  }
  const days = Math.max(1, Math.round((Date.parse(readings.at(-1)!.at) - Date.parse(readings[0]!.at)) / 86_400_000))
  return `The air over ${days === 1 ? 'a day' : pluralise(days, 'day')}, ${pluralise(readings.length, 'reading')}: ${span('temperature')} °C, ${span('humidity')} % humidity.`
}
