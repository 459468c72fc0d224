import type { Verdict } from './verdicts'

/** A fault seen on a print, with its usual causes and the first remedies to try. */
export interface Fault {
  key: string
  /** The word shown on a touch bar. */
  word: string
  seen: string
  causes: string
  remedy: string
  /** What such a fault usually makes of the sheet. */
  outcome: Exclude<Verdict, 'good'> | 'note'
}

const rows: [string, string, string, string, string, Fault['outcome']][] = [
  [
    'salt',
    'salt',
    'white specks in solids, patchy',
    'too little ink, light pressure, hard or rough paper, new or drying block',
    'one more pass; recharge sooner; the smallest step more pressure or one card; damp the paper; loosen the ink',
    'doubtful',
  ],
  [
    'pale',
    'pale',
    'all lighter than the BAT',
    'change of paper, few passes, light pressure',
    'one more pass, then pressure',
    'doubtful',
  ],
  [
    'fill',
    'filled in',
    'fine lines close',
    'too much ink, ink too soft, pressure, soft packing, shallow cut',
    'unload the roller; skip a charge; wash the block; less pressure; firmer packing',
    'reject',
  ],
  ['rim', 'rim', 'ink squeezed past the edges', 'too much ink or pressure', 'unload; less pressure', 'doubtful'],
  [
    'halo',
    'halo',
    'oily ring in the paper round the ink',
    'too much oil, absorbent paper',
    'less oil; body; other paper',
    'doubtful',
  ],
  [
    'chatter',
    'chatter',
    'ridges print in open areas',
    'high ridges, soft or narrow roller, soft packing',
    'wipe; mask; cut lower; saw out; firmer packing',
    'doubtful',
  ],
  [
    'hickey',
    'hickey',
    'speck with a pale ring',
    'crumb, skin, lint',
    'pick out; brush block; clear the slab’s rim; lint-free cloth',
    'doubtful',
  ],
  [
    'corner',
    'weak corner',
    'one corner or edge weak',
    'uneven packing or block, off-centre block, hand missed it',
    'patch underlay; centre; support; level the screws',
    'doubtful',
  ],
  ['side', 'one side heavy', 'one side heavier', 'screws not equal from their zeros', 'compare both', 'doubtful'],
  [
    'lap',
    'lap',
    'line or step across a solid',
    'roller narrower than block, or ran round once',
    'wider roller; recharge; change direction',
    'doubtful',
  ],
  [
    'register',
    'register',
    'layers do not meet',
    'sheet not home, block moved, paper stretched',
    'reseat stops; check damp; pins',
    'reject',
  ],
  ['skew', 'skew', 'image not square on the sheet', 'sheet or block turned', 'redraw jig with the rotation', 'reject'],
  [
    'turned',
    'turned',
    'sheet end for end, or layer upside down',
    'stack turned',
    'mark heads; pencil serial at one corner',
    'reject',
  ],
  ['wrong-face', 'wrong face', 'printed on the lesser side', 'stack flipped', 'mark the side', 'reject'],
  [
    'slur',
    'slur',
    'double or smeared edge',
    'sheet or block slipped, laid twice',
    'hold the sheet; tack the block',
    'reject',
  ],
  ['ridge', 'ridge', 'edge embossed', 'unchamfered edge or support', 'chamfer; thinner support', 'doubtful'],
  [
    'shadow',
    'shadow',
    'dark shape matching something behind the block',
    'tape, lumps in the mount',
    'remount with an even film of glue',
    'doubtful',
  ],
  [
    'strike',
    'strike-through',
    'ink or oil through to the back',
    'thin paper, oily ink, no cover',
    'cover sheet; less oil',
    'doubtful',
  ],
  ['set-off', 'set-off', 'mark on the back', 'stacked wet', 'rack, interleave', 'note'],
  [
    'pick',
    'picking',
    'fibres pulled, sheet tears or sticks',
    'ink too tacky, weak paper',
    'a little oil or extender; lift slowly; let the ink warm in the room',
    'reject',
  ],
  ['stuck', 'stuck mask', 'sheet lifts the mask or sticks to it', 'tacky mask', 'clean the mask', 'doubtful'],
  [
    'dried',
    'dried',
    'dull patches that grow (water-based)',
    'ink drying on block or slab',
    'smaller dabs; work faster; wash and restart',
    'doubtful',
  ],
  ['bloom', 'bloom', 'pale oily stain', 'cleaner left on block', 'blot; waste pull', 'reject'],
  [
    'finger',
    'finger marks',
    'prints or dirt in the margin',
    'hands, jig, roller overrun',
    'wash; mask; paper fingers',
    'doubtful',
  ],
  ['crease', 'crease', 'fold or cockle', 'uneven damp, packing slipped', 'flatten; reset packing', 'reject'],
  [
    'shade',
    'shade',
    'colour differs from the BAT',
    'under-mixed, other batch, dirty tub',
    'remix; compare a draw-down',
    'doubtful',
  ],
  [
    'trap',
    'poor trap',
    'later layer mottled or beads',
    'printed too early, or on a hardened or glossy film',
    'mind the window; less drier; matt base',
    'doubtful',
  ],
  [
    'build',
    'built up',
    'fine detail clogged over layers',
    'detail inked in every layer',
    'wipe it until its own colour',
    'doubtful',
  ],
  ['handling', 'handling', 'tear, dent, drop', 'handling', 'none: reject', 'reject'],
]

/** Every fault the studio can name, in the order a print is usually read. */
export const faults: readonly Fault[] = rows.map(([key, word, seen, causes, remedy, outcome]) => ({
  key,
  word,
  seen,
  causes,
  remedy,
  outcome,
}))

export const faultKeys: readonly string[] = faults.map((fault) => fault.key)

/** The word for a fault, or the key itself when a newer ledger names one we do not know. */
export function faultWord(key: string): string {
  return faults.find((fault) => fault.key === key)?.word ?? key
}
