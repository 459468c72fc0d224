/**
 * Screws of a press (models.md, M10). Lengths in mm. A screw is counted upwards from its own zero: the height at which it was found to
 * touch, with what lay on the bed then.
 */

/** The screws as they are made. */
export interface Screws {
  /** Height of one whole turn, mm. */
  pitch: number
  /** Divisions marked on one turn. */
  divisions: number
  /** Turns from zero to where it stops, or null while nobody counted them. */
  travel: number | null
  /** Between the two screws, mm, or null when unknown. */
  span: number | null
}

/** A place of a screw: whole turns up from its zero and divisions beyond. */
export interface Reading {
  turns: number
  divisions: number
}

/** A setting reckoned for a stack. */
export interface ScrewAnswer extends Reading {
  /** How far the nearest division is off, mm: below zero it is too close, above too open. */
  off: number
}

export type ScrewRefusal = 'below-zero' | 'beyond-travel'

/**
 * Divisions above zero.
 * @example
 * divisionsOf({ turns: 1, divisions: 3.5 }, { divisions: 16 }) // 19.5
 */
export function divisionsOf({ turns, divisions }: Reading, screws: Pick<Screws, 'divisions'>): number {
  return turns * screws.divisions + divisions
}

/** Height of a place above that screw's zero, mm. */
export function heightOf(reading: Reading, screws: Pick<Screws, 'pitch' | 'divisions'>): number {
  return (divisionsOf(reading, screws) / screws.divisions) * screws.pitch
}

/**
 * Whole turns and divisions of so many divisions; of a number below zero both are.
 * @example
 * readingOf(19.5, { divisions: 16 }) // { turns: 1, divisions: 3.5 }
 */
export function readingOf(divisions: number, screws: Pick<Screws, 'divisions'>): Reading {
  const turns = Math.trunc(divisions / screws.divisions)
  return { turns, divisions: divisions - turns * screws.divisions }
}

/** Where a screw stands that has lifted its end by so much, to half a division. @param mm over zero */
export function readAt(mm: number, screws: Pick<Screws, 'pitch' | 'divisions'>): Reading {
  return readingOf(Math.round((mm / screws.pitch) * screws.divisions * 2) / 2, screws)
}

/**
 * Where a screw goes for a stack: (h − q) / p turns up from its zero, to the nearest division.
 * @param height of the stack over what lay on the bed at zero, mm
 * @param nip how far below it the gap is set, mm
 */
export function settingFor(height: number, nip: number, screws: Screws): ScrewAnswer | { refused: ScrewRefusal } {
  const gap = height - nip
  if (gap < 0) return { refused: 'below-zero' }
  // A gap that falls between two divisions opens rather than closes: nothing is crushed by a half.
  const divisions = Math.floor((gap / screws.pitch) * screws.divisions + 0.5 + 1e-9)
  const reading = readingOf(divisions, screws)
  if (screws.travel !== null && divisions > screws.travel * screws.divisions) return { refused: 'beyond-travel' }
  return { ...reading, off: heightOf(reading, screws) - gap }
}

/** From one place to another: positive opens. */
export function changeBetween(from: Reading, to: Reading, screws: Pick<Screws, 'divisions'>): Reading {
  return readingOf(divisionsOf(to, screws) - divisionsOf(from, screws), screws)
}

/** “open 1 turn, 5 divisions”, “close 3 divisions”, “as it stands”. */
export function changeWords(change: Reading): string {
  const words = readingWords({ turns: Math.abs(change.turns), divisions: Math.abs(change.divisions) })
  if (words === 'zero') return 'as it stands'
  return `${change.turns < 0 || change.divisions < 0 ? 'close' : 'open'} ${words}`
}

/** “3 turns, 12 divisions”; a part of none is left out. */
export function readingWords({ turns, divisions }: Reading): string {
  const said = [
    turns === 0 ? '' : `${turns} ${turns === 1 ? 'turn' : 'turns'}`,
    divisions === 0 ? '' : `${divisions} ${divisions === 1 ? 'division' : 'divisions'}`,
  ].filter(Boolean)
  return said.join(', ') || 'zero'
}

/**
 * How much the left end stands above the right, mm between the screws; 0 is level from their zeros.
 * @returns null when a screw was not read
 */
export function tiltOf(left: Reading, right: Reading, screws: Pick<Screws, 'pitch' | 'divisions'>): number {
  return heightOf(left, screws) - heightOf(right, screws)
}

/**
 * Pitch of a screw from two known thicknesses, each with the place at which it was just held.
 * @returns mm a turn, or null when they do not tell: the same place, or the thicker one lower
 */
export function pitchFrom(
  thin: { thickness: number; at: Reading },
  thick: { thickness: number; at: Reading },
  screws: Pick<Screws, 'divisions'>,
): number | null {
  const turns = (divisionsOf(thick.at, screws) - divisionsOf(thin.at, screws)) / screws.divisions
  const pitch = (thick.thickness - thin.thickness) / turns
  return Number.isFinite(pitch) && pitch > 0 ? pitch : null
}
