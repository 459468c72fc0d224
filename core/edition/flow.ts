import { faultWord } from '../print/faults'
import { stepsOf } from '../finish/plan'
import { stepsLeft } from './finishing'
import { isComplete } from './layers-on'
import { isAlive } from './places'
import { standings } from './tally'
import type { EditionState } from './state'

/** One station of the stream from torn to signed. */
export interface FlowStage {
  label: string
  /** Sheets that came this far. */
  sheets: number
  /** What fell away here, by what it was, largest first. */
  losses: { what: string; sheets: number }[]
  /** Standing here as doubtful. */
  doubtful: number
}

/**
 * How the sheets flow: torn, then each layer, then numbered and signed. A stage's sheets less its losses are those
 * that may still go on; what has not reached the next stage yet is waiting.
 */
export function flowOf(state: EditionState): FlowStage[] {
  const places = standings(state).filter(({ sheet }) => sheet.parts.length === 0)
  const stages: FlowStage[] = [{ label: 'torn', sheets: places.length, losses: [], doubtful: 0 }]
  state.layers.forEach((layer, i) => {
    const here = places.filter((entry) => entry.layers.includes(layer.id))
    stages.push({
      label: state.layers.length === 1 ? layer.name : `layer ${i + 1}`,
      sheets: here.length,
      losses: [],
      doubtful: places.filter(({ place }) => place.kind === 'doubtful' && place.layer === i + 1).length,
    })
  })
  for (const { place, layers } of places) {
    if (place.kind === 'reject') lose(stages[place.layer]!, place.faults[0] ? faultWord(place.faults[0]) : 'rejected')
    if (place.kind === 'left behind') lose(stages[place.layer - 1]!, 'left behind')
    if (['proof', 'standard', 'bat'].includes(place.kind)) lose(stages[layers.length]!, 'for proofs')
  }
  if (stepsOf(state.finishing).length > 0) {
    const finished = places.filter(
      ({ sheet, place, layers }) => isAlive(place) && isComplete(state, layers) && stepsLeft(state, sheet).length === 0,
    )
    stages.push({ label: 'finished', sheets: finished.length, losses: [], doubtful: 0 })
  }
  const numbered = places.filter(({ place }) => place.kind === 'marked')
  if (numbered.length > 0) stages.push({ label: 'numbered', sheets: numbered.length, losses: [], doubtful: 0 })
  const signed = numbered.filter(({ sheet }) => sheet.signed)
  if (signed.length > 0) stages.push({ label: 'signed', sheets: signed.length, losses: [], doubtful: 0 })
  return stages
}

function lose(stage: FlowStage, what: string): void {
  const known = stage.losses.find((loss) => loss.what === what)
  if (known) known.sheets += 1
  else stage.losses.push({ what, sheets: 1 })
  stage.losses.sort((a, b) => b.sheets - a.sheets || a.what.localeCompare(b.what, 'en'))
}
