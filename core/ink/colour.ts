import { converter, differenceCiede2000, formatHex, parse } from 'culori/fn'
import { modeLab65, modeLch65, modeLrgb, modeRgb, modeXyz65, useMode } from 'culori/fn'
import { linearOf, type Spectrum, xyzOf } from './spectrum'

for (const mode of [modeRgb, modeLrgb, modeXyz65, modeLab65, modeLch65]) useMode(mode)

/** CIELAB under D65. */
export interface Lab {
  l: number
  a: number
  b: number
}

const toLab = converter('lab65')
const toLinear = converter('lrgb')
const difference = differenceCiede2000()

/** CIELAB of a reflectance. */
export function labOf(reflectance: Spectrum): Lab {
  const { x, y, z } = xyzOf(reflectance)
  const { l, a, b } = toLab({ mode: 'xyz65', x, y, z })
  return { l, a, b }
}

/** CIELAB of a screen colour, `#rrggbb`. @throws RangeError when it is none */
export function labOfHex(hex: string): Lab {
  const { l, a, b } = toLab(parsed(hex))
  return { l, a, b }
}

/** Linear red, green and blue of a screen colour, 0 to 1. @throws RangeError when it is none */
export function linearOfHex(hex: string): [number, number, number] {
  const { r, g, b } = toLinear(parsed(hex))
  return [r, g, b]
}

function parsed(hex: string) {
  const colour = /^#[0-9a-f]{6}$/i.test(hex) ? parse(hex) : undefined
  if (!colour) throw new RangeError(`“${hex}” is no colour of the form #rrggbb.`)
  return colour
}

/** The nearest screen colour of a reflectance, `#rrggbb`. */
export function hexOf(reflectance: Spectrum): string {
  const [r, g, b] = linearOf(reflectance).map((part) => Math.min(1, Math.max(0, part))) as [number, number, number]
  return formatHex({ mode: 'lrgb', r, g, b })
}

/**
 * CIEDE2000 (CIE 142): about 1 is a difference just seen side by side.
 * @returns ΔE00, 0 for the same colour
 */
export function deltaE(one: Lab, other: Lab): number {
  return difference({ mode: 'lab65', ...one }, { mode: 'lab65', ...other })
}

/** Hue in degrees and how strong it is, to name or avoid a tint. */
export function hueOf({ a, b }: Lab): { hue: number; chroma: number } {
  const degrees = (Math.atan2(b, a) * 180) / Math.PI
  return { hue: (degrees + 360) % 360, chroma: Math.hypot(a, b) }
}
