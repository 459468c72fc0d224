import { deltaE, hueOf, labOf } from './colour'
import { type HueName, hues } from './hues'
import { film, mixOf, type Pigment } from './kubelka-munk'
import type { Spectrum } from './spectrum'

/** One ink of a blended roll (models.md, M8): where its own stripe has its middle, as a share of the roller's width. */
export interface Stripe {
  pigment: Pigment
  tinting: number
  at: number
}

/** Smoothly from 0 to 1 between two edges. */
function smoothstep(from: number, to: number, at: number): number {
  if (to <= from) return at < from ? 0 : 1
  const t = Math.min(1, Math.max(0, (at - from) / (to - from)))
  return t * t * (3 - 2 * t)
}

/**
 * How much of each ink lies at one place on the roller. Neighbours meet half-way between their middles, over a zone as
 * wide as the blend; where zones overlap the shares are normalised, so that the strip reads the same from either end.
 * @param at place as a share of the roller's width
 * @param blend width of each zone where two inks meet, as a share of the roller's width
 * @returns shares that add up to 1
 */
export function sharesAt(stripes: readonly Stripe[], at: number, blend: number): number[] {
  const beyond = stripes.slice(1).map((stripe, i) => {
    const middle = (stripes[i]!.at + stripe.at) / 2
    return smoothstep(middle - blend / 2, middle + blend / 2, at)
  })
  const weights = stripes.map((_, i) => (beyond[i - 1] ?? 1) * (1 - (beyond[i] ?? 0)))
  const whole = weights.reduce((sum, weight) => sum + weight, 0)
  return weights.map((weight) => weight / whole)
}

/** A blended roll on paper, from the roller's left end to its right. @returns one reflectance for each place */
export function rolled(
  paper: Spectrum,
  stripes: readonly Stripe[],
  blend: number,
  thickness: number,
  places: number,
): Spectrum[] {
  return Array.from({ length: places }, (_, i) => {
    const shares = sharesAt(stripes, (i + 0.5) / places, blend)
    return film(
      paper,
      mixOf(stripes.map((stripe, j) => ({ mass: shares[j]!, tinting: stripe.tinting, pigment: stripe.pigment }))),
      thickness,
    )
  })
}

/** Blend width after some charges: every charge moves the inks a little further sideways. */
export function blendAfter(first: number, charges: number, wideningPerCharge: number): number {
  return Math.min(1, first + charges * wideningPerCharge)
}

/** Paler or greyer than this no hue is seen. */
const leastChroma = 8

/** True when a colour shows that hue. */
export function shows(reflectance: Spectrum, name: HueName): boolean {
  const { hue, chroma } = hueOf(labOf(reflectance))
  const [from, to] = hues[name]
  return chroma >= leastChroma && (from < to ? hue >= from && hue < to : hue >= from || hue < to)
}

/** Where along the roller an unwanted hue shows: a stretch for each run of places. Shares of the roller's width. */
export function stretchesOf(strip: readonly Spectrum[], avoid: HueName): { from: number; to: number }[] {
  const stretches: { from: number; to: number }[] = []
  strip.forEach((reflectance, i) => {
    if (!shows(reflectance, avoid)) return
    const last = stretches.at(-1)
    if (last && Math.abs(last.to - i / strip.length) < 1e-9) last.to = (i + 1) / strip.length
    else stretches.push({ from: i / strip.length, to: (i + 1) / strip.length })
  })
  return stretches
}

export interface Bridge {
  index: number
  clear: boolean
  shown: number
  step: number
}

/**
 * Inks of the store that could go between two stripes to keep a hue out, best first: those that keep it out wholly, then
 * by how little of it is left, then by how small the largest step of colour along the strip is.
 * @param pair the two stripes that meet, @param candidates inks to try half-way between them
 */
export function bridges(
  paper: Spectrum,
  pair: readonly [Stripe, Stripe],
  candidates: readonly Omit<Stripe, 'at'>[],
  avoid: HueName,
  blend: number,
  thickness: number,
): Bridge[] {
  const places = 48
  return candidates
    .map((candidate, index) => {
      const strip = rolled(
        paper,
        [pair[0], { ...candidate, at: (pair[0].at + pair[1].at) / 2 }, pair[1]],
        blend,
        thickness,
        places,
      )
      const labs = strip.map(labOf)
      const shown = strip.filter((reflectance) => shows(reflectance, avoid)).length / places
      return {
        index,
        shown,
        clear: shown === 0,
        step: Math.max(...labs.slice(1).map((lab, i) => deltaE(labs[i]!, lab))),
      }
    })
    .sort((a, b) => a.shown - b.shown || a.step - b.step)
}
