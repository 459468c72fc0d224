import { IsIn, IsInt, IsNumber, Length, Max, Min } from 'class-validator'
import { Id, OrNull, Part, Parts, Words } from '../../ground/shape'
import type { Doer, When } from '../../ground/envelope'
import { type PressKind, pressKinds } from '../../press/kinds'
import type { PressSetting } from '../../press/stack'

/** Who may set up and use a press. */
export type PressUsers = 'everybody' | 'members' | 'staff'
export const pressUsers: readonly PressUsers[] = ['everybody', 'members', 'staff']

class Measure {
  @IsNumber() @Min(10) @Max(5000) width!: number
  @IsNumber() @Min(10) @Max(5000) height!: number
}

/** A press, or a table with hand tools. Lengths in mm. */
export class PressDescription {
  static readonly sample: PressDescription = {
    name: 'Long press',
    kind: 'roller bed',
    divisions: 16,
    pitch: 2.54,
    travel: 14,
    span: 620,
    backlash: 0.5,
    height: 23.3,
    bed: { width: 500, height: 900 },
    tools: '',
    condition: '',
    users: 'everybody',
    pictureId: null,
  }

  @Words(80) name!: string
  @IsIn(pressKinds) kind!: PressKind
  /** Divisions marked on one turn of a screw, 0 when it has none. */
  @IsInt() @Min(0) @Max(400) divisions!: number
  /** Height of one turn, or null while nobody measured it. */
  @OrNull() @IsNumber() @Min(0.05) @Max(50) pitch!: number | null
  /** Turns from zero to where the screws stop, or null. */
  @OrNull() @IsNumber() @Min(0.1) @Max(60) travel!: number | null
  /** Between the screws, or null. */
  @OrNull() @IsNumber() @Min(10) @Max(5000) span!: number | null
  /** Divisions lost when a screw is turned back. */
  @IsNumber() @Min(0) @Max(400) backlash!: number
  /** Of a rimmed board its rim, of a type-high bed its type height; null for others. */
  @OrNull() @IsNumber() @Min(0.1) @Max(200) height!: number | null
  /** The bed or platen, or null while it is not measured. */
  @OrNull() @Part(() => Measure) bed!: Measure | null
  /** Spoon, spatula, baren, hard roller: what is used by hand. */
  @Words(200) tools!: string
  @Words(500) condition!: string
  @IsIn(pressUsers) users!: PressUsers
  @OrNull() @Id('picture', 100) pictureId!: string | null
}

/** What was not asked of a press before. */
export const pressDefaults: Omit<PressDescription, 'name' | 'kind' | 'divisions'> = {
  pitch: null,
  travel: null,
  span: null,
  backlash: 0,
  height: null,
  bed: null,
  tools: '',
  condition: '',
  users: 'everybody',
  pictureId: null,
}

class OnTheBed {
  @Length(1, 60) name!: string
  @IsNumber() @Min(0) @Max(200) thickness!: number
}

/** Where both screws touched, and what lay on the bed then: never the roller on the bare bed. */
export class ZeroFound {
  static readonly sample: ZeroFound = { on: [{ name: 'bed board', thickness: 6 }], left: 3, right: 5, note: '' }

  @Parts(() => OnTheBed, 10, 1) on!: OnTheBed[]
  /** The mark each screw shows there. */
  @IsNumber() @Min(0) @Max(400) left!: number
  @IsNumber() @Min(0) @Max(400) right!: number
  @Words(500) note!: string
}

export interface Zero extends ZeroFound, When, Doer {}

/** A set-up of this press for a layer of an edition. */
export interface PressUse extends When, Doer {
  editionStream: string
  title: string
  layerId: string
  layerName: string
  setting: PressSetting
}

export interface PressState extends PressDescription {
  stream: string
  seq: number
  zero: Zero | null
  /** What an hour costs, by the day from which it does, oldest first. */
  rates: { from: string; hour: number }[]
  /** The last set-up, or null once it was taken down or while there was none. */
  standing: PressUse | null
  /** The last set-up, whether it was taken down or not: what the next one is told as a change of. */
  last: PressUse | null
}

export function emptyPress(stream: string): PressState {
  return {
    stream,
    seq: 0,
    name: '',
    kind: 'by hand',
    divisions: 0,
    ...pressDefaults,
    zero: null,
    rates: [],
    standing: null,
    last: null,
  }
}

/** Height of what lay on the bed at zero, mm. */
export const zeroHeight = ({ on }: Zero): number => on.reduce((sum, { thickness }) => sum + thickness, 0)

/** What an hour costs on a day, or null before any rate holds. */
export function rateOn(rates: PressState['rates'], day: string): number | null {
  return rates.findLast(({ from }) => from <= day)?.hour ?? null
}
