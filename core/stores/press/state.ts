import type { Doer, When } from '../../ground/envelope'
import type { PressKind } from '../../press/kinds'
import type { PressSetting } from '../../press/stack'

/** Who may set up and use a press. */
export type PressUsers = 'everybody' | 'members' | 'staff'
export const pressUsers: readonly PressUsers[] = ['everybody', 'members', 'staff']

/** A press, or a table with hand tools. Lengths in mm. */
export interface PressDescription {
  name: string
  kind: PressKind
  /** Divisions marked on one turn of a screw, 0 when it has none. */
  divisions: number
  /** Height of one turn, or null while nobody measured it. */
  pitch: number | null
  /** Turns from zero to where the screws stop, or null. */
  travel: number | null
  /** Between the screws, or null. */
  span: number | null
  /** Divisions lost when a screw is turned back. */
  backlash: number
  /** Of a rimmed board its rim, of a type-high bed its type height; null for others. */
  height: number | null
  /** The bed or platen, or null while it is not measured. */
  bed: { width: number; height: number } | null
  /** Spoon, spatula, baren, hard roller: what is used by hand. */
  tools: string
  condition: string
  users: PressUsers
  pictureId: string | null
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

/** Where both screws touched, and what lay on the bed then: never the roller on the bare bed. */
export interface Zero extends When, Doer {
  on: { name: string; thickness: number }[]
  /** The mark each screw shows there. */
  left: number
  right: number
  note: string
}

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
