import type { Verdict } from './verdicts'

export type Outcome = Exclude<Verdict, 'good'> | 'note'
export const outcomes: readonly Outcome[] = ['reject', 'doubtful', 'note']

/** A fault seen on a print. What it comes from and what is tried against it stands in `causes.ts`. */
export interface Fault {
  key: string
  /** The word shown on a touch bar. */
  word: string
  seen: string
  /** What such a fault usually makes of the sheet. */
  outcome: Outcome
}

const rows: [key: string, word: string, seen: string, outcome: Fault['outcome']][] = [
  ['salt', 'salt', 'white specks in solids, patchy', 'doubtful'],
  ['pale', 'pale', 'all lighter than the BAT', 'doubtful'],
  ['fill', 'filled in', 'fine lines close', 'reject'],
  ['rim', 'rim', 'ink squeezed past the edges', 'doubtful'],
  ['halo', 'halo', 'oily ring in the paper round the ink', 'doubtful'],
  ['chatter', 'chatter', 'ridges print in open areas', 'doubtful'],
  ['hickey', 'hickey', 'speck with a pale ring', 'doubtful'],
  ['corner', 'weak corner', 'one corner or edge weak', 'doubtful'],
  ['side', 'one side heavy', 'one side heavier', 'doubtful'],
  ['lap', 'lap', 'line or step across a solid', 'doubtful'],
  ['register', 'register', 'layers do not meet', 'reject'],
  ['skew', 'skew', 'image not square on the sheet', 'reject'],
  ['turned', 'turned', 'sheet end for end, or layer upside down', 'reject'],
  ['wrong-face', 'wrong face', 'printed on the lesser side', 'reject'],
  ['slur', 'slur', 'double or smeared edge', 'reject'],
  ['ridge', 'ridge', 'edge embossed', 'doubtful'],
  ['shadow', 'shadow', 'dark shape matching something behind the block', 'doubtful'],
  ['strike', 'strike-through', 'ink or oil through to the back', 'doubtful'],
  ['set-off', 'set-off', 'mark on the back', 'note'],
  ['pick', 'picking', 'fibres pulled, sheet tears or sticks', 'reject'],
  ['stuck', 'stuck mask', 'sheet lifts the mask or sticks to it', 'doubtful'],
  ['dried', 'dried', 'dull patches that grow (water-based)', 'doubtful'],
  ['bloom', 'bloom', 'pale oily stain', 'reject'],
  ['finger', 'finger marks', 'prints or dirt in the margin', 'doubtful'],
  ['crease', 'crease', 'fold or cockle', 'reject'],
  ['shade', 'shade', 'colour differs from the BAT', 'doubtful'],
  ['trap', 'poor trap', 'later layer mottled or beads', 'doubtful'],
  ['build', 'built up', 'fine detail clogged over layers', 'doubtful'],
  ['handling', 'handling', 'tear, dent, drop', 'reject'],
]

/** Every fault the studio can name, in the order a print is usually read. */
export const faults: readonly Fault[] = rows.map(([key, word, seen, outcome]) => ({
  key,
  word,
  seen,
  outcome,
}))

export const faultKeys: readonly string[] = faults.map((fault) => fault.key)

/** The word for a fault, or the key itself when a newer ledger names one we do not know. */
export function faultWord(key: string): string {
  return faults.find((fault) => fault.key === key)?.word ?? key
}
