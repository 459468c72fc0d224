import type { Pigment } from './kubelka-munk'
import { wavelengths } from './spectrum'

/**
 * A first set of inks, so that a new studio can start before it has made its own draw-downs. They are invented: smooth
 * absorption curves of the kind such pigments have, not measured from any product.
 */
export type InkNature = 'pigment' | 'white' | 'base' | 'extender' | 'oil' | 'drier'
export const inkNatures: readonly InkNature[] = ['pigment', 'white', 'base', 'extender', 'oil', 'drier']

/** Absorbs up to, from, or round a wavelength in nm, so strongly per µm, over a slope or spread in nm. */
type Absorption = readonly [shape: 'below' | 'above' | 'round', at: number, spread: number, strength: number]

export interface StarterInk {
  name: string
  nature: InkNature
  density: number
  tinting: number
  pigment: Pigment
}

function curve(absorptions: readonly Absorption[], least: number): Float64Array {
  return Float64Array.from(wavelengths, (nm) =>
    absorptions.reduce((sum, [shape, at, spread, strength]) => {
      const away = (nm - at) / spread
      const share =
        shape === 'round' ? Math.exp((-away * away) / 2) : 1 / (1 + Math.exp(shape === 'below' ? away : -away))
      return sum + strength * share
    }, least),
  )
}

const ink = (
  name: string,
  nature: InkNature,
  density: number,
  tinting: number,
  scatters: number,
  least: number,
  ...absorptions: Absorption[]
): StarterInk => ({
  name,
  nature,
  density,
  tinting,
  pigment: { k: curve(absorptions, least), s: curve([], scatters) },
})

export const starterInks: readonly StarterInk[] = [
  ink('clear yellow', 'pigment', 1.1, 1, 0.0001, 0.0004, ['below', 488, 9, 0.21]),
  ink('warm yellow', 'pigment', 1.15, 1, 0.03, 0.0006, ['below', 512, 10, 0.24]),
  ink('orange', 'pigment', 1.12, 1, 0.02, 0.0006, ['below', 562, 10, 0.24]),
  ink('warm red', 'pigment', 1.12, 1.1, 0.014, 0.0008, ['below', 592, 10, 0.26]),
  ink('rose', 'pigment', 1.1, 1.1, 0.0001, 0.0006, ['round', 535, 42, 0.24], ['below', 420, 18, 0.03]),
  ink('violet', 'pigment', 1.1, 1.3, 0.0001, 0.002, ['round', 562, 52, 0.3], ['above', 660, 24, 0.02]),
  ink('deep blue', 'pigment', 1.12, 1.4, 0.0001, 0.002, ['above', 545, 20, 0.32]),
  ink('clear blue', 'pigment', 1.1, 1.3, 0.0001, 0.0006, ['round', 640, 58, 0.3]),
  ink('green', 'pigment', 1.1, 1.2, 0.0001, 0.001, ['round', 650, 60, 0.3], ['below', 458, 16, 0.16]),
  ink('earth yellow', 'pigment', 1.3, 0.8, 0.06, 0.024, ['below', 522, 22, 0.18]),
  ink('earth red', 'pigment', 1.35, 1.6, 0.05, 0.06, ['below', 592, 20, 0.3]),
  ink('bone black', 'pigment', 1.2, 1.2, 0.004, 0.36),
  ink('hiding white', 'white', 1.6, 0.7, 0.34, 0.0004, ['below', 410, 6, 0.01]),
  ink('transparent base', 'base', 1.05, 1, 0.0002, 0.0002),
  ink('extender', 'extender', 1.05, 1, 0.0002, 0.0002),
  ink('light oil', 'oil', 0.93, 1, 0, 0.0002),
  ink('drier', 'drier', 0.95, 1, 0, 0.0004),
]

/** A starter ink by its name, or undefined. */
export const starterInk = (name: string): StarterInk | undefined => starterInks.find((one) => one.name === name)
