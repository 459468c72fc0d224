/** What a screen is for, in two sentences; its keys; and the words that stand on it. */
export interface ScreenHelp {
  says: string
  keys?: [key: string, does: string][]
  words?: [word: string, means: string][]
}

/** Keys that do the same on every screen but the bench. */
export const everywhere: [string, string][] = [
  ['F', 'find an edition, a person, a paper, an ink, a sheet or a number'],
  ['K', 'the keys and words of this screen'],
  ['Tab', 'on to the next thing that can be touched'],
  ['Escape', 'leave what is open, as it was'],
  ['Alt U', 'lengths in the other unit'],
]

const sentenceKeys: [string, string][] = [
  ['Enter', 'open a value where it stands; again keeps it'],
  ['↑ ↓', 'one more, one less'],
]

const words = {
  bat: ['BAT', 'bon à tirer: the approved proof that every print is held against'] as [string, string],
  ap: ['AP, PP, HC', 'artist’s proofs, printer’s proofs, and prints not for trade, numbered by themselves'] as [
    string,
    string,
  ],
  doubtful: ['doubtful', 'a print to be judged again when it is curated; until then it counts as alive'] as [
    string,
    string,
  ],
}

/** By the name of the route. */
export const screens: Record<string, ScreenHelp> = {
  index: {
    says: 'What happens in the room now, and what waits for somebody. Every line leads to where it is done.',
  },
  editions: {
    says: 'Every edition of the room, the one that changed last on top. Start one here, or open one to go on.',
  },
  day: {
    says: 'Who has which press or place when, as strips of paper along the day. Book an hour, move a strip, and see how the day’s runs would change over least.',
    keys: [
      ['← →', 'on a strip: a quarter of an hour earlier or later; with Shift its end'],
      ['↑ ↓', 'on a strip: another place'],
      ['Enter', 'keep it where it lies'],
      ['Delete', 'give the booking back'],
    ],
  },
  orders: {
    says: 'What is to be ordered from whom: what the editions will still take and a reserve, less what is there.',
  },
  year: {
    says: 'A year of the room on one page: editions, prints, yield by method, paper and hours at the presses. Print it, or take it as CSV.',
  },
  'day-ahead': {
    says: 'What is still to be done for every edition, placed into the hours of the room, its presses and its people. What does not fit is told, with what would mend it.',
    words: [
      ['slack', 'how long something may be put off before its edition is late'],
      ['chain', 'what holds an edition up, one thing after another'],
    ],
  },
  'editions-new': {
    says: 'Say the edition in a sentence, then start it. Everything can still be changed until the first print is signed.',
    keys: sentenceKeys,
    words: [words.ap],
  },
  'editions-id-plan': {
    says: 'How many sheets to start so that enough good prints come out, and what a good print will cost. Change a value in the sentence and the answers move with it; keep it when it is right.',
    keys: [...sentenceKeys, ['← →', 'on the curve: read the chance sheet by sheet']],
    words: [words.ap, ['chance', 'of reaching the goal, by the pass rates of this room and what you expect']],
  },
  'editions-id-block': {
    says: 'The block as it will print, state by state. Describe it, then keep a picture of each state before it is cut further.',
    words: [['state', 'what a block looks like after one cutting']],
  },
  'editions-id-paper': {
    says: 'How a large sheet is torn into pieces, to scale. Take the sheet in hand, say image and margins, and the best tears are found.',
    keys: [['↑ ↓ ← →', 'move a margin by a millimetre']],
    words: [
      ['deckle', 'the uneven edge a sheet is made with'],
      ['grain', 'the way the fibres lie; a sheet tears and stretches by it'],
    ],
  },
  'editions-id-press': {
    says: 'The setting of the press for each layer, packing and screws. Keep it, and another printer can go on from it.',
    words: [['packing', 'what lies between platen and sheet']],
  },
  'editions-id-ink': {
    says: 'Whether the ink lasts, how it is rolled up, and what the layers make where they overlap. Give each zone its batch, or mix one.',
    words: [
      ['batch', 'one mix of ink, used until it is gone'],
      ['charge', 'the roller inked once on the slab'],
    ],
  },
  'editions-id-prove': {
    says: 'The proofs of each layer, and which of them is the standard. Approve one before the edition is pulled.',
    words: [words.bat],
  },
  'editions-id-recall': {
    says: 'One layer on one page, from which another printer can print it again, months later. Print it, or open it at the press by its code.',
    words: [words.bat],
  },
  'editions-id-papers': {
    says: 'A certificate or a label for every signed print, as the browser prints it. The same come as PDF under Close.',
  },
  'editions-id-pull': {
    says: 'Every pull of the layer, stroke by stroke, and what became of the sheets. Choose a stroke to read it or to judge it again.',
    keys: [['← → ↑ ↓', 'from stroke to stroke']],
    words: [words.doubtful, words.bat],
  },
  'editions-id-curate': {
    says: 'The stack beside the BAT, one print in front. A key keeps it, doubts it or takes it out, and the next one comes.',
    keys: [
      ['space', 'good'],
      ['D R', 'doubtful, reject'],
      ['A P H X', 'goes to AP, PP, HC, the archive'],
      ['E', 'goes back to the edition'],
      ['↑ ↓', 'the print before, the next'],
      ['U', 'back'],
    ],
    words: [words.doubtful, words.bat],
  },
  'editions-id-sign': {
    says: 'Numbers are given and pencilled, and each print is signed. A number that was signed is never given twice.',
    words: [words.ap],
  },
  'editions-id-close': {
    says: 'The record of the edition, for whoever buys, shows or keeps a print. Closing it keeps it from being changed.',
  },
  'editions-id-dry': {
    says: 'When a layer is dry to the touch, fit to print on, to stack and to ship, as ranges. Touch a sheet and say what you found: the room learns how long its inks take.',
    words: [['fit to print on', 'the next layer takes without lifting it or beading on it']],
  },
  'editions-id-finish': {
    says: 'What is done with the prints after the press: colours by hand in batches, flattening, trimming, the chop. Each field of the grid is a batch at one step; a touch does the rest of it.',
    keys: sentenceKeys,
    words: [
      ['batch', 'prints that lie on the table together, one colour after the other'],
      ['chop', 'the small stamp of printer or studio'],
    ],
  },
  'editions-id-gate': {
    says: 'Before the block of a reduction is cut to its next state: which sheets are alive, which would be left behind, and what more pulls would buy. Once it is cut there is no way back but to start anew.',
    words: [['left behind', 'a sheet that lacks a layer which can never be pulled again'], words.doubtful],
  },
  'editions-id-register': {
    says: 'Where block and paper meet, drawn to full size. Print it and lay it at the press.',
  },
  paper: {
    says: 'The paper of the room, lot by lot, with what is left. Add what was bought, and count it now and then.',
    words: [['lot', 'paper of one make, bought together']],
  },
  ink: {
    says: 'The tubs on the shelf and the batches mixed from them. Weigh a tub, draw one down, or mix a batch.',
    words: [['draw-down', 'a film of ink on black and white card, to see its colour and its strength']],
  },
  'ink-mix': {
    says: 'A recipe, weighed in at the scale pour by pour. Poured over, it says what to add to come out right.',
  },
  losses: {
    says: 'Pulls that were not good over the editions printed last, told apart by press, paper, ink, place, hour or person. Every fault leads to what to try.',
    keys: sentenceKeys,
  },
  racks: {
    says: 'Where sheets dry: racks, lines and shelves by their slots, with what each stack is fit for. Lay a wet stack in by one touch, take it out by another, and read the air it dries in.',
    keys: sentenceKeys,
    words: [['slot', 'a shelf of a rack, a peg of a line, a place on a shelf']],
  },
  charges: {
    says: 'What paper, ink and press time come to over some days, by person, edition or class, line by line as the ledger tells it. Staff see everybody, others themselves.',
    keys: sentenceKeys,
    words: [['reckoned', 'pulls by their pace, where nobody opened a session at the press']],
  },
  class: {
    says: 'The classes of the room: who teaches, and when they meet. A student finds the way to their own edition here.',
    keys: sentenceKeys,
  },
  'class-id': {
    says: 'A class at its benches: who asks, how each stands, and who will hardly be done by the bell. Below stand its students, hours and assignments.',
    keys: sentenceKeys,
    words: [
      ['bell', 'when the class ends; the chance is that enough good prints come out before'],
      ['sign off', 'an instructor has looked and lets somebody go on'],
    ],
  },
  'class-id-assignment': {
    says: 'What a class is given to do. Start everybody’s edition in one act, see what is handed in, and draw who gets whose print.',
    keys: sentenceKeys,
    words: [['gate', 'what has to be asked for first: a press, good paper, a further cut']],
  },
  'editions-id-class': {
    says: 'The edition as a class’s assignment: what is asked for first, and what is signed off. When it is done it is handed in here.',
  },
  presses: {
    says: 'The presses of the room, what is set up on each, and the packing drawer they share. Open one to find its zero, its setting and who used it.',
    keys: sentenceKeys,
    words: [
      ['zero', 'where a screw just touches, with what lay on the bed then'],
      ['packing', 'what lies between platen or roller and sheet'],
    ],
  },
  'presses-id': {
    says: 'How this press is made and where its zero is. What was set on it last is where the next printer starts from.',
    keys: sentenceKeys,
    words: [
      ['pitch', 'how far one whole turn of a screw lifts'],
      ['play', 'what a screw loses when it is turned back; a setting is always come at from above'],
    ],
  },
  'stations-id': {
    says: 'A press or another station as the next person finds it: who is there, how it was left, what is to be done. Open your session when you come, close it when you leave.',
    keys: sentenceKeys,
    words: [
      ['session', 'the time one person has a station, from how it was found to how it is left'],
      ['as it seems', 'closed by staff for someone who left it open'],
    ],
  },
  finder: {
    says: 'From what is seen on a print to its likely cause and one thing to try. At an edition what is tried is settled by the next pulls; by itself it is there to teach with.',
    keys: sentenceKeys,
    words: [
      [
        'stays in one place',
        'the same fault within a thumb’s breadth on three of five pulls: then look at block, packing and bed first',
      ],
    ],
  },
  office: {
    says: 'People, customs and the ledger of the room. What the manager changes here counts from now on.',
  },
  setup: { says: 'The room is opened once, by its manager, with the token that the server printed.' },
  'sign-in': { says: 'Say who you are. What you pull from now on stands in your name.' },
  'bench-id': {
    says: 'One touch a pull: good, doubtful or reject. The stroke appears at once and grows a base line when it is stored.',
    keys: [
      ['space, G', 'good'],
      ['D', 'doubtful'],
      ['R', 'reject'],
      ['1 to 9', 'name the fault, or the adjustment'],
      ['1 to 5', 'with nothing asked: ink of the last pull, from far too little to far too much'],
      ['P', 'proof'],
      ['W', 'warm-up'],
      ['B', 'the last proof is the standard'],
      ['U', 'take back'],
      ['Z', 'bring back'],
      ['A', 'adjust'],
      ['E, N', 'the last was re-inked, was burnished'],
      ['C', 'change of person'],
      ['S', 'another sheet'],
      ['M', 'more; also the foot pedal, learnt by treading on it'],
    ],
    words: [words.doubtful, words.bat],
  },
}
