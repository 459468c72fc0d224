import { IsNumber, Length, Max, Min } from 'class-validator'
import { Id } from '../ground/shape'
import type { DryingPaper, Moment } from '../drying/moments'
import type { InkFamily } from '../ink/family'
import type { BlockEnd } from '../print/block-end'
import type { PassMark } from '../print/pass-mark'
import { type FinishingPlan, noFinishing } from '../finish/plan'
import type { Doer, When } from '../ground/envelope'
import type { OverprintPlan } from '../ink/roll-up'
import type { PiecePlan } from '../paper/piece'
import type { EditionPlan } from '../plan/plan'
import type { Series } from '../print/series'
import type { AdjustmentKind } from '../print/verdicts'
import type { RegisterPlan } from '../register/registration'
import type { BlockBook } from '../stores/block/book'
import type { Layer } from './layer'
import type { ProofNote } from './proof-notes'
import type { Pull } from './pull'
import type { Sheet, Torn } from './sheet'
import type { Assignment } from './assignment'
import type { Ask, SignOff } from './sign-offs'
import type { Comment, HandedIn } from './hand-in'

/** A proof that was approved: the pulls of its layer are compared with it. */
export interface Standard {
  layerId: string
  pullId: string
  at: string
}

/** Where on the print a fault of a pull was seen: mm from the image's upper left corner, as the print is seen. */
export class FaultPlace {
  static readonly sample: FaultPlace = { pullId: 'p', fault: 'salt', x: 40, y: 25.5 }

  @Id('pull') pullId!: string
  @Length(1, 40) fault!: string
  @IsNumber() @Min(-1000) @Max(6000) x!: number
  @IsNumber() @Min(-1000) @Max(6000) y!: number
}

/** A remedy that was tried on a layer. */
export interface Trial extends When, Doer {
  id: string
  layerId: string
  fault: string
  remedy: string
  /** Number of pulls in the ledger when it was tried. */
  afterPull: number
}

/** Somebody touched a layer: dry for that, or not yet. */
export interface TouchTest extends When, Doer {
  layerId: string
  moment: Moment
  isDry: boolean
  /** Hours since the layer was last pulled. */
  hours: number
  /** Hours it was expected to take, by the guess alone. */
  expected: number
  family: InkFamily
  paper: DryingPaper
}

/** An edition that was printed from the same blocks before. */
export interface EarlierEdition {
  editionId: string
  title: string
  /** Signed prints of it, of every series, that were not destroyed. */
  signed: number
  /** Null of one that was still open when its block was taken in hand for this one. */
  closedAt: string | null
}

/** An edition that was begun from the same blocks afterwards. */
export interface LaterEdition {
  editionId: string
  title: string
  startedAt: string
}

export interface Adjustment {
  id: string
  layerId: string
  kind: AdjustmentKind
  note: string
  /** Number of pulls in the ledger when it happened. */
  afterPull: number
  at: string
  voided: boolean
}

/** Prints that went through one step together. */
export interface FinishEntry {
  step: string
  sheets: number
  at: string
}

/** A block as the edition has it in hand. */
export interface Block extends BlockBook {
  id: string
}

/** Everything an edition's stream says, folded. Treat as frozen: `evolve` returns a new one. */
export interface EditionState {
  stream: string
  seq: number
  title: string
  plan: EditionPlan | null
  /** Who signs, when that is a person of the room. */
  artistId: string | null
  /** Whose edition it is beside the artist: they and staff act on it. */
  printerIds: string[]
  /** True of an edition from before anyone was named: whoever does something on it is a printer of it. */
  printersGrow: boolean
  /** Plans that were in force before, oldest first, with the reason for each change. */
  earlierPlans: ({ plan: EditionPlan; reason: string; at: string; sheetsTorn: number } & Doer)[]
  /** How its sheets are got out of the paper, once planned. */
  piece: PiecePlan | null
  blocks: Block[]
  register: { register: RegisterPlan; formatId: string | null } | null
  overprint: OverprintPlan | null
  layers: Layer[]
  sheets: Sheet[]
  /** Sheets made, counted from tearing and splitting alone: the sum every place must add up to. */
  made: number
  torn: Torn[]
  pulls: Pull[]
  adjustments: Adjustment[]
  /** The approved proof of each layer that has one; the last layer's is the BAT. */
  standards: Standard[]
  earlierStandards: { layerId: string; pullId: string; reason: string }[]
  /** How proofs came out, each as it was judged last. */
  proofNotes: ProofNote[]
  /** Remedies that were tried, oldest first. */
  trials: Trial[]
  /** What was touched, oldest first. */
  touchTests: TouchTest[]
  /** Where faults were seen, each as it was said last. */
  faultPlaces: FaultPlace[]
  /** What is done with the prints after the press. */
  finishing: FinishingPlan
  /** When steps after the press were done on how many prints, oldest first. */
  finishLog: FinishEntry[]
  /** Size of each series once numbers were given. */
  seriesSize: Partial<Record<Series, number>>
  amendments: ({ size: number; reason: string; at: string } & Doer)[]
  startedAt: string
  changedAt: string
  closedAt: string | null
  /** What was said at closing, for instance of the block. */
  closingNote: string
  /** What became of the block at the last closing. */
  blockEnd: BlockEnd
  reopenings: { reason: string; at: string }[]
  /** Editions printed from the same blocks before it, the first of them first. */
  earlier: EarlierEdition[]
  /** Those begun from them since. */
  later: LaterEdition[]
  /** The artist signs with initials, where the name is too long for the image. */
  initials: boolean
  /** What the prints are looked at for. */
  passMark: PassMark
  /** The class's assignment that it is, or null. */
  assignment: Assignment | null
  /** What was asked of staff, oldest first. */
  asks: Ask[]
  /** What staff signed off, oldest first. */
  signOffs: SignOff[]
  /** The work as it was handed in last, or null. */
  handedIn: (HandedIn & When & Doer) | null
  /** What instructors wrote of it, oldest first. */
  comments: Comment[]
  /** Prints in the order they were laid by hand, the best first; the others follow by serial. */
  ranking: number[]
}

export function emptyEdition(stream: string): EditionState {
  return {
    stream,
    seq: 0,
    title: '',
    plan: null,
    artistId: null,
    printerIds: [],
    printersGrow: false,
    earlierPlans: [],
    piece: null,
    blocks: [],
    register: null,
    overprint: null,
    layers: [],
    sheets: [],
    made: 0,
    torn: [],
    pulls: [],
    adjustments: [],
    standards: [],
    earlierStandards: [],
    proofNotes: [],
    trials: [],
    touchTests: [],
    faultPlaces: [],
    finishing: noFinishing,
    finishLog: [],
    seriesSize: {},
    amendments: [],
    startedAt: '',
    changedAt: '',
    closedAt: null,
    closingNote: '',
    blockEnd: 'unsaid',
    reopenings: [],
    earlier: [],
    later: [],
    initials: false,
    passMark: 'for sale',
    assignment: null,
    asks: [],
    signOffs: [],
    handedIn: null,
    comments: [],
    ranking: [],
  }
}
