import { bitsOf, type Frame, perMm, type Way } from './frames'
import type { Layout } from './lay-outs'
import type { Edge, Edges, TearRequest } from './tear-request'

export interface Rectangle {
  x: number
  y: number
  width: number
  height: number
}

/** One tear, right across the part in hand. Positions in mm from the sheet's upper left corner. */
export interface Tear {
  number: number
  part: Rectangle
  /** `x`: from top to bottom of the part, at a distance across; `y`: from left to right. */
  across: 'x' | 'y'
  at: number
  /** Distance from `from`, a trued edge of the part and never a deckle. */
  distance: number
  from: Edge
}

export interface PlacedPiece extends Rectangle {
  /** True when it lies a quarter turn from the way it was given. */
  turned: boolean
  /** Wanted edges that carry a deckle. */
  deckled: number
}

export interface Offcut extends Rectangle {
  use: 'proof' | 'test strip'
}

/** What is done to one sheet: its tears in order, and what they leave. */
export interface Steps {
  tears: Tear[]
  pieces: PlacedPiece[]
  offcuts: Offcut[]
}

/** The steps of a lay-out in a frame, positions in mm from the sheet's upper left corner. */
export function stepsOf(request: TearRequest, frame: Frame, layout: Layout): Steps {
  const { allowance } = request.sheet
  const part = {
    x: frame.x === 'left' ? allowance : 0,
    y: frame.y === 'top' ? allowance : 0,
    width: frame.width / perMm,
    height: frame.height / perMm,
  }
  const steps: Steps = { tears: [], pieces: [], offcuts: [] }
  lay(steps, layout, part, frame.kept, request, frame.ways)
  return steps
}

/** Walk a lay-out, writing down tears, pieces and offcuts. */
function lay(
  steps: Steps,
  layout: Layout,
  part: Rectangle,
  deckles: Edges,
  request: TearRequest,
  ways: readonly Way[],
): void {
  if (layout.kind === 'offcut') {
    steps.offcuts.push({ ...part, use: takesBlock(part, request.block) ? 'proof' : 'test strip' })
    return
  }
  if (layout.kind === 'piece') {
    const { lie, turned } = ways[layout.lie]!
    steps.pieces.push({ ...part, turned, deckled: lie.points[bitsOf(deckles)]! })
    return
  }
  const at = layout.at / perMm
  const [near, far]: [Edge, Edge] = layout.across === 'x' ? ['left', 'right'] : ['top', 'bottom']
  const whole = layout.across === 'x' ? part.width : part.height
  const fromNear = !deckles[near]
  steps.tears.push({
    number: steps.tears.length + 1,
    part,
    across: layout.across,
    at: (layout.across === 'x' ? part.x : part.y) + at,
    distance: fromNear ? at : whole - at,
    from: fromNear ? near : far,
  })
  const first = layout.across === 'x' ? { ...part, width: at } : { ...part, height: at }
  const second =
    layout.across === 'x'
      ? { ...part, x: part.x + at, width: whole - at }
      : { ...part, y: part.y + at, height: whole - at }
  lay(steps, layout.first, first, { ...deckles, [far]: false }, request, ways)
  lay(steps, layout.second, second, { ...deckles, [near]: false }, request, ways)
}

function takesBlock(part: Rectangle, block: { width: number; height: number } | null): boolean {
  if (!block) return false
  return (
    (part.width >= block.width && part.height >= block.height) ||
    (part.width >= block.height && part.height >= block.width)
  )
}
