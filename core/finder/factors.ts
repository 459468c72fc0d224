import type { BlockKind } from '../block/block'
import type { InkFamily } from '../ink/family'
import type { Cause, Seat } from '../print/causes'

/** What is known of the pull on which a fault was seen; null is not known. */
export interface Situation {
  family: InkFamily | null
  byHand: boolean
  damp: boolean | null
  block: BlockKind | null
  /** Pulls of this layer so far, warm-up among them. */
  pulls: number
  /** Pulls since the block was washed or inked anew, or null. */
  sinceWash: number | null
  /** Place of the layer, from 1. */
  layer: number
  /** The same fault in one place on several of the last pulls. */
  isStaying: boolean
}

/** By how much something of the situation makes a cause likelier, and why. */
export interface Factor {
  by: number
  why: string
}

interface Rule {
  holds: (situation: Situation) => boolean
  /** Of which causes: by where they lie, or by their words. */
  of: (cause: Cause) => boolean
  by: number
  why: string
}

const inSeat =
  (...seats: Seat[]) =>
  ({ seat }: Cause) =>
    seats.includes(seat)
const named =
  (...words: string[]) =>
  (cause: Cause) =>
    words.some((word) => cause.words.includes(word))

/** Our own guesses, ¼ to 4: the room's trials outweigh them in time. */
const rules: readonly Rule[] = [
  { holds: (s) => s.isStaying, of: inSeat('block', 'packing', 'press'), by: 4, why: 'it stays in one place' },
  { holds: (s) => s.isStaying, of: inSeat('ink', 'handling'), by: 0.25, why: 'ink and hands would wander' },
  { holds: (s) => s.pulls <= 3, of: named('new or drying block', 'too little ink'), by: 2, why: 'a new block drinks' },
  { holds: (s) => s.pulls <= 3, of: named('too much ink'), by: 0.5, why: 'ink has hardly built up yet' },
  {
    holds: (s) => (s.sinceWash ?? s.pulls) >= 15,
    of: named('too much ink', 'crumb', 'skin', 'lint'),
    by: 2,
    why: 'it was long since the last wash',
  },
  { holds: (s) => s.family === 'water-based', of: named('drying'), by: 3, why: 'water-based ink dries fast' },
  {
    holds: (s) => s.family !== null && s.family !== 'water-based',
    of: named('drying'),
    by: 0.5,
    why: 'this ink stays open for long',
  },
  { holds: (s) => s.damp === false, of: named('hard or rough paper'), by: 1.5, why: 'it is printed dry' },
  { holds: (s) => s.damp === true, of: named('hard or rough paper'), by: 0.25, why: 'the paper is damp' },
  { holds: (s) => s.damp === true, of: named('stretched', 'uneven damp'), by: 2.5, why: 'damp paper moves' },
  { holds: (s) => s.damp === false, of: named('uneven damp'), by: 0.25, why: 'it is printed dry' },
  { holds: (s) => s.byHand, of: named('light pressure', 'hand missed'), by: 2, why: 'it is rubbed by hand' },
  { holds: (s) => s.byHand, of: named('screws'), by: 0.25, why: 'no screws are in use' },
  { holds: (s) => !s.byHand, of: named('hand missed'), by: 0.25, why: 'it is printed at a press' },
  {
    holds: (s) => s.layer > 1,
    of: named('hardened', 'glossy', 'printed too early'),
    by: 1.5,
    why: 'layers lie beneath',
  },
  {
    holds: (s) => s.layer === 1,
    of: named('hardened', 'glossy', 'printed too early'),
    by: 0.25,
    why: 'nothing lies beneath',
  },
  { holds: (s) => s.block === 'photopolymer', of: named('shallow cut'), by: 2, why: 'plates are shallow' },
  { holds: (s) => s.block === 'wood', of: named('new or drying block'), by: 2, why: 'wood drinks' },
  { holds: (s) => s.block === 'soft-cut lino', of: named('too much pressure'), by: 2, why: 'a soft block gives way' },
]

/** Everything of a situation that speaks for or against a cause. */
export function factorsFor(cause: Cause, situation: Situation): Factor[] {
  return rules.filter((rule) => rule.holds(situation) && rule.of(cause)).map(({ by, why }) => ({ by, why }))
}
