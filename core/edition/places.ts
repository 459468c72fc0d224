import type { Series } from '../print/series'
import type { EditionState } from './state'
import type { Sheet } from './sheet'
import { layerNumber } from './layer'
import { countedPullsOn, resultOn } from './pull'
import { standardWord } from './standards'
import { stepsLeft } from './finishing'
import { isComplete, layersOn } from './layers-on'
import { worst, type ProofKind, type Verdict } from '../print/verdicts'

/** Where one sheet is. Every sheet is in exactly one place. */
export type Place =
  | { kind: 'split' }
  | { kind: 'destroyed' }
  | { kind: 'reject'; layer: number; faults: string[] }
  | { kind: 'bat' }
  /** Carries the approved proof of a layer that is not the last. */
  | { kind: 'standard'; layer: number }
  | { kind: 'proof'; proof: ProofKind | 'warm-up' | 'ghost' | 'practice' }
  | { kind: 'marked'; series: Series; number: number; signed: boolean }
  | { kind: 'blank' }
  | { kind: 'drying'; layer: number }
  | { kind: 'waiting'; layer: number }
  | { kind: 'doubtful'; layer: number }
  /** Misses a layer whose block has been cut further: it can never become a print. */
  | { kind: 'left behind'; layer: number }
  /** Good, and kept outside the edition. */
  | { kind: 'archive' }
  /** Every layer is on it; unfinished while it lacks a step after the press and nobody has curated it. */
  | { kind: 'good'; curated: boolean; isUnfinished: boolean }

/** The verdict that stands on a sheet: the curator's if there is one, else the harshest of its live pulls. */
export function standingVerdict(state: EditionState, sheet: Sheet): Verdict {
  return (
    sheet.curated?.verdict ?? worst(countedPullsOn(state, sheet).map((pull) => resultOn(state, pull, sheet).verdict))
  )
}

/** Where a sheet is now. */
export function placeOf(state: EditionState, sheet: Sheet): Place {
  if (sheet.parts.length > 0) return { kind: 'split' }
  if (sheet.destroyed) return { kind: 'destroyed' }
  const pulls = countedPullsOn(state, sheet)
  const on = pulls.filter((pull) => pull.kind === 'pull')
  const layers = layersOn(state, sheet)
  const reached = Math.max(0, ...layers.map((id) => layerNumber(state, id)))
  const verdict = standingVerdict(state, sheet)
  const other = pulls.find((pull) => pull.kind !== 'pull')
  if (sheet.spoiled) return { kind: 'reject', layer: reached, faults: [sheet.spoiled.fault] }
  const standard = other && state.standards.find(({ pullId }) => pullId === other.pullId)
  if (standard)
    return standardWord(state, standard.layerId) === 'BAT'
      ? { kind: 'bat' }
      : { kind: 'standard', layer: layerNumber(state, standard.layerId) }
  if (other)
    return {
      kind: 'proof',
      proof: other.kind === 'proof' ? (other.proofKind ?? 'WP') : other.kind === 'pull' ? 'WP' : other.kind,
    }
  if (verdict === 'reject')
    return {
      kind: 'reject',
      layer: reached,
      faults: [...new Set(on.flatMap((pull) => resultOn(state, pull, sheet).faults))],
    }
  if (sheet.mark) return { kind: 'marked', series: sheet.mark.series, number: sheet.mark.number, signed: sheet.signed }
  const missed = state.layers.findIndex((layer) => layer.cutFurther && !layers.includes(layer.id))
  if (missed >= 0) return { kind: 'left behind', layer: missed + 1 }
  if (layers.length === 0) return { kind: 'blank' }
  if (verdict === 'doubtful') return { kind: 'doubtful', layer: reached }
  if (isComplete(state, layers)) {
    if (sheet.bound === 'archive') return { kind: 'archive' }
    const isUnfinished = sheet.curated === null && stepsLeft(state, sheet).length > 0
    return { kind: 'good', curated: sheet.curated !== null, isUnfinished }
  }
  return sheet.dry.includes(state.layers[reached - 1]!.id)
    ? { kind: 'waiting', layer: reached + 1 }
    : { kind: 'drying', layer: reached }
}

/** Where a sheet is, the layers on it, and how it stands. */
export interface SheetStanding {
  sheet: Sheet
  place: Place
  layers: string[]
  verdict: Verdict
}

/** How one sheet stands. */
export function standingOf(state: EditionState, sheet: Sheet): SheetStanding {
  return {
    sheet,
    place: placeOf(state, sheet),
    layers: layersOn(state, sheet),
    verdict: standingVerdict(state, sheet),
  }
}

/** Kinds of place from which a sheet may still become a print of the edition. */
export const aliveKinds = [
  'blank',
  'drying',
  'waiting',
  'doubtful',
  'good',
  'marked',
] as const satisfies Place['kind'][]
const alive: ReadonlySet<string> = new Set(aliveKinds)

/** Alive: may still become a print. */
export function isAlive(place: Place): boolean {
  return alive.has(place.kind)
}
