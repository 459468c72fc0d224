import { IsBoolean, IsIn, IsInt, IsNumber, Max, Min } from 'class-validator'
import { Id, OrNull, Part, Parts, Words } from '../ground/shape'
import type { Box } from '../drawing/box'
import type { Fault } from '../ground/refusal'

export const mostColours = 12
export const mostInBatch = 100

/** One colour that is laid on by hand. */
export class HandColour {
  @Id('colour') id!: string
  @Words(60) name!: string
}

/** Whether ink and paper bear the wash: a scrap of the same print is tried first. */
export type WashTrial = 'untried' | 'holds' | 'runs'
export const washTrials: readonly WashTrial[] = ['untried', 'holds', 'runs']

/** The stamp of printer or studio. */
export class Chop {
  @IsIn(['blind', 'inked']) kind!: 'blind' | 'inked'
  @IsNumber() @Min(0) @Max(5000) left!: number
  @IsNumber() @Min(0) @Max(5000) top!: number
  @IsNumber() @Min(0) @Max(500) width!: number
  @IsNumber() @Min(0) @Max(500) height!: number
}

/** What is done with a print after the press. */
export class FinishingPlan {
  @Parts(() => HandColour, mostColours) colours!: HandColour[]
  /** Prints that are coloured together, one colour at a time. */
  @IsInt() @Min(1) @Max(mostInBatch) batch!: number
  @IsIn(washTrials) wash!: WashTrial
  @IsBoolean() flatten!: boolean
  /** Trimmed to the finished size. */
  @IsBoolean() trim!: boolean
  /** Where the chop goes, seen from the front; mm from the finished sheet's upper left corner. Null for none. */
  @OrNull() @Part(() => Chop) chop!: Chop | null
}

export const noFinishing: FinishingPlan = {
  colours: [],
  batch: 5,
  wash: 'untried',
  flatten: false,
  trim: false,
  chop: null,
}

/** A step that every print goes through after the press. */
export interface FinishingStep {
  key: string
  /** What is done, as on a list: “yellow”, “flattened”, “trimmed”, “chop”. */
  words: string
}

/** The steps of a plan in the order they are taken: colour is wet, so the paper is flattened after it, then trimmed and stamped. */
export function stepsOf(plan: FinishingPlan): FinishingStep[] {
  return [
    ...plan.colours.map(({ id, name }) => ({ key: `colour ${id}`, words: name })),
    ...(plan.flatten ? [{ key: 'flatten', words: 'flattened' }] : []),
    ...(plan.trim ? [{ key: 'trim', words: 'trimmed' }] : []),
    ...(plan.chop ? [{ key: 'chop', words: 'chop' }] : []),
  ]
}

/** Where image and mat lie on the finished sheet, for the chop to miss them. */
export interface SheetLaidOut {
  sheet: { width: number; height: number }
  images: readonly Box[]
  /** The window of the mat: what it shows. Null while none is drawn. */
  window: Box | null
}

/** Why the work after the press cannot be planned so, or null. */
export function finishingFault(plan: FinishingPlan, laid: SheetLaidOut | null): Fault | null {
  if (plan.colours.length > mostColours)
    return { field: 'colours', message: `At most ${mostColours} colours are laid on by hand.` }
  if (plan.colours.some(({ name }) => name.trim() === ''))
    return { field: 'colours', message: 'Give every colour a name, or take it out.' }
  if (!Number.isInteger(plan.batch) || plan.batch < 1 || plan.batch > mostInBatch)
    return { field: 'batch', message: `A batch is 1 to ${mostInBatch} prints; ${plan.batch} was given.` }
  return plan.chop ? chopFault(plan.chop, laid) : null
}

/** Why the chop cannot go there, or null: it lies on the sheet, misses the image, and the mat hides it. */
function chopFault(chop: Chop, laid: SheetLaidOut | null): Fault | null {
  if (!(chop.width > 0 && chop.height > 0))
    return { field: 'chop', message: 'Say how large the chop is, in width and height.' }
  if (!laid) return null
  const { sheet, images, window } = laid
  if (chop.left < 0 || chop.top < 0 || chop.left + chop.width > sheet.width || chop.top + chop.height > sheet.height)
    return { field: 'chop', message: 'The chop lies partly off the sheet. Move it in.' }
  if (images.some((image) => overlap(chop, image)))
    return { field: 'chop', message: 'The chop would stamp the image. Move it into the margin.' }
  if (window && overlap(chop, window))
    return { field: 'chop', message: 'The chop would show in the window of the mat. Move it out, under the mat.' }
  return null
}

const overlap = (a: Box, b: Box) =>
  a.left < b.left + b.width && b.left < a.left + a.width && a.top < b.top + b.height && b.top < a.top + a.height
