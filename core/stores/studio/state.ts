import { IsIn, IsInt, IsNumber, Length, Max, Min } from 'class-validator'
import type { CareRule } from '../../care/cards'
import type { Climate } from '../../drying/moments'
import type { Cleaner } from '../../care/cleaning'
import type { Doer, Role, When } from '../../ground/envelope'
import { isStaff } from '../../ground/who'
import type { FaultLine } from '../../print/fault-table'
import type { Leave } from './leaves'
import type { Roller } from '../../ink/roller'
import type { PastEdition } from '../../plan/past-editions'
import { type LineCustom, lineCustoms } from '../../print/pencil-line'
import type { SeriesFormat } from '../../register/registration'
import type { DrawerPiece } from '../../press/drawer'
import { type LengthUnit, lengthUnits } from '../../units/length'

/** What was not asked of a studio before. */
export const studioDefaults: Omit<StudioSettings, 'name' | 'line' | 'destroyedNumber' | 'currency'> = {
  unit: 'mm',
  inkGram: 0,
  pressHour: 0,
  labourHour: 0,
  confidence: 0.9,
  idleMinutes: 30,
  backupsKept: 7,
  bookedHours: 0,
  tarers: 'everybody',
}

export const tarerChoices: readonly Tarers[] = ['everybody', 'members and staff', 'staff']

/** What new editions and every screen start from. Prices in the studio's currency. */
export class StudioSettings {
  static readonly sample: StudioSettings = {
    name: 'Rope Works',
    line: 'number-signature',
    destroyedNumber: 'retired',
    currency: '€',
    ...studioDefaults,
  }

  @Length(1, 80) name!: string
  @IsIn(lineCustoms) line!: LineCustom
  /** What happens to the number of a signed print that is destroyed. */
  @IsIn(['replaced', 'retired']) destroyedNumber!: 'replaced' | 'retired'
  @Length(1, 8) currency!: string
  @IsIn(lengthUnits) unit!: LengthUnit
  @IsNumber() @Min(0) @Max(10_000) inkGram!: number
  @IsNumber() @Min(0) @Max(10_000) pressHour!: number
  @IsNumber() @Min(0) @Max(10_000) labourHour!: number
  /** How sure a goal is to be reached, as a rule: what the sheets to start are reckoned for. 0 to 1. */
  @IsNumber() @Min(0.5) @Max(0.99) confidence!: number
  /** Minutes without a touch after which a shared station's sign-in ends; 0 never. */
  @IsInt() @Min(0) @Max(720) idleMinutes!: number
  /** Nightly backups that are kept; 0 makes none. */
  @IsInt() @Min(0) @Max(365) backupsKept!: number
  /** Hours one person may have booked ahead; 0 sets no bound. Staff book without one. */
  @IsInt() @Min(0) @Max(1000) bookedHours!: number
  /** Who may tare the scale. */
  @IsIn(tarerChoices) tarers!: Tarers
}

/** Who may tare the scale: a pull of it resets it for everybody. */
export type Tarers = 'everybody' | 'members and staff' | 'staff'
/** Whether somebody of that role may tare the scale. */
export const mayTare = ({ tarers }: Pick<StudioSettings, 'tarers'>, role: Role): boolean =>
  isStaff(role) || tarers === 'everybody' || (tarers === 'members and staff' && role === 'member')

/** The studio's own stream. Names and secrets of people live outside the ledger, under their ids. */
export interface StudioState extends StudioSettings {
  stream: string
  seq: number
  /** Editions from before the ledger, as totals. */
  pastEditions: PastEdition[]
  seriesFormats: SeriesFormat[]
  rollers: Roller[]
  /** Packing for every press of the room. */
  drawer: DrawerPiece[]
  /** What ink is washed off with, by its family. */
  cleaners: Cleaner[]
  /** The studio's own rules beside the care cards. */
  careRules: CareRule[]
  /** The studio's own lines of the table of faults, oldest first: the last of each fault is in force. */
  faultLines: (FaultLine & When & Doer)[]
  /** The room's air as it was last read, or null. */
  climate: (Climate & When) | null
  /** What people were shown and may do since. */
  leaves: Leave[]
  people: Record<string, { role: Role; active: boolean }>
}

export function emptyStudio(stream = 'studio'): StudioState {
  return {
    stream,
    seq: 0,
    name: '',
    line: 'number-title-signature',
    destroyedNumber: 'retired',
    currency: '€',
    ...studioDefaults,
    pastEditions: [],
    seriesFormats: [],
    rollers: [],
    drawer: [],
    cleaners: [],
    careRules: [],
    faultLines: [],
    climate: null,
    leaves: [],
    people: {},
  }
}
