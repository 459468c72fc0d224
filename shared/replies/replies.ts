import type { ChargeKind } from '#core/charges/line'
import type { OwedLine } from '#core/charges/settled'
import type { AccountState, SettledStatement } from '#core/account/state'
import type { CourseState } from '#core/course/state'
import type { Leave } from '#core/stores/studio/leaves'
import type { Ask } from '#core/edition/sign-offs'
import type { InClass } from '#core/run/in-class'
import type { PastSession, Session, StationState, Task, Used } from '#core/station/state'
import type { SentEvent } from '#core/ground/envelope'
import type { EditionState } from '#core/edition/state'
import type { StudioSettings, StudioState } from '#core/stores/studio/state'
import type { Role } from '#core/ground/envelope'
import type { Instant } from '#core/time/instant'
import type { Zone } from '#core/time/zone'
import type { TrialRecord } from '#core/print/remedies'
import type { BatchState } from '#core/stores/batch/state'
import type { BlockState } from '#core/stores/block/state'
import type { ShopRecord } from '#core/plan/shop-record'
import type { LotState } from '#core/stores/lot/state'
import type { RackState } from '#core/stores/rack/state'
import type { RoomAirState } from '#core/stores/climate/state'
import type { LossRow } from '#core/watch/losses'
import type { Drying } from '#core/drying/moments'
import type { PressState, PressUse } from '#core/stores/press/state'
import type { TubCondition, TubState } from '#core/stores/tub/state'
import type { PieceWanted } from '#core/paper/tear-request'

/** The ledger's answer to a command that was stored. */
export interface StoredReply {
  /** Position of its last event. */
  position: number
  stream: string
  /** The stream's `seq` after it. */
  seq: number
  /** How many events it made, of whatever stream; the last stands at `position`. */
  made: number
  /** Why a pull was stored as disputed, or null. */
  disputed: string | null
}

/** The answer to a command, with what it made so that nobody need fetch the stream again. */
export interface CommandReply extends StoredReply {
  /** Its events, of whatever stream, oldest first, as whoever handed it in sees them. */
  events: SentEvent[]
  /** For a pull: the sheets handed to this station next. */
  handOut?: HandOut
}

/** Sheets provisionally kept for a station, and those kept for others. */
export interface HandOut {
  /** Its next sheet, and those after it, for pulls that follow one another quickly; empty when none is free. */
  sheetIds: number[]
  heldByOthers: number[]
}

export interface ErrorReply {
  code: string
  message: string
  field?: string
}

export interface PersonReply {
  id: string
  name: string
  role: Role
  active: boolean
}

/** People of the room; to whoever is not signed in, names alone. */
export interface PeopleReply {
  people: (PersonReply | Pick<PersonReply, 'id' | 'name'>)[]
}

/** Someone signed in somewhere. */
export interface SignInReply {
  id: string
  personId: string
  own: boolean
  address: string
  agent: string
  startedAt: string
  /** When its person was last seen by it, or left. */
  seenAt: string
  /** False when its person has left and it only vouches for taps still on their way. */
  isOpen: boolean
  /** True for the asker's own. */
  isHere: boolean
}

/** Who came, who was turned away, what changed about people; newest first. */
export interface SecurityReply {
  lines: SecurityLine[]
}

/** A line of the log of who came and who was turned away. */
export interface SecurityLine {
  id: number
  at: string
  kind: string
  person: string | null
  by: string | null
  address: string
  device: string
  detail: string
}

/** Copies of the whole room, newest first. */
export interface BackupsReply {
  /** Where they lie, on the server's disk. */
  folder: string
  isRunning: boolean
  /** `lost`: pictures that events name and that were gone when it was made. */
  backups: { name: string; at: string; events: number; bytes: number; lost: number }[]
}

/** How far a check of the ledger has come, and what it found. */
export interface CheckReply {
  /** How far the ledger reaches now, and what all of it hashes to. */
  reach: { position: number; head: string }
  isRunning: boolean
  /** Events looked at, of so many. */
  looked: number
  of: number
  startedAt: string | null
  /** Null until one was finished. */
  finishedAt: string | null
  breaks: { position: number; stream: string; what: string }[]
}

/** What a page seals its taps with, so that they count as their giver's whoever hands them in. Kept in memory alone. */
export interface TapKey {
  signInId: string
  /** Base64url. */
  key: string
}

/** A station at which somebody has a session open. */
export interface OpenStation {
  id: string
  name: string
  open: Session
}

export interface SessionReply {
  person: PersonReply | null
  /** This browser, as the server knows it. */
  device: string
  /** For sealing this person's taps; null when nobody is signed in. */
  tapKey: TapKey | null
  /** Someone else chose the secret: it is to be changed first. */
  mustChange: boolean
  /** Which ledger this is; another than before when it was put back to an earlier state. */
  lineage: { id: string; from: number }
  /** True on a person's own device, which does not go idle. */
  own: boolean
  demo: boolean
  /** Whose clock and calendar the room goes by, and what time it is there, ms since 1970. */
  zone: Zone
  now: number
  /** Where the person has a session open: they are asked whether they are still there. */
  openAt: OpenStation[]
  /** True until the studio and its first manager exist. */
  needsSetup: boolean
  studio: Pick<StudioState, keyof StudioSettings>
}

/** Somebody asks staff, and in which class. */
export interface AskWaiting extends Pick<Ask, 'what' | 'by' | 'at'> {
  courseId: string | null
}

export interface EditionSummary {
  id: string
  title: string
  artist: string
  method: string
  state: string
  goal: number
  size: number
  made: number
  /** Sheets that may still become a print, the doubtful among them. */
  alive: number
  good: number
  /** Good after the layer at the press. */
  goodHere: number
  doubtful: number
  rejects: number
  drying: number
  signed: number
  numbered: number
  impressions: number
  /** What somebody at it asks staff for. */
  asks: AskWaiting[]
  balances: boolean
  disputed: number
  layers: number
  layerName: string
  pressName: string
  /** Sheets waiting for the layer at the press. */
  left: number
  /** Sheets that lack any layer. */
  unfinished: number
  chance: number
  /** True when so many sheets are in hand that the chance is reckoned roughly. */
  chanceIsRough: boolean
  minutesLeft: number | null
  due: string | null
  /** Sheets to start: the printer's number, or what the room's confidence asks for; null once they are torn, or when too many. */
  toStart: { sheets: number; by: 'printer' | 'room' } | null
  /** The piece its sheets are torn to, once planned. */
  piece: (PieceWanted & { lotId: string | null; strip: number; images: number }) | null
  /** The newest pulls, for a small tally: kind, verdict and whether it is the BAT. */
  strokes: StrokeSummary[]
  lastPullAt: string | null
  lastPullBy: string | null
  changedAt: string
}

export interface StrokeSummary {
  kind: string
  verdict: string
  bat: boolean
  voided: boolean
}

/** A picture that was handed in and kept. */
export interface PictureReply {
  id: string
  width: number
  height: number
}

export interface EditionsReply {
  editions: EditionSummary[]
  /** Pass as `after` for the next page; null on the last. */
  next: string | null
  total: number
}

export interface EditionReply {
  state: EditionState
  studio: StudioState
  /** The shop's past pulls without this edition's. */
  record: ShopRecord
  /** Position of the ledger the state stands for. */
  position: number
}

/** A stream as lists have it: by its id. */
export type Summary<State> = Omit<State, 'stream'> & { id: string }

export type LotSummary = Summary<LotState>
export type BatchSummary = Summary<BatchState>
export type BlockSummary = Summary<BlockState>
export type TubSummary = Summary<TubState>
/** Set-ups of a press, newest first. */
export interface UsesReply {
  uses: PressUse[]
}

export type StationSummary = Summary<StationState>

export type AccountSummary = Summary<AccountState>

/** One station of the room: what was used in the session that is open, and its sessions before, newest first. */
export interface StationReply {
  station: StationSummary
  /** In the open session so far. */
  used: Used
  /** Ink and paper its person drew since it was opened, by the ledger, in words. */
  drawn: string[]
  sessions: PastSession[]
}

export type RackSummary = Summary<RackState>
export type PressSummary = Summary<PressState>

/** One thing that was found, in the words of the room. */
export interface Found {
  /** edition, sheet, print, person, paper, ink, tub, block. */
  kind: string
  words: string
  /** How it stands. */
  told: string
  /** Where it is seen. */
  to: string
}

export interface FindReply {
  found: Found[]
}

export interface FloorReply {
  /** For staff, when the last good backup is older than two days: when it was made, or null when there is none. */
  lateBackup: { at: string | null } | null
  /** Who asks for staff, the longest wait first. */
  asks: (AskWaiting & { editionId: string; title: string })[]
  running: EditionSummary[]
  decisions: { editionId: string; title: string; what: string; why: string; stop: string }[]
  /** Sheets between two layers, or finished and not dry. */
  drying: { editionId: string; title: string; sheets: number }[]
  /** Paper and ink that do not last. */
  short: { what: string; why: string; to: string }[]
  counts: { state: string; editions: number }[]
  /** Who is at which station, the longest there first. */
  sessions: { stationId: string; name: string; by: string; at: string }[]
  /** Who has which place today, now or still to come; hours by the room’s clock: `13:00`. */
  bookings: {
    bookingId: string
    place: string
    personId: string
    from: string
    until: string
    isNow: boolean
    title: string | null
  }[]
  /** What is dirty, broken or low in the room, the oldest first. */
  tasks: (Task & { stationId: string; station: string })[]
  /** Inks whose tub was found skinned or dirty. */
  tubs: { id: string; name: string; condition: TubCondition }[]
}

/** What was tried against which fault, and what the studio says of faults itself; `seq` of the studio. */
export interface TrialsReply {
  trials: TrialRecord
  faultLines: StudioState['faultLines']
  seq: number
}

/** What a scale shows. Grams are null while it is unplugged. */
export interface ScaleReading {
  grams: number | null
  steady: boolean
  simulated: boolean
}

/** What the room sensor shows: °C and per cent; null while it is unplugged. */
export interface AirReading {
  temperature: number | null
  humidity: number | null
  simulated: boolean
}

/** A stack of one layer that lies in a rack. */
export interface RackedStack {
  rackId: string
  editionId: string
  title: string
  layerId: string
  layerName: string
  slots: number[]
  sheets: number
  /** When the last of its sheets was laid in. */
  laidAt: string
  /** When its last pull was, ms; null for a layer laid without one. */
  since: number | null
  drying: Drying | null
  /** Somebody has said that it is dry. */
  isDry: boolean
  /** A later layer is on it: it has been printed on since. */
  isPrintedOn: boolean
}

/** Sheets that dry and lie in no rack. */
export interface StackToLay {
  editionId: string
  title: string
  layerId: string
  layerName: string
  sheetIds: number[]
  /** Pieces of paper that is. */
  pieces: number
}

/** Where the room loses, over so many editions. */
export interface RoomLossesReply {
  editions: number
  rows: LossRow[]
}

export interface RacksReply {
  racks: RackSummary[]
  stacks: RackedStack[]
  toLay: StackToLay[]
  air: RoomAirState
  /** The reading everything is reckoned by now. */
  climate: StudioState['climate']
}

/** What a press's gauge shows: how high each end of the roller stands over zero, mm; null while it is unplugged. */
export interface GaugeReading {
  left: number | null
  right: number | null
  steady: boolean
  simulated: boolean
}

export type CourseSummary = Summary<CourseState>

/** The classes of the room; a student is told of their own. */
export interface CoursesReply {
  courses: CourseSummary[]
}

/** Paper put aside for somebody, as one of its lots has it. */
export interface RationHeld {
  lotId: string
  lot: string
  rationId: string
  personId: string
  /** Sheets put aside and not given out. */
  aside: number
  /** Sheets given out and not torn. */
  inHand: number
  used: number
}

/** A class as it stands at its benches: told to its staff. */
export interface CourseReply {
  course: CourseSummary
  /** By assignment, in the order of its editions. */
  benches: (InClass & { assignmentId: string })[]
  rations: RationHeld[]
  /** What its students were shown. */
  leaves: Leave[]
  presses: { id: string; name: string }[]
}

/** What was used in a span of time and what it comes to, the earliest first. */
export interface ChargesReply {
  /** The ledger's position it was drawn up at. */
  position: number
  /** The days it is for, from the first moment to the last, the end left out. */
  span: { from: Instant; until: Instant }
  lines: OwedLine[]
  /** What the room used itself, at cost. */
  rooms: OwedLine[]
  /** People with an account: what was settled, and the account's `seq` to settle more by. */
  accounts: { personId: string; seq: number; statements: SettledStatement[] }[]
  roomSeq: number
  /** Titles of the editions they name, by stream. */
  titles: Record<string, string>
}

/** What an edition has cost so far. */
export interface EditionCostReply {
  byKind: { kind: ChargeKind; cents: number }[]
  cents: number
  /** Lines that stand with nothing, since no price was known. */
  unpriced: number
}
