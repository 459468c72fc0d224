import { IsNumber, Max, Min } from 'class-validator'
import { IsColour } from '../ground/written'
import { deltaE, hexOf, labOf, labOfHex } from './colour'
import { film, fromDrawDown, invertBand, type Pigment } from './kubelka-munk'
import { reflectanceOf } from './reconstruct'
import { bands, even } from './spectrum'

/** An ink spread on a card that is white in one half and black in the other, as the eye or a picture sees it. */
export class Card {
  /** The bare white of the card, `#rrggbb`. */
  @IsColour() white!: string
  @IsColour() overWhite!: string
  @IsColour() overBlack!: string
  /** Film thickness, µm. */
  @IsNumber() @Min(0) @Max(1000) thickness!: number
}

/** A draw-down of a batch beside what was predicted. */
export class SeenDrawDown {
  static readonly sample: SeenDrawDown = { ground: '#ffffff', colour: '#445566', thickness: 8 }

  @IsColour() ground!: string
  @IsColour() colour!: string
  @IsNumber() @Min(0) @Max(1000) thickness!: number
}

export type CardReading = { pigment: Pigment } | { trouble: 'opaque' | 'contradictory' | 'thickness'; message: string }

/** Film over an ideal black. */
export const black = even(0)

/** Farther off than this from what was seen, the two halves cannot be of one film. */
const tolerance = 4

/** Below this the two halves look the same. */
const leastDifference = 1.5

/**
 * K and S of an ink from a draw-down card. Screen colours are only three numbers, so some bands of the reflectances made
 * from them may contradict each other a little: those are moved to the nearest film there can be, and the whole is
 * refused when it then no longer looks like the card.
 */
export function readCard({ white, overWhite, overBlack, thickness }: Card): CardReading {
  if (!(thickness > 0))
    return { trouble: 'thickness', message: 'Give the film thickness of the draw-down in µm, above zero.' }
  const [seenWhite, seenBlack] = [labOfHex(overWhite), labOfHex(overBlack)]
  if (deltaE(seenWhite, seenBlack) < leastDifference)
    return {
      trouble: 'opaque',
      message:
        'The film looks the same over white and over black: it hides the card, and cannot be read. Draw it down thinner.',
    }
  const contradictory = {
    trouble: 'contradictory' as const,
    message:
      'No film looks like this over white and over black. Over black it must be darker, and no lighter than the card over white. Pick the two swatches again.',
  }
  if (seenBlack.l > seenWhite.l) return contradictory
  const card = reflectanceOf(white)
  const whiteHalf = reflectanceOf(overWhite)
  const blackHalf = reflectanceOf(overBlack)
  const exact = fromDrawDown(card, whiteHalf, blackHalf, thickness)
  if ('pigment' in exact) return exact
  const pigment = { k: new Float64Array(bands), s: new Float64Array(bands) }
  for (let i = 0; i < bands; i++) {
    const over = Math.min(whiteHalf[i]!, card[i]! * 0.999)
    const under = Math.min(blackHalf[i]!, over * 0.95)
    const found = invertBand(card[i]!, over, under, thickness)
    // A film that neither absorbs nor lets its ground through is taken to scatter alone.
    Object.entries('trouble' in found ? { k: 0, s: under / ((1 - under) * thickness) } : found).forEach(
      ([of, value]) => {
        pigment[of as 'k' | 's'][i] = value
      },
    )
  }
  const missed = Math.max(
    deltaE(labOf(film(card, pigment, thickness)), seenWhite),
    deltaE(labOf(film(black, pigment, thickness)), seenBlack),
  )
  return missed > tolerance ? contradictory : { pigment }
}

/** How a film looks on both halves of a card, to show beside what was seen. */
export function cardOf(pigment: Pigment, white: string, thickness: number): Card {
  return {
    white,
    thickness,
    overWhite: hexOf(film(reflectanceOf(white), pigment, thickness)),
    overBlack: hexOf(film(black, pigment, thickness)),
  }
}
