import { isOpenWork } from '../print/series'
import { type Layer, layerNumber } from './layer'
import { isAlive, type SheetStanding } from './places'
import { isLive, newestPulls } from './pull'
import { type Sheet, sheetOf } from './sheet'
import type { EditionState } from './state'
import { standings, tallied, tallyOf } from './tally'

/** True for a sheet that a layer may take next: alive, and carrying every layer before it and no other. */
function isReady({ sheet, place, layers }: SheetStanding, before: readonly Layer[]): boolean {
  return (
    isAlive(place) && !sheet.mark && layers.length === before.length && before.every(({ id }) => layers.includes(id))
  )
}

/** Sheets by their serial, and the parts they were cut into, each in turn. */
function* withParts(state: EditionState, ids: readonly number[]): Generator<SheetStanding> {
  const { standings } = tallyOf(state)
  for (const id of [...ids].sort((a, b) => a - b)) {
    const standing = standings[id - 1]
    if (standing) yield standing
    if (standing && standing.sheet.parts.length > 0) yield* withParts(state, standing.sheet.parts)
  }
}

/** By rack and slot, those that never lay in one at the end; within a slot by serial. */
function bySlot(sheets: Sheet[]): Sheet[] {
  const last = Number.MAX_SAFE_INTEGER
  const rackOf = ({ rack }: Sheet) => rack?.rackName ?? '\uffff'
  return sheets.sort(
    (a, b) =>
      (rackOf(a) < rackOf(b) ? -1 : rackOf(a) > rackOf(b) ? 1 : 0) ||
      (a.rack?.slot ?? last) - (b.rack?.slot ?? last) ||
      a.id - b.id,
  )
}

/** The stack of a layer as it comes to the press, sheet by sheet: whoever needs the next one does not go through all. */
function* comingFor(state: EditionState, layer: Layer): Generator<Sheet> {
  const before = state.layers.slice(0, Math.max(0, layerNumber(state, layer.id) - 1))
  const previous = before.at(-1)
  if (!previous || layer.stackOrder === 'serial') {
    for (const standing of tallyOf(state).standings) if (isReady(standing, before)) yield standing.sheet
    return
  }
  if (layer.stackOrder === 'slot') {
    yield* bySlot(tallyOf(state).standings.flatMap((standing) => (isReady(standing, before) ? [standing.sheet] : [])))
    return
  }
  const { pulls } = state
  const reversed = layer.stackOrder === 'reversed'
  for (let i = 0; i < pulls.length; i++) {
    const pull = pulls[reversed ? pulls.length - 1 - i : i]!
    if (pull.layerId !== previous.id || !isLive(pull)) continue
    for (const standing of withParts(state, pull.sheetIds)) if (isReady(standing, before)) yield standing.sheet
  }
}

/**
 * The sheets a layer may take next, in the order they come to the press: blank sheets for the first layer, else those
 * that carry every layer before it, in the order they were pulled or reversed.
 */
export function stackFor(state: EditionState, layer: Layer): Sheet[] {
  return [...comingFor(state, layer)]
}

/** How many sheets that is. */
export function waitingFor(state: EditionState, layer: Layer): number {
  return tallied(state, `ready ${layer.id}`)
}

/**
 * What one pull prints when that sheet comes next: the sheet, and those beside it on the same piece of paper that are
 * locked up with it and wait too.
 */
export function laidWith(state: EditionState, layer: Layer, sheet: Sheet): Sheet[] {
  const { together, id } = sheet
  if (layer.fills <= 1 || together.length === 0) return [sheet]
  const first = Math.floor(together.indexOf(id) / layer.fills) * layer.fills
  const beside = together.slice(first, first + layer.fills).filter((other) => isWaiting(state, layer, other))
  return beside.includes(id) ? beside.flatMap((other) => sheetOf(state, other) ?? []) : [sheet]
}

/** What the next pulls of a station print, leaving out every piece of paper that lies at another. */
export function nextLays(state: EditionState, layer: Layer, count: number, taken: ReadonlySet<number>): Sheet[][] {
  const lays: Sheet[][] = []
  const laid = new Set<number>()
  for (const sheet of comingFor(state, layer)) {
    if (lays.length === count) break
    if (laid.has(sheet.id) || taken.has(sheet.id) || sheet.together.some((id) => taken.has(id))) continue
    const lay = laidWith(state, layer, sheet)
    for (const { id } of lay) laid.add(id)
    lays.push(lay)
  }
  return lays
}

/** The next sheet for a station, leaving out those handed to others. */
export function nextSheet(
  state: EditionState,
  layer: Layer,
  taken: ReadonlySet<number> = new Set(),
): Sheet | undefined {
  return nextLays(state, layer, 1, taken)[0]?.[0]
}

/** True when a layer may take that sheet next. */
export function isWaiting(state: EditionState, layer: Layer, sheetId: number): boolean {
  const standing = tallyOf(state).standings[sheetId - 1]
  return standing !== undefined && isReady(standing, state.layers.slice(0, layerNumber(state, layer.id) - 1))
}

/** True when that sheet may be laid under the layer's block: it waits for it or, in open work, is there at all. */
export function mayTake(state: EditionState, layer: Layer, sheetId: number): boolean {
  const standing = tallyOf(state).standings[sheetId - 1]
  return (
    isWaiting(state, layer, sheetId) ||
    (isOpenWork(state.plan) &&
      standing !== undefined &&
      isAlive(standing.place) &&
      !layer.withoutPull &&
      !layer.cutFurther)
  )
}

/** True when a person has said the layer beneath is dry on this sheet (or there is none). */
export function isDryFor(state: EditionState, sheet: Sheet, layer: Layer): boolean {
  const beneath = state.layers[layerNumber(state, layer.id) - 2]
  return beneath === undefined || sheet.dry.includes(beneath.id)
}

/** Finished prints that stand as good and carry no number yet, curated first-come. */
export function awaitingNumbers(state: EditionState): Sheet[] {
  return standings(state)
    .filter(({ place, verdict }) => place.kind === 'good' && place.curated && verdict === 'good')
    .map(({ sheet }) => sheet)
}

/** How many sheets alive still lack layers. */
export function unfinished(state: EditionState): number {
  return tallied(state, 'unfinished')
}

/** The layer at the press: the one pulled last while sheets wait for it, else the first that sheets wait for. */
export function layerAtPress(state: EditionState): Layer | undefined {
  const waits = (layer: Layer) => !layer.cutFurther && waitingFor(state, layer) > 0
  const [newest] = newestPulls(state, 1, isLive)
  const last = state.layers.find((layer) => layer.id === newest?.layerId)
  if (last && waits(last)) return last
  return state.layers.find(waits) ?? last ?? state.layers[0]
}
