import { type PressKind, hasRoller } from './kinds'

/** What lies in a press as far as a roller meets it, mm. */
export interface Section {
  /** The block with its mount and its two sides; null while it is not described. */
  block: { name: string; thickness: number; sides: { least: number; most: number } | null } | null
  /** Over the sheet; `length` null where a piece covers the whole bed or nobody measured it. */
  packing: readonly { name: string; length: number | null }[]
  /** Pins of the registration, with how high they stand over the bed; null while nobody said. */
  pins: readonly { height: number | null }[]
}

/**
 * Why this must not go under a roller, or null (craft.md, Care): a roller rests on a line, so whatever stands above its
 * neighbour, a pin or the edge of a packing that ends over the block, takes the whole load.
 */
export function edgeFault(kind: PressKind, { block, packing, pins }: Section): string | null {
  if (!hasRoller(kind) || !block) return null
  const high = pins.find(({ height }) => height !== null && height > block.thickness + 1e-9)
  if (high)
    return `A pin stands ${(high.height! - block.thickness).toFixed(2)} mm above ${block.name}: under a roller it takes the whole load and is pressed through. Use lower pins, or take them out before the press.`
  const { sides } = block
  const short = packing.find(({ length }) => length !== null && sides !== null && length < sides.least - 1e-9)
  return short
    ? `${short.name} is ${short.length} mm long and ends over ${block.name}, ${sides!.least} mm: its edge stands above what lies beside it and prints as a step under a roller. Use a longer piece, or put a patch beneath the block.`
    : null
}

/**
 * What to look at before it goes under a roller, or null: a piece that covers the block the short way ends over it the
 * long way, and nobody but the printer sees which way the block runs in.
 */
export function edgeDoubt(kind: PressKind, { block, packing }: Section): string | null {
  if (!hasRoller(kind) || !block?.sides) return null
  const { least, most } = block.sides
  const short = packing.find(({ length }) => length !== null && length >= least - 1e-9 && length < most - 1e-9)
  return short
    ? `${short.name} is ${short.length} mm long: it covers ${block.name} only while that runs in along its side of ${least} mm, not of ${most} mm.`
    : null
}

/** True when pins are there under a roller and nobody said how high they stand. */
export function pinsUnknown(kind: PressKind, { pins }: Pick<Section, 'pins'>): boolean {
  return hasRoller(kind) && pins.some(({ height }) => height === null)
}
