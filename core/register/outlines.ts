import { IsNumber, Max, Min } from 'class-validator'
import { Part, Words } from '../ground/shape'
import { longest } from '../units/length'
import type { Box } from '../drawing/box'
import type { Point } from '../drawing/shapes'

/** Where a block, an image or a window lies; mm from the upper left corner of what it lies on. */
export class PlacedBox implements Box {
  @IsNumber() @Min(-longest) @Max(longest) left!: number
  @IsNumber() @Min(-longest) @Max(longest) top!: number
  @IsNumber() @Min(0) @Max(longest) width!: number
  @IsNumber() @Min(0) @Max(longest) height!: number
}

/** A block beside the first on the same jig: a part of a sawn block, a block of its own, or one more image of the sheet. */
export class NamedOutline {
  @Words(40) name!: string
  /** Edge of the block before it is turned, as seen on the finished print. mm. */
  @Part(() => PlacedBox) outline!: PlacedBox
  /** Clockwise turn about its centre, degrees. */
  @IsNumber() @Min(-180) @Max(180) rotation!: number
  /** Clear paper wanted between it and its neighbours, mm; 0 for parts that touch. */
  @IsNumber() @Min(0) @Max(200) gap!: number
}

/** More blocks than this do not lie on one bed. */
export const mostOutlines = 24

/** Two outlines that lie on one another, or nearer than wanted. */
export interface Clash {
  names: [string, string]
  /** Clear distance between them, mm; 0 when they overlap. */
  apart: number
  /** What was wanted, mm. */
  wanted: number
}

/** Edges closer than this touch: nobody sets a block more finely. mm. */
const touching = 0.1

/**
 * Outlines that overlap or lie nearer to one another than either wants.
 * @param placed corners of each outline in order, convex
 */
export function clashes(placed: readonly { name: string; gap: number; corners: readonly Point[] }[]): Clash[] {
  return placed.flatMap((one, i) =>
    placed.slice(i + 1).flatMap((other): Clash[] => {
      const wanted = Math.max(one.gap, other.gap)
      const overlap = overlapOf(one.corners, other.corners)
      const apart = overlap > touching ? 0 : distance(one.corners, other.corners)
      const isClash = overlap > touching || (wanted > 0 && apart < wanted - touching)
      return isClash ? [{ names: [one.name, other.name], apart, wanted }] : []
    }),
  )
}

/**
 * Where a further part goes that is locked up with those laid already: right beside or under one of them, the first such place
 * in reading order where it lies on none of them and on the sheet; over the first where there is no such place.
 * @param laid outlines before they are turned, the first block's first
 */
export function placeBeside(
  sheet: { width: number; height: number },
  laid: readonly Box[],
  size: { width: number; height: number },
): Box {
  const tops = laid.flatMap(({ top, height }) => [top, top + height])
  const lefts = laid.flatMap(({ left, width }) => [left, left + width])
  const places = tops.flatMap((top) => lefts.map((left) => ({ left, top, ...size })))
  places.sort((a, b) => a.top - b.top || a.left - b.left)
  return (
    places.find((place) => fits(place, sheet) && !laid.some((one) => lieOn(one, place))) ?? { ...laid[0]!, ...size }
  )
}

const fits = ({ left, top, width, height }: Box, sheet: { width: number; height: number }) =>
  left + width <= sheet.width && top + height <= sheet.height

const lieOn = (a: Box, b: Box) =>
  a.left < b.left + b.width && b.left < a.left + a.width && a.top < b.top + b.height && b.top < a.top + a.height

/** How deep two convex shapes lie in one another, by the separating axis; 0 when they do not. mm. */
function overlapOf(a: readonly Point[], b: readonly Point[]): number {
  let least = Infinity
  for (const [nx, ny] of [...normals(a), ...normals(b)]) {
    const along = (corners: readonly Point[]) => corners.map(([x, y]) => x * nx + y * ny)
    const [left, right] = [along(a), along(b)]
    const depth = Math.min(Math.max(...left) - Math.min(...right), Math.max(...right) - Math.min(...left))
    if (depth <= 0) return 0
    least = Math.min(least, depth)
  }
  return least
}

function normals(corners: readonly Point[]): Point[] {
  return edges(corners).map(([[ax, ay], [bx, by]]) => {
    const length = Math.hypot(bx - ax, by - ay)
    return [(by - ay) / length, (ax - bx) / length]
  })
}

const edges = (corners: readonly Point[]): [Point, Point][] =>
  corners.map((corner, i) => [corner, corners[(i + 1) % corners.length]!])

/** Between two shapes that do not overlap, the least distance from a corner of one to an edge of the other. */
function distance(a: readonly Point[], b: readonly Point[]): number {
  const from = (corners: readonly Point[], to: readonly Point[]) =>
    corners.flatMap((corner) => edges(to).map((edge) => toEdge(corner, edge)))
  return Math.min(...from(a, b), ...from(b, a))
}

function toEdge([x, y]: Point, [[ax, ay], [bx, by]]: [Point, Point]): number {
  const [dx, dy] = [bx - ax, by - ay]
  const along = Math.max(0, Math.min(1, ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy)))
  return Math.hypot(x - ax - along * dx, y - ay - along * dy)
}
