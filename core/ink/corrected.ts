import { filmBand, type Pigment } from './kubelka-munk'
import { reflectanceOf } from './reconstruct'
import { bands } from './spectrum'

/** A prediction is moved no farther than this many times its absorption, either way. */
const farthest = 40

/**
 * An ink as its draw-down shows it: in each band the absorption is scaled until the film on that ground looks as it was
 * seen; scattering stays. A band that no absorption can bring so light is left clear.
 * @param ground the paper of the draw-down, @param seen the film on it, `#rrggbb`; @param thickness µm
 */
export function corrected({ k, s }: Pigment, ground: string, seen: string, thickness: number): Pigment {
  const paper = reflectanceOf(ground)
  const wanted = reflectanceOf(seen)
  const moved = new Float64Array(bands)
  for (let i = 0; i < bands; i++) {
    const start = Math.max(k[i]!, 1e-4)
    let low = 0
    let high = start * farthest
    // More absorption is always darker, so the halves can be narrowed.
    for (let round = 0; round < 40; round++) {
      const middle = (low + high) / 2
      if (filmBand(paper[i]!, middle, s[i]!, thickness) > wanted[i]!) low = middle
      else high = middle
    }
    moved[i] = (low + high) / 2
  }
  return { k: moved, s: Float64Array.from(s) }
}
