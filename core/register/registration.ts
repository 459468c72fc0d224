import { IsIn, IsNumber, Max, Min } from 'class-validator'
import { longest } from '../units/length'
import { Id, OrNull, Part, Parts, Words } from '../ground/shape'
import type { Box } from '../drawing/box'
import { type Drawing, type Point, segment, type Shape, words } from '../drawing/shapes'
import { factors, type Growth } from './growth'
import { clashes, mostOutlines, NamedOutline, PlacedBox } from './outlines'

/** Which comes to which: block face up with the paper laid on it, or the block set down on the paper. */
export type Meeting = 'paper onto block' | 'block onto paper'
export const meetings: readonly Meeting[] = ['paper onto block', 'block onto paper']

class Size {
  @IsNumber() @Min(0) @Max(longest) width!: number
  @IsNumber() @Min(0) @Max(longest) height!: number
}

/** How far from the sheet’s upper and lower edge the prints of a series begin and end, mm. */
class SeriesLines {
  /** The image's upper edge, from the sheet's upper edge. */
  @IsNumber() @Min(0) @Max(longest) topLine!: number
  /** The image's lower edge, from the sheet's lower edge. */
  @IsNumber() @Min(0) @Max(longest) footLine!: number
}

/** Top and foot lines and a mat window that the editions of a series share, so that they hang together. mm. */
export class SeriesFormat extends SeriesLines {
  static readonly sample: SeriesFormat = { id: 'f', name: 'Harbour set', topLine: 40, footLine: 60, mat: null }

  @Id('format') id!: string
  @Words(80) name!: string
  /** The window of the mat, or null. */
  @OrNull() @Part(() => Size) mat!: Size | null
}

/** A pin or a stop, as seen on the finished print. mm from the sheet's upper left corner. */
export class Pin {
  @IsNumber() @Min(-500) @Max(longest) x!: number
  @IsNumber() @Min(-500) @Max(longest) y!: number
  @IsNumber() @Min(0.5) @Max(50) diameter!: number
  /** How high it stands over the bed, mm; null while nobody said. */
  @OrNull() @IsNumber() @Min(0) @Max(200) height!: number | null
}

/** How paper meets block, given as the finished print is seen from the front (models.md, M13). mm, degrees. */
export class RegisterPlan {
  static readonly sample: RegisterPlan = {
    sheet: { width: 300, height: 230 },
    outline: { left: 40, top: 25, width: 200, height: 150 },
    image: { left: 5, top: 5, width: 180, height: 130 },
    rotation: 0,
    meeting: 'paper onto block',
    mat: { left: 5, top: 5, width: 180, height: 130 },
    series: { topLine: 30, footLine: 40 },
    stops: 20,
    pins: [{ x: 10, y: -8, diameter: 6, height: 4 }],
    more: [{ name: 'sky', outline: { left: 20, top: 12, width: 60, height: 40 }, rotation: 0, gap: 2 }],
  }

  @Part(() => Size) sheet!: Size
  /** Edge of the block or its mount, before it is turned. */
  @Part(() => PlacedBox) outline!: PlacedBox
  /** The image inside that outline, from its upper left corner. */
  @Part(() => PlacedBox) image!: PlacedBox
  /** Clockwise turn of the block about its centre that squares the image: the correction, not the error. */
  @IsNumber() @Min(-45) @Max(45) rotation!: number
  @IsIn(meetings) meeting!: Meeting
  @OrNull() @Part(() => PlacedBox) mat!: PlacedBox | null
  /** Lines of a series, from the sheet's upper and lower edge. */
  @OrNull() @Part(() => SeriesLines) series!: SeriesLines | null
  /** Length of the stops along the two edges the sheet is laid to, or 0 for none. */
  @IsNumber() @Min(0) @Max(500) stops!: number
  @Parts(() => Pin, 12) pins!: Pin[]
  /** Blocks beside the first on the same jig. */
  @Parts(() => NamedOutline, mostOutlines) more!: NamedOutline[]
}

export interface Jig {
  sheet: Point[]
  outline: Point[]
  image: Point[]
  /** The other blocks, each by its name. */
  more: { name: string; gap: number; corners: Point[] }[]
  mat: Point[] | null
  seriesLines: [Point, Point][]
  stops: [Point, Point][]
  pins: Pin[]
  /** The sheet's size at the press. */
  size: { width: number; height: number }
  /** From where the jig is seen, in words. */
  seenFrom: string
}

function corners({ left, top, width, height }: Box): Point[] {
  return [
    [left, top],
    [left + width, top],
    [left + width, top + height],
    [left, top + height],
  ]
}

/** Turned clockwise about a centre; y goes down. */
function turned([x, y]: Point, [cx, cy]: Point, degrees: number): Point {
  const angle = (degrees * Math.PI) / 180
  const dx = x - cx
  const dy = y - cy
  return [cx + dx * Math.cos(angle) - dy * Math.sin(angle), cy + dx * Math.sin(angle) + dy * Math.cos(angle)]
}

/**
 * The jig as it lies on the bed. With the paper laid onto a block face up it is seen from the block's side: left and
 * right change places (x′ = W − x) and the turn changes its sense. The image comes out square; the outline is turned.
 * Paper that grew takes every position on it along; the block keeps its size and goes where its middle goes.
 */
export function jigOf(plan: RegisterPlan, growth: Growth | null = null): Jig {
  const { sheet, outline, image } = plan
  const centre: Point = [outline.left + outline.width / 2, outline.top + outline.height / 2]
  const imageCentre = turned(
    [outline.left + image.left + image.width / 2, outline.top + image.top + image.height / 2],
    centre,
    plan.rotation,
  )
  const [gx, gy] = factors(growth)
  const onPaper = ([x, y]: Point): Point => [(plan.meeting === 'paper onto block' ? sheet.width - x : x) * gx, y * gy]
  const lying = (about: Point) => {
    const [mx, my] = onPaper(about)
    return ([x, y]: Point): Point => [
      mx + (plan.meeting === 'paper onto block' ? about[0] - x : x - about[0]),
      my + y - about[1],
    ]
  }
  const onBlock = lying(centre)
  const squared: Box = {
    left: imageCentre[0] - image.width / 2,
    top: imageCentre[1] - image.height / 2,
    width: image.width,
    height: image.height,
  }
  return {
    sheet: corners({ left: 0, top: 0, ...sheet }).map(onPaper),
    outline: corners(outline).map((point) => onBlock(turned(point, centre, plan.rotation))),
    image: corners(squared).map(onBlock),
    more: plan.more.map(({ name, outline: box, rotation, gap }) => {
      const about: Point = [box.left + box.width / 2, box.top + box.height / 2]
      return { name, gap, corners: corners(box).map((point) => lying(about)(turned(point, about, rotation))) }
    }),
    mat: plan.mat ? corners(plan.mat).map(onPaper) : null,
    seriesLines: plan.series
      ? [plan.series.topLine, sheet.height - plan.series.footLine].map((y): [Point, Point] => [
          onPaper([0, y]),
          onPaper([sheet.width, y]),
        ])
      : [],
    stops: plan.stops > 0 ? stopLines(plan).map(([a, b]): [Point, Point] => [onPaper(a), onPaper(b)]) : [],
    pins: plan.pins.map((pin) => {
      const [x, y] = onPaper([pin.x, pin.y])
      return { ...pin, x, y }
    }),
    size: { width: sheet.width * gx, height: sheet.height * gy },
    seenFrom:
      plan.meeting === 'paper onto block'
        ? 'Seen from the block’s side: the print’s left is on the right here.'
        : 'Seen as the finished print: its left is on the left here.',
  }
}

/** An L at the lower left corner, and one stop at the lower right, along the edges the sheet is laid to. */
function stopLines({ sheet: { width, height }, stops }: RegisterPlan): [Point, Point][] {
  return [
    [
      [0, height],
      [stops, height],
    ],
    [
      [0, height],
      [0, height - stops],
    ],
    [
      [width - stops, height],
      [width, height],
    ],
  ]
}

/** Why a plan cannot be drawn, or null. */
export function registerFault(plan: RegisterPlan): { field: string; message: string } | null {
  const { sheet, outline, image, mat, series } = plan
  const pins = plan.pins.map(({ height, ...placed }) => (height === null ? placed : { ...placed, height }))
  const lengths = [
    sheet,
    outline,
    image,
    mat ?? {},
    series ?? {},
    ...pins,
    ...plan.more.map((one) => one.outline),
  ].flatMap((box) => Object.values(box) as number[])
  const turns = plan.more.flatMap(({ rotation, gap }) => [rotation, gap])
  if (![...lengths, ...turns, plan.rotation, plan.stops].every(Number.isFinite))
    return { field: 'sheet', message: 'A length is missing or cannot be read. Fill in every field.' }
  if (!(sheet.width > 0 && sheet.height > 0))
    return { field: 'sheet', message: 'The sheet has no size yet. Give its width and height.' }
  if (!(outline.width > 0 && outline.height > 0))
    return {
      field: 'outline',
      message: 'The block has no size yet. Give its width and height, with the mount if it has one.',
    }
  if (!(image.width > 0 && image.height > 0)) return { field: 'image', message: 'The image has no size yet.' }
  if (image.left + image.width > outline.width + 0.05 || image.top + image.height > outline.height + 0.05)
    return { field: 'image', message: 'The image does not fit inside the block’s outline.' }
  const unnamed = plan.more.find(({ name, outline: box }) => name.trim() === '' || !(box.width > 0 && box.height > 0))
  if (unnamed)
    return { field: 'more', message: 'Give every further block a name, a width and a height, or take it off.' }
  const { image: square } = jigOf(plan)
  if (square.some(([x, y]) => x < -0.05 || y < -0.05 || x > sheet.width + 0.05 || y > sheet.height + 0.05))
    return {
      field: 'margins',
      message: 'The image lies partly off the sheet. Make the margins, the block or the sheet fit.',
    }
  if (mat && (mat.left < 0 || mat.top < 0 || mat.left + mat.width > sheet.width || mat.top + mat.height > sheet.height))
    return { field: 'mat', message: 'The mat window lies partly off the sheet.' }
  if (series && series.topLine + series.footLine >= sheet.height)
    return { field: 'series', message: 'The top line lies below the foot line on this sheet.' }
  return null
}

/** Room round the sheet for the corner marks and the check rule. */
const round = 14
export const checkRule = 100

/** The registration sheet at full size, with corner marks and a rule to check the printer by. */
export function registrationSheet(plan: RegisterPlan, title: string, growth: Growth | null = null): Drawing {
  const jig = jigOf(plan, growth)
  const { width, height } = jig.size
  const at = ([x, y]: Point): Point => [x + round, y + round]
  const line = (pen: Shape['pen'], points: Point[], closed = true): Shape => ({
    kind: 'line',
    pen,
    points: points.map(at),
    closed,
  })
  const foot = height + 2 * round
  return {
    width: Math.max(width, checkRule) + 2 * round,
    height: height + 2 * round + 14,
    shapes: [
      line('paper', jig.sheet),
      line('block', jig.outline),
      line('image', jig.image),
      ...jig.more.flatMap(({ name, corners: points }): Shape[] => {
        const [x, y] = at(middleOf(points))
        return [line('block', points), words(name, x, y, 2.8, 'middle')]
      }),
      ...(jig.mat ? [line('mat', jig.mat)] : []),
      ...jig.seriesLines.map((ends) => line('series', ends, false)),
      ...jig.stops.map((ends) => line('stop', ends, false)),
      ...jig.pins.map((pin): Shape => ({
        kind: 'circle',
        pen: 'pin',
        x: pin.x + round,
        y: pin.y + round,
        radius: pin.diameter / 2,
      })),
      ...cornerMarks(width, height),
      segment('rule', [round, foot], [round + checkRule, foot]),
      ...Array.from({ length: 11 }, (_, i): Shape =>
        segment('rule', [round + i * 10, foot - (i % 5 === 0 ? 4 : 2)], [round + i * 10, foot]),
      ),
      words(
        'This rule is 100 mm long. If yours is not, print at 100 %, without fitting to the page.',
        round,
        foot + 4.5,
        2.8,
      ),
      words(`${title}. ${jig.seenFrom}`, round, foot + 9.5, 2.8),
      words('head', round + width / 2, round - 3, 2.8, 'middle'),
    ],
  }
}

const middleOf = (points: readonly Point[]): Point => [
  points.reduce((sum, [x]) => sum + x, 0) / points.length,
  points.reduce((sum, [, y]) => sum + y, 0) / points.length,
]

/** Blocks of a plan that lie on one another or too near, in words. */
export function clashWords(plan: RegisterPlan, first: string): string[] {
  const { outline, more } = jigOf(plan)
  return clashes([{ name: first, gap: 0, corners: outline }, ...more]).map(({ names: [one, other], apart, wanted }) =>
    apart === 0
      ? `${one} and ${other} lie on one another: right when they are pulled one after the other, not when they are locked up together.`
      : `${one} and ${other} are ${apart.toFixed(1)} mm apart; ${wanted} mm are wanted.`,
  )
}

/** Short lines off the corners, so that the sheet can be laid to them when its outline is covered. */
function cornerMarks(width: number, height: number): Shape[] {
  return (
    [
      [0, 0, -1, -1],
      [width, 0, 1, -1],
      [0, height, -1, 1],
      [width, height, 1, 1],
    ] as const
  ).flatMap(([x, y, dx, dy]): Shape[] => [
    segment('mark', [round + x + 2 * dx, round + y], [round + x + 9 * dx, round + y]),
    segment('mark', [round + x, round + y + 2 * dy], [round + x, round + y + 9 * dy]),
  ])
}
