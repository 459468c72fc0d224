import type { EditionState } from './state'
import type { Layer } from './layer'
import type { Sheet } from './sheet'
import { pullOf } from './pull'
import { isAlive, standings } from './places'

/**
 * The sheets a layer may take next, in the order they come to the press: blank sheets for the first layer, else those
 * that carry every layer before it, in the order they were pulled or reversed.
 */
export function stackFor(state: EditionState, layer: Layer): Sheet[] {
  const at = state.layers.findIndex((other) => other.id === layer.id)
  const before = state.layers.slice(0, at).map((other) => other.id)
  const ready = standings(state)
    .filter(
      ({ sheet, place, layers }) =>
        isAlive(place) &&
        !sheet.mark &&
        !layers.includes(layer.id) &&
        layers.length === before.length &&
        before.every((id) => layers.includes(id)),
    )
    .map(({ sheet }) => sheet)
  const previous = before.at(-1)
  if (previous === undefined) return ready
  const pulledAt = (sheet: Sheet) =>
    Math.max(
      ...sheet.pulls
        .map((id) => pullOf(state, id))
        .filter((pull) => pull?.layerId === previous)
        .map((pull) => pull!.ordinal),
    )
  const order = new Map(ready.map((sheet) => [sheet.id, pulledAt(sheet)]))
  const sorted = ready.sort((a, b) => order.get(a.id)! - order.get(b.id)!)
  return layer.stackOrder === 'reversed' ? sorted.reverse() : sorted
}

/** The next sheet for a station, leaving out those handed to others. */
export function nextSheet(
  state: EditionState,
  layer: Layer,
  taken: ReadonlySet<number> = new Set(),
): Sheet | undefined {
  return stackFor(state, layer).find((sheet) => !taken.has(sheet.id))
}

/** True when a person has said the layer beneath is dry on this sheet (or there is none). */
export function isDryFor(state: EditionState, sheet: Sheet, layer: Layer): boolean {
  const at = state.layers.findIndex((other) => other.id === layer.id)
  const beneath = state.layers[at - 1]
  return beneath === undefined || sheet.dry.includes(beneath.id)
}

/** Finished prints that stand as good and carry no number yet, curated first-come. */
export function awaitingNumbers(state: EditionState): Sheet[] {
  return standings(state)
    .filter(({ place, verdict }) => place.kind === 'good' && place.curated && verdict === 'good')
    .map(({ sheet }) => sheet)
}

/** Sheets alive that still lack layers, with how many each has to meet. */
export function awaitingLayers(state: EditionState): { sheet: Sheet; layers: number }[] {
  return standings(state).flatMap(({ sheet, place, layers: on }) => {
    if (sheet.mark || !isAlive(place)) return []
    const layers = state.layers.filter((layer) => !on.includes(layer.id)).length
    return layers > 0 ? [{ sheet, layers }] : []
  })
}

/** The layer at the press: the one pulled last while sheets wait for it, else the first that sheets wait for. */
export function layerAtPress(state: EditionState): Layer | undefined {
  const waits = (layer: Layer) => !layer.cutFurther && stackFor(state, layer).length > 0
  const lastId = state.pulls.findLast((pull) => !pull.voided && pull.disputed === null)?.layerId
  const last = state.layers.find((layer) => layer.id === lastId)
  if (last && waits(last)) return last
  return state.layers.find(waits) ?? last ?? state.layers[0]
}
