import type { Doer } from '../ground/envelope'
import type { PassMark } from '../print/pass-mark'
import type { Bound, Mark } from '../print/series'
import type { Gone } from '../print/whereabouts'
import type { Verdict } from '../print/verdicts'

/** Sheets an edition holds at most. */
export const mostSheets = 5000

/** What was said of a print beside the BAT. */
export interface Curated {
  verdict: Verdict
  reason: string
  seq: number
  /** Its place in the run that was looked at in one go, from 0. */
  place: number
  /** What the prints were looked at for. */
  mark: PassMark
}

/** What one person thinks of a print. */
export interface View {
  by: string
  verdict: Verdict
  note: string
}

/**
 * What becomes one print. A piece of paper that holds several images is as many sheets, lying together until it is cut
 * apart: each has its own verdict, faults and dryness, and keeps its serial afterwards.
 */
export interface Sheet {
  /** The edition's own serial, from 1. */
  id: number
  /** Serials of all that lie on the same piece of paper, its own too; empty when it lies alone. */
  together: number[]
  lotId: string
  lotName: string
  /** Live pulls on it, oldest first. */
  pulls: string[]
  /** Layers laid on it without a pull. */
  laid: string[]
  /** Steps after the press that it has been through, by their keys. */
  finished: string[]
  /** Layers on it that a person has declared dry: a layer pulled again has to dry again. */
  dry: string[]
  spoiled: { fault: string; reason: string } | null
  /** What the curator said of the pulls that are on it: gone when another pull meets it, or one is taken off or judged otherwise. */
  curated: Curated | null
  /** What single persons think of it, each once, until it is settled. */
  views: View[]
  /** Where it is to go. */
  bound: Bound
  mark: Mark | null
  signed: boolean
  /** The size its number was written over when it was signed, or when the line was put right; null while unsigned. */
  pencilledOver: number | null
  /** Who ticked it off as signed, and when; null for one signed before that was kept. */
  signing: (Doer & { at: string }) | null
  /** What went wrong with the pencil and how it was put right; empty as a rule. */
  pencilNote: string
  /** A sheet outside the edition carries its mark. */
  isMarked: boolean
  /** Where it went, or null while it is here. */
  gone: Gone | null
  destroyed: { reason: string; replaceable: boolean } | null
  /** The slot it was laid into last, and whether it is out again. */
  rack: { rackId: string; rackName: string; slot: number; isOut: boolean } | null
  /** Sheets it was cut into; it is then no sheet any more. */
  parts: number[]
  /** The sheet it was cut from. */
  cutFrom: number | null
}

/** Large sheets torn for the edition at one time. */
export interface Torn {
  lotId: string
  lotName: string
  lotSheets: number
  /** Pieces of paper got. */
  count: number
  /** Images that each of them holds. */
  images: number
  pricePerLotSheet: number
  /** Size of a piece, mm; 0 when it was not said. */
  width: number
  height: number
}

export function blankSheet(id: number, lotId: string, lotName: string): Sheet {
  return {
    id,
    together: [],
    lotId,
    lotName,
    pulls: [],
    laid: [],
    finished: [],
    dry: [],
    spoiled: null,
    curated: null,
    views: [],
    bound: 'edition',
    mark: null,
    signed: false,
    pencilledOver: null,
    signing: null,
    pencilNote: '',
    isMarked: false,
    gone: null,
    destroyed: null,
    rack: null,
    parts: [],
    cutFrom: null,
  }
}

/** Blank pieces of paper, each of so many images, their serials following one another from `first`. */
export function blankPieces(first: number, pieces: number, images: number, lotId: string, lotName: string): Sheet[] {
  return Array.from({ length: pieces }, (_, piece) => {
    const ids = Array.from({ length: images }, (_, image) => first + piece * images + image)
    const together = images > 1 ? ids : []
    return ids.map((id) => ({ ...blankSheet(id, lotId, lotName), together }))
  }).flat()
}

/** The sheets of one piece of paper: itself and what lies together with it. */
export function pieceOf(state: { sheets: readonly Sheet[] }, sheet: Sheet): Sheet[] {
  return sheet.together.length > 0 ? sheet.together.flatMap((id) => sheetOf(state, id) ?? []) : [sheet]
}

/** Pieces of paper on which so many sheets lie. */
export const piecesUnder = (sheets: readonly Pick<Sheet, 'id' | 'together'>[]): number =>
  new Set(sheets.map(({ id, together }) => together[0] ?? id)).size

/** A piece of paper by its serials, for instance “13·14”. */
export const pieceWord = (sheet: Pick<Sheet, 'id' | 'together'>): string =>
  sheet.together.length > 0 ? sheet.together.join('·') : String(sheet.id)

export function sheetOf(state: { sheets: readonly Sheet[] }, sheetId: number): Sheet | undefined {
  return state.sheets[sheetId - 1]
}

/** Sheets a pull names, and the parts they were cut into. */
export function carriersOf(
  state: { sheets: readonly Sheet[] },
  { sheetIds }: { sheetIds: readonly number[] },
): Sheet[] {
  const found = new Map<number, Sheet>()
  const add = (id: number) => {
    const sheet = sheetOf(state, id)
    if (!sheet || found.has(id)) return
    found.set(id, sheet)
    sheet.parts.forEach(add)
  }
  sheetIds.forEach(add)
  return [...found.values()]
}

export function anySigned(state: { sheets: readonly Sheet[] }): boolean {
  return state.sheets.some((sheet) => sheet.signed)
}
