import { IsNumber, Length, Max, Min } from 'class-validator'
import { Id } from '../ground/shape'

/** A hand roller. Lengths in mm. */
export class Roller {
  static readonly sample: Roller = { id: 'r', name: 'large', width: 200, diameter: 60 }

  @Id('roller') id!: string
  @Length(1, 80) name!: string
  @IsNumber() @Min(0) @Max(5000) width!: number
  @IsNumber() @Min(0) @Max(1000) diameter!: number
}

export interface RollerFit {
  /** Way the roller goes before it has turned once, mm. */
  circumference: number
  /** Where laps show when the block is wider than the roller: distances across it from the start edge, mm. */
  laps: number[]
  /** Where the roller has run round and lays less ink: distances along the block from the start edge, mm. */
  steps: number[]
  /** True when the roller covers the block with the margin on each side. */
  covers: boolean
}

/** Free width on each side of the block, so that the roller's edge does not show, mm. */
export const rollerMargin = 10

/**
 * How a roller fits a block rolled along its `length` (models.md, M9).
 * @param across width of the block across the roller's way, @param length its length along it, mm
 */
export function rollerFit(roller: Pick<Roller, 'width' | 'diameter'>, across: number, length: number): RollerFit {
  const circumference = Math.PI * roller.diameter
  const every = (step: number, most: number) =>
    step > 0 ? Array.from({ length: Math.max(0, Math.ceil(most / step - 1e-9) - 1) }, (_, i) => step * (i + 1)) : []
  return {
    circumference,
    laps: roller.width >= across ? [] : every(roller.width, across),
    steps: every(circumference, length),
    covers: roller.width >= across + 2 * rollerMargin,
  }
}

/** The narrowest roller that covers the block with its margin; of equals the thicker. Null when none does. */
export function narrowestFor<R extends Roller>(rollers: readonly R[], across: number): R | null {
  const wide = rollers.filter((roller) => roller.width >= across + 2 * rollerMargin)
  return wide.reduce<R | null>(
    (best, roller) =>
      !best || roller.width < best.width || (roller.width === best.width && roller.diameter > best.diameter)
        ? roller
        : best,
    null,
  )
}

/** Surface that holds ink, mm². */
export const rollerSurface = ({ width, diameter }: Pick<Roller, 'width' | 'diameter'>): number =>
  Math.PI * diameter * width
