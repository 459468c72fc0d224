import { ArrayMaxSize, IsArray, IsIn, IsString, MaxLength } from 'class-validator'
import { Words } from '../ground/shape'

/** Where a cause lies: what a fault that stays in its place speaks for, and what one that wanders speaks for. */
export type Seat = 'ink' | 'handling' | 'paper' | 'press' | 'packing' | 'block'

export const seats: readonly Seat[] = ['ink', 'handling', 'paper', 'press', 'packing', 'block']

/** A usual cause of a fault, with what is tried against it, likeliest first. */
export class Cause {
  @Words(120) words!: string
  @IsIn(seats) seat!: Seat
  @IsArray() @ArrayMaxSize(12) @IsString({ each: true }) @MaxLength(120, { each: true }) remedies!: string[]
}

const cause = (words: string, seat: Seat, ...remedies: string[]): Cause => ({ words, seat, remedies })

/** Causes by the key of the fault, the commonest first, as printers of relief tell them. */
export const causesOf: Readonly<Record<string, readonly Cause[]>> = {
  salt: [
    cause('too little ink', 'ink', 'one more pass', 'recharge sooner'),
    cause('light pressure', 'press', 'the smallest step more pressure', 'one card more'),
    cause('hard or rough paper', 'paper', 'damp the paper'),
    cause('a new or drying block', 'block', 'loosen the ink'),
  ],
  pale: [
    cause('a change of paper', 'paper', 'one more pass'),
    cause('few passes', 'ink', 'one more pass'),
    cause('light pressure', 'press', 'the smallest step more pressure'),
  ],
  fill: [
    cause('too much ink', 'ink', 'unload the roller', 'skip a charge', 'wash the block'),
    cause('ink too soft', 'ink', 'stiffen the ink with some of the stock'),
    cause('too much pressure', 'press', 'less pressure'),
    cause('soft packing', 'packing', 'firmer packing'),
    cause('a shallow cut', 'block', 'wipe the lines before each pull', 'cut deeper'),
  ],
  rim: [cause('too much ink', 'ink', 'unload the roller'), cause('too much pressure', 'press', 'less pressure')],
  halo: [
    cause('too much oil', 'ink', 'less oil', 'give the ink more body'),
    cause('absorbent paper', 'paper', 'another paper'),
  ],
  chatter: [
    cause('high ridges in the clearing', 'block', 'wipe them', 'mask them', 'cut them lower', 'saw the part out'),
    cause('a soft or narrow roller', 'ink', 'a harder, wider roller'),
    cause('soft packing', 'packing', 'firmer packing'),
  ],
  hickey: [
    cause('a crumb of the block', 'block', 'pick it out', 'brush the block'),
    cause('skin in the ink', 'ink', 'clear the slab’s rim'),
    cause('lint', 'handling', 'a lint-free cloth'),
  ],
  corner: [
    cause('uneven packing', 'packing', 'a patch underlay', 'turn the packing about'),
    cause('the block off centre', 'press', 'centre it', 'a support at the far side'),
    cause('an uneven block', 'block', 'a patch underlay'),
    cause('the hand missed it', 'handling', 'rub that corner first'),
  ],
  side: [cause('screws not equal from their zeros', 'press', 'compare both screws')],
  lap: [
    cause('a roller narrower than the block', 'ink', 'a wider roller', 'change the direction'),
    cause('the roller ran round once', 'ink', 'recharge'),
  ],
  register: [
    cause('the sheet was not home', 'handling', 'reseat the stops', 'pins'),
    cause('the block moved', 'block', 'tack the block'),
    cause('the paper stretched', 'paper', 'check the damp'),
  ],
  skew: [
    cause('the sheet turned', 'handling', 'reseat the stops'),
    cause('the block turned', 'block', 'redraw the jig with the rotation'),
  ],
  turned: [cause('the stack was turned', 'handling', 'mark the heads', 'pencil a serial at one corner')],
  'wrong-face': [cause('the stack was flipped', 'handling', 'mark the side')],
  slur: [
    cause('the sheet slipped', 'handling', 'hold the sheet'),
    cause('the block slipped', 'block', 'tack the block'),
    cause('the sheet was laid twice', 'handling', 'lift and lay it once'),
  ],
  ridge: [
    cause('an unchamfered edge', 'block', 'chamfer the edge'),
    cause('a support beside the block', 'packing', 'a thinner support'),
  ],
  shadow: [
    cause('tape behind the block', 'block', 'take the tape off'),
    cause('lumps in the mount', 'block', 'remount with an even film of glue'),
  ],
  strike: [
    cause('thin paper', 'paper', 'a cover sheet'),
    cause('oily ink', 'ink', 'less oil'),
    cause('no cover sheet', 'handling', 'a cover sheet'),
  ],
  'set-off': [cause('stacked wet', 'handling', 'rack them', 'interleave them')],
  pick: [
    cause('ink too tacky', 'ink', 'a little oil or extender', 'lift slowly', 'let the ink warm in the room'),
    cause('weak paper', 'paper', 'another paper'),
  ],
  stuck: [cause('a tacky mask', 'handling', 'clean the mask')],
  dried: [cause('ink drying on block or slab', 'ink', 'smaller dabs', 'work faster', 'wash and begin again')],
  bloom: [cause('cleaner left on the block', 'block', 'blot it', 'a waste pull')],
  finger: [
    cause('hands', 'handling', 'wash them', 'paper fingers'),
    cause('a dirty jig', 'handling', 'mask it'),
    cause('the roller overran', 'ink', 'mask the edge'),
  ],
  crease: [
    cause('uneven damp', 'paper', 'flatten the sheets'),
    cause('packing slipped', 'packing', 'reset the packing'),
  ],
  shade: [
    cause('ink not mixed through', 'ink', 'remix it'),
    cause('another batch', 'ink', 'compare a draw-down'),
    cause('a dirty tub', 'ink', 'compare a draw-down'),
  ],
  trap: [
    cause('printed too early', 'ink', 'let the layer beneath dry'),
    cause('printed on a hardened film', 'ink', 'mind the window', 'less drier'),
    cause('printed on a glossy film', 'ink', 'a matt base'),
  ],
  build: [cause('detail inked in every layer', 'ink', 'wipe it until its own colour')],
}
