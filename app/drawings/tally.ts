import { clock } from '~/format/days'
import { doerWords } from '#core/ground/envelope'
import { standardWord } from '#core/edition/standards'
import { select } from 'd3-selection'
import type { Adjustment, EditionState } from '#core/edition/state'
import type { Pull } from '#core/edition/pull'
import { layerOf } from '#core/edition/layer'
import { faultWord } from '#core/print/faults'
import { adjustmentWord } from '#core/print/verdicts'

/** One stroke of the tally. */
export interface Stroke {
  key: string
  kind: string
  verdict: string
  bat: boolean
  stored: boolean
  disputed: boolean
  rescued: boolean
  /** The pull in a sentence, for a screen reader and the line beneath. */
  sentence: string
  /** Adjustments made just before it, in words. */
  ticks: string[]
}

export interface TallyLayout {
  /** Width of a stroke's cell. */
  cell: number
  /** Height of a full stroke, in cells. */
  tall: number
  /** Strokes in a row, in whole fives; twenty-five where nothing is said. */
  perRow?: number
}

const most = 25
const gapAfterFive = 0.75

/** As many fives in a row as a width holds, one at least and five at most. */
export function strokesPerRow(width: number, cell: number): number {
  const five = 5 + gapAfterFive
  return 5 * Math.min(most / 5, Math.max(1, Math.floor((width / cell + gapAfterFive - 0.4) / five)))
}
const shapes: Record<string, string> = { 'warm-up': 'warm-up', proof: 'proof', ghost: 'ghost', practice: 'ghost' }

/** What a stroke looks like: its kind, or for a pull its verdict. */
function shapeOf(stroke: Pick<Stroke, 'kind' | 'verdict'>): string {
  return shapes[stroke.kind] ?? stroke.verdict
}

/** The last strokes of an edition as the lists tell them, for a tally that is only looked at. */
export function smallTally(
  strokes: readonly { kind: string; verdict: string; bat: boolean; voided: boolean }[],
): Stroke[] {
  return strokes
    .filter(({ voided }) => !voided)
    .map(({ kind, verdict, bat }, i) => ({
      key: String(i),
      kind,
      verdict,
      bat,
      stored: true,
      disputed: false,
      rescued: false,
      sentence: '',
      ticks: [],
    }))
}

/** The strokes of one layer (or all), voided pulls left out, with the adjustments made before each. */
export function strokesOf(
  state: EditionState,
  layerId: string | null,
  isStored: (pullId: string) => boolean,
  nameOf: (id: string) => string,
): Stroke[] {
  const shown = state.pulls.filter((pull) => (layerId === null || pull.layerId === layerId) && !pull.voided)
  const adjustments = state.adjustments.filter((a) => !a.voided && (layerId === null || a.layerId === layerId))
  return shown.map((pull, i) => {
    const from = shown[i - 1]?.ordinal ?? 0
    const stored = isStored(pull.pullId)
    const bat = state.standards.some(({ pullId }) => pullId === pull.pullId)
    const standard = bat ? `the ${standardWord(state, pull.layerId)}` : ''
    const words = ticksBefore(adjustments, from, pull.ordinal)
    const layer = layerOf(state, pull.layerId)?.name ?? ''
    const by = doerWords(pull, nameOf)
    // Written out once: a stroke that is as it was is the same object, and is not drawn again.
    const said = `${stored} ${standard} ${layer} ${by} ${words.join()}`
    const known = written.get(pull)
    if (known?.said === said) return known.stroke
    const stroke = strokeOf(pull, { stored, bat, standard, layer, by, words })
    written.set(pull, { said, stroke })
    return stroke
  })
}

/** Strokes written out before, by the pull they stand for; a pull that changes is another object. */
const written = new WeakMap<Pull, { said: string; stroke: Stroke }>()

/** What a stroke says beside what its pull does. */
interface Beside {
  stored: boolean
  bat: boolean
  /** “the BAT”, “the standard”, or empty. */
  standard: string
  layer: string
  by: string
  words: string[]
}

function strokeOf(pull: Pull, beside: Beside): Stroke {
  return {
    key: pull.pullId,
    kind: pull.kind,
    verdict: pull.verdict,
    bat: beside.bat,
    stored: beside.stored,
    disputed: pull.disputed !== null,
    rescued: pull.rescued !== null,
    sentence: sentenceOf(pull, beside),
    ticks: beside.words,
  }
}

function ticksBefore(adjustments: Adjustment[], from: number, to: number): string[] {
  return adjustments.filter((a) => a.afterPull >= from && a.afterPull < to).map((a) => adjustmentWord(a.kind))
}

/** The sheets of a pull, each with its verdict where they do not all stand alike. */
function sheetsOf({ sheetIds, apart }: Pull): string {
  const verdicts = new Set(apart.map(({ verdict }) => verdict))
  const verdictOf = (id: number) => apart.find(({ sheetId }) => sheetId === id)?.verdict ?? ''
  return sheetIds.map((id) => (verdicts.size > 1 ? `${id} ${verdictOf(id)}`.trim() : String(id))).join(' and ')
}

function sentenceOf(pull: Pull, { standard, layer, by }: Beside): string {
  const judged = pull.kind === 'proof' ? `${pull.proofKind ?? ''} proof, ${pull.verdict}` : pull.verdict
  const what = pull.kind === 'pull' || pull.kind === 'proof' ? judged : pull.kind
  return [
    `Pull ${pull.ordinal}`,
    pull.sheetIds.length > 0 ? `sheet ${sheetsOf(pull)}` : 'on proof paper',
    layer,
    what,
    pull.faults.map(faultWord).join(' and '),
    pull.rescued ? `rescued, ${pull.rescued}` : '',
    standard,
    pull.disputed ? `disputed: ${pull.disputed.message}` : '',
    `${clock(pull.at)} by ${by}`,
    pull.claimedAt ? 'the tablet’s clock was wrong' : '',
  ]
    .filter((part) => part !== '')
    .join(', ')
}

function xOf(i: number, perRow: number): number {
  const column = i % perRow
  return column + Math.floor(column / 5) * gapAfterFive
}

/** Size of the drawing for a number of strokes, in px. */
export function tallySize(
  strokes: number,
  { cell, tall, perRow = most }: TallyLayout,
): { width: number; height: number; row: number } {
  const row = (tall + 1.6) * cell
  const columns = Math.min(perRow, Math.max(strokes, 5))
  return { width: (xOf(columns - 1, perRow) + 1.4) * cell, height: Math.max(1, Math.ceil(strokes / perRow)) * row, row }
}

/**
 * Draw the tally into an SVG element: one stroke a pull, left to right, in fives, wrapped at the width there is. Shape tells
 * the verdict before colour does, and a base line stands under what is stored. Strokes that are there stay there; only
 * new ones are added, so a tap costs the same however long the run.
 */
export function drawTally(svg: SVGSVGElement, strokes: readonly Stroke[], layout: TallyLayout): void {
  const { cell, tall, perRow = most } = layout
  const { width, height, row } = tallySize(strokes.length, layout)
  const root = select(svg)
  // Setting a size anew, even the same, lays out every stroke again.
  if (svg.getAttribute('viewBox') !== `0 0 ${width} ${height}`)
    root.attr('viewBox', `0 0 ${width} ${height}`).attr('width', width).attr('height', height)
  const groups = root.selectAll<SVGGElement, Stroke>('g.stroke').data(strokes as Stroke[], (stroke) => stroke.key)
  groups.exit().remove()
  const entered = groups.enter().append('g').attr('tabindex', -1)
  entered.merge(groups).each(function (stroke, i) {
    const at = { x: xOf(i, perRow) * cell, y: Math.floor(i / perRow) * row + 0.7 * cell }
    const before = drawn.get(this)
    if (before?.stroke === stroke && before.x === at.x && before.y === at.y && before.cell === cell) return
    drawn.set(this, { stroke, ...at, cell })
    describeStroke(this, stroke)
    drawStroke(this, stroke, at, cell, tall)
  })
}

/** What was drawn into a group last. */
const drawn = new WeakMap<SVGGElement, { stroke: Stroke; x: number; y: number; cell: number }>()

/** What a stroke is for styles, and what it says to a screen reader. */
function describeStroke(node: SVGGElement, stroke: Stroke): void {
  const classes = ['stroke', `is-${shapeOf(stroke)}`, stroke.bat ? 'is-bat' : '', stroke.disputed ? 'is-disputed' : '']
  select(node)
    .attr('class', classes.filter(Boolean).join(' '))
    // Strokes of a small tally say nothing each; the whole has its sentence.
    .attr('role', stroke.sentence ? 'img' : 'presentation')
    .attr('aria-label', stroke.sentence || null)
    .attr('data-key', stroke.key)
}

/**
 * One stroke, from its top left. A cell is the unit: the pen is 0.3 of it. Every shape stands where it belongs rather than in
 * a group that is moved: a thousand transforms, each another style, cost a browser a second before it draws anything.
 */
function drawStroke(
  node: SVGGElement,
  stroke: Stroke,
  { x, y }: { x: number; y: number },
  cell: number,
  tall: number,
): void {
  const group = select(node)
  group.selectAll('*').remove()
  const pen = 0.3 * cell
  const left = x + 0.35 * cell
  const foot = tall * cell
  const bar = (top: number, name = 'pen') =>
    group
      .append('rect')
      .attr('class', name)
      .attr('x', left)
      .attr('y', y + top)
      .attr('width', pen)
      .attr('height', foot - top)
  const shape = shapeOf(stroke)
  // A wider, invisible area to point at.
  group
    .append('rect')
    .attr('class', 'touch')
    .attr('x', x)
    .attr('y', y - 0.6 * cell)
    .attr('width', cell)
    .attr('height', foot + 0.9 * cell)
  if (shape === 'good') bar(0)
  if (shape === 'doubtful') {
    bar(0.45 * cell)
    group
      .append('circle')
      .attr('class', 'pen')
      .attr('cx', left + pen / 2)
      .attr('cy', y)
      .attr('r', 0.22 * cell)
  }
  if (shape === 'reject') {
    bar(foot * 0.45)
    group
      .append('line')
      .attr('class', 'line')
      .attr('x1', left - 0.35 * cell)
      .attr('x2', left + pen + 0.35 * cell)
      .attr('y1', y + foot * 0.83)
      .attr('y2', y + foot * 0.6)
      .attr('stroke-width', pen * 0.66)
  }
  if (shape === 'proof' && !stroke.bat)
    group
      .append('rect')
      .attr('class', 'hollow')
      .attr('x', left - pen * 0.1)
      .attr('y', y + 1)
      .attr('width', pen * 1.2)
      .attr('height', foot - 1.5)
  if (shape === 'warm-up')
    group
      .append('line')
      .attr('class', 'dashed')
      .attr('x1', left + pen / 2)
      .attr('x2', left + pen / 2)
      .attr('y1', y)
      .attr('y2', y + foot)
      .attr('stroke-width', pen)
      .attr('stroke-dasharray', `${foot / 11} ${foot / 11}`)
  if (shape === 'ghost')
    group
      .append('line')
      .attr('class', 'dotted')
      .attr('x1', left + pen / 2)
      .attr('x2', left + pen / 2)
      .attr('y1', y)
      .attr('y2', y + foot)
      .attr('stroke-width', pen * 0.6)
      .attr('stroke-dasharray', `${pen * 0.5} ${pen * 0.9}`)
  if (stroke.bat) {
    bar(0.5 * cell, 'pen bat')
    const middle = left + pen / 2
    const d = 0.34 * cell
    group
      .append('path')
      .attr('class', 'pen bat')
      .attr('d', `M${middle},${y - d}l${d},${d}l${-d},${d}l${-d},${-d}z`)
  }
  if (stroke.rescued)
    group
      .append('line')
      .attr('class', 'rescue')
      .attr('x1', left - 0.2 * cell)
      .attr('x2', left + pen + 0.2 * cell)
      .attr('y1', y + foot * 0.5)
      .attr('y2', y + foot * 0.5)
      .attr('stroke-width', 1.5)
  if (stroke.disputed)
    group
      .append('rect')
      .attr('class', 'dispute')
      .attr('x', x + 1)
      .attr('y', y - 2)
      .attr('width', cell - 2)
      .attr('height', foot + 3)
  if (stroke.stored)
    group
      .append('line')
      .attr('class', 'base')
      .attr('x1', x - 0.1 * cell)
      .attr('x2', x + 1.1 * cell)
      .attr('y1', y + foot + 1)
      .attr('y2', y + foot + 1)
  stroke.ticks.forEach((words, i) =>
    group
      .append('rect')
      .attr('class', 'tick')
      .attr('x', x + i * 0.35 * cell - 0.1 * cell)
      .attr('y', y + foot + 4)
      .attr('width', Math.max(2, 0.18 * cell))
      .attr('height', 0.4 * cell)
      .append('title')
      .text(words),
  )
}
