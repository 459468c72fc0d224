import { isLive, type Pull } from './pull'
import type { EditionState } from './state'

/** A fault that came again in one place: look at block, packing and bed before the next pull (models.md, M16). */
export interface Staying {
  fault: string
  /** The middle of where it was seen, mm. */
  x: number
  y: number
  /** Of how many of the last pulls. */
  pulls: number
  of: number
}

/** So near to one another is one place, mm. */
export const onePlace = 30
/** On so many of the last so many judged pulls it stays. */
const lookedAt = 5
const enough = 3

/** The image whose places are meant, mm; null while neither paper nor block says how large it is. */
export function imageOf({
  piece,
  blocks,
}: Pick<EditionState, 'piece' | 'blocks'>): { width: number; height: number } | null {
  return piece?.image ?? blocks[0]?.block.image ?? null
}

const isJudged = (pull: Pull, layerId: string) =>
  pull.layerId === layerId && isLive(pull) && (pull.kind === 'pull' || pull.kind === 'proof')

/** Every fault of a layer that stays in its place. */
export function stayingFaults(state: Pick<EditionState, 'pulls' | 'faultPlaces'>, layerId: string): Staying[] {
  if (state.faultPlaces.length < enough) return []
  const last: Pull[] = []
  for (let i = state.pulls.length - 1; i >= 0 && last.length < lookedAt; i--)
    if (isJudged(state.pulls[i]!, layerId)) last.push(state.pulls[i]!)
  // A fault taken back from a pull takes its place with it.
  const places = last.flatMap(({ pullId, faults }) =>
    state.faultPlaces.filter((place) => place.pullId === pullId && faults.includes(place.fault)),
  )
  return [...new Set(places.map(({ fault }) => fault))].flatMap((fault) => {
    const own = places.filter((place) => place.fault === fault)
    const near = own.map((place) => own.filter(({ x, y }) => Math.hypot(x - place.x, y - place.y) <= onePlace))
    const most = near.reduce((a, b) => (b.length > a.length ? b : a), [])
    return most.length < enough
      ? []
      : [
          {
            fault,
            x: most.reduce((sum, { x }) => sum + x, 0) / most.length,
            y: most.reduce((sum, { y }) => sum + y, 0) / most.length,
            pulls: most.length,
            of: last.length,
          },
        ]
  })
}
