import { bands, type Spectrum } from './spectrum'

/**
 * Colour of an ink film by Kubelka and Munk's two fluxes (models.md, M6): absorption K and scattering S per µm of film,
 * reflectances between 0 and 1. Sources: P. Kubelka and F. Munk, Zeitschrift für technische Physik 12 (1931); P. Kubelka,
 * Journal of the Optical Society of America 38 (1948), where the forms used here stand.
 */
export interface Pigment {
  k: Spectrum
  s: Spectrum
}

/** Below this bSX or KX a film is taken by its limit, where the quotients would lose all digits. */
const nothing = 1e-9

/** One band of a film of `thickness` µm over a ground that reflects `ground`. */
export function filmBand(ground: number, k: number, s: number, thickness: number): number {
  if (thickness <= 0) return ground
  if (s * thickness < nothing) return ground * Math.exp(-2 * k * thickness)
  if (k * thickness < nothing) {
    const reach = s * thickness
    return (ground + (1 - ground) * reach) / (1 + (1 - ground) * reach)
  }
  const a = (s + k) / s
  const b = Math.sqrt(a * a - 1)
  const depth = b * s * thickness
  // b·coth(depth), by one power; a film this deep hides its ground wholly.
  const power = Math.exp(-2 * depth)
  const turned = depth > 20 ? b : (b * (1 + power)) / (1 - power)
  return (1 - ground * (a - turned)) / (a - ground + turned)
}

/** Reflectance of a film over a ground. @param seen where to put it @returns 31 values between 0 and 1 */
export function film(
  ground: Spectrum,
  { k, s }: Pigment,
  thickness: number,
  seen: Spectrum = new Float64Array(bands),
): Spectrum {
  for (let i = 0; i < bands; i++) seen[i] = filmBand(ground[i]!, k[i]!, s[i]!, thickness)
  return seen
}

/** What a draw-down shows, by the band, and why it cannot be read. */
export type Inverted = { k: number; s: number } | { trouble: 'opaque' | 'contradictory' }

/**
 * K and S of one band from a draw-down of `thickness` µm over white and over black.
 * @param white the card's bare white, @param overWhite the film on it, @param overBlack the film on black
 */
export function invertBand(white: number, overWhite: number, overBlack: number, thickness: number): Inverted {
  if (overBlack <= nothing)
    return overWhite > white + nothing
      ? { trouble: 'contradictory' }
      : { s: 0, k: Math.log(white / overWhite) / (2 * thickness) }
  if (Math.abs(overWhite - overBlack) < 1e-6) return { trouble: 'opaque' }
  if (overBlack > overWhite) return { trouble: 'contradictory' }
  const a = (overWhite + (overBlack - overWhite + white) / (overBlack * white)) / 2
  if (a < 1 - 1e-6) return { trouble: 'contradictory' }
  if (a < 1 + nothing) return { k: 0, s: overBlack / ((1 - overBlack) * thickness) }
  const b = Math.sqrt(a * a - 1)
  const within = (b * overBlack) / (1 - a * overBlack)
  if (!(within > 0 && within < 1)) return { trouble: within >= 1 ? 'opaque' : 'contradictory' }
  const s = Math.atanh(within) / (b * thickness)
  return { k: s * (a - 1), s }
}

/** A draw-down's reading. */
export type DrawDown = { pigment: Pigment } | { trouble: 'opaque' | 'contradictory' }

/** K and S from a draw-down over white and black, or why it cannot be had. Refused as soon as one band is. */
export function fromDrawDown(white: Spectrum, overWhite: Spectrum, overBlack: Spectrum, thickness: number): DrawDown {
  const pigment = { k: new Float64Array(bands), s: new Float64Array(bands) }
  for (let i = 0; i < bands; i++) {
    const found = invertBand(white[i]!, overWhite[i]!, overBlack[i]!, thickness)
    if ('trouble' in found) return found
    pigment.k[i] = found.k
    pigment.s[i] = found.s
  }
  return { pigment }
}

/** One ink in a mix: its mass in any unit, how strongly it tints, and what it is. */
export interface Mixed {
  mass: number
  tinting: number
  pigment: Pigment
}

/** K and S of a mix, weighted by mass × tinting strength. @throws RangeError when nothing is in it */
export function mixOf(inks: readonly Mixed[]): Pigment {
  const whole = inks.reduce((sum, ink) => sum + ink.mass * ink.tinting, 0)
  if (!(whole > 0)) throw new RangeError('A mix needs at least one ink.')
  const mix = { k: new Float64Array(bands), s: new Float64Array(bands) }
  for (const { mass, tinting, pigment } of inks) {
    const share = (mass * tinting) / whole
    for (let i = 0; i < bands; i++) {
      mix.k[i]! += share * pigment.k[i]!
      mix.s[i]! += share * pigment.s[i]!
    }
  }
  return mix
}
