import type { Mark } from '../print/series'
import type { Verdict } from '../print/verdicts'

export interface Sheet {
  /** The edition's own serial, from 1. */
  id: number
  lotId: string
  lotName: string
  /** Live pulls on it, oldest first. */
  pulls: string[]
  /** Layers that a person has declared dry on it. */
  dry: string[]
  spoiled: { fault: string; reason: string } | null
  curated: { verdict: Verdict; reason: string; seq: number } | null
  mark: Mark | null
  signed: boolean
  destroyed: { reason: string; replaceable: boolean } | null
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
  count: number
  pricePerLotSheet: number
  /** Size of a piece, mm; 0 when it was not said. */
  width: number
  height: number
}

export function blankSheet(id: number, lotId: string, lotName: string): Sheet {
  return {
    id,
    lotId,
    lotName,
    pulls: [],
    dry: [],
    spoiled: null,
    curated: null,
    mark: null,
    signed: false,
    destroyed: null,
    parts: [],
    cutFrom: null,
  }
}

export function sheetOf(state: { sheets: readonly Sheet[] }, sheetId: number): Sheet | undefined {
  return state.sheets[sheetId - 1]
}

export function anySigned(state: { sheets: readonly Sheet[] }): boolean {
  return state.sheets.some((sheet) => sheet.signed)
}
