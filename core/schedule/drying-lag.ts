import { minuteOf } from '../time/instant'
import { type Drying, dryingOf, factorOf, middleOf, touchKey, type TouchRecord } from '../drying/moments'
import { conditionsOf, type DryingRoom } from '../edition/dries'
import { isLastLayer, type Layer, layerNumber, layerOf, newLayer } from '../edition/layer'
import { countedPullsOn } from '../edition/pull'
import { piecesUnder, type Sheet } from '../edition/sheet'
import type { EditionState } from '../edition/state'
import type { Lying } from '../timetable/racks'

/** What is known of how things dry here. */
export interface DryingAround {
  room: DryingRoom
  /** Touch tests of the room. */
  touch: Readonly<Record<string, TouchRecord>>
}

/** Nobody plans by the minute: up to the next quarter of an hour. */
export const quarters = (minutes: number): number => Math.ceil(minutes / 15) * 15

/** What a layer is taken for while the edition has none. */
const planned = newLayer({ layerId: '', name: '', blocks: [], zones: [] })

/** Minutes by the clock after the last pull of a layer (models.md, M12, M17). */
export interface DryingLag {
  /** What comes next waits so long: until it is fit to be printed on, at the slow end; the last layer until it is fit to be stacked. */
  wait: number
  /** It lies in the racks so long: until it can be stacked, in the middle of its range. */
  racked: number
  /** After so long a hardened film may refuse the next layer; null for inks that do not harden so, and the last layer. */
  latest: number | null
}

/** @param i the layer's place, 0 for the first; it may be planned only */
export function dryingLag(state: EditionState, i: number, around: DryingAround): DryingLag {
  const layer = state.layers[i]
  const { moments, latest } = dryingAs(state, layer, i, around)
  const isLast = layer ? isLastLayer(state, layer.id) : i + 1 >= (state.plan?.layersPlanned ?? 1)
  return {
    wait: quarters((isLast ? moments.stack : moments.overprint).to * 60),
    racked: quarters(middleOf(moments.stack) * 60),
    latest: isLast || latest === null ? null : latest * 60,
  }
}

function dryingAs(state: EditionState, layer: Layer | undefined, i: number, { room, touch }: DryingAround): Drying {
  const like = layer ?? state.layers.at(-1)
  if (!like) return dryingOf({ ...conditionsOf(state, planned, room), beneath: i })
  const by = { ...conditionsOf(state, like, room), beneath: i }
  return dryingOf(by, factorOf(touch[touchKey(by.family, by.paper)]))
}

/** Pieces of paper that lie in the racks now, by the layer that dries on them, until they can be stacked. */
export function dryingNow(state: EditionState, now: number, around: DryingAround): Lying[] {
  const wet = new Map<string, { sheets: Sheet[]; last: string }>()
  for (const sheet of state.sheets) {
    if (sheet.parts.length > 0 || sheet.destroyed) continue
    const last = countedPullsOn(state, sheet).at(-1)
    if (!last || sheet.dry.includes(last.layerId)) continue
    const drying = wet.get(last.layerId) ?? { sheets: [], last: last.at }
    drying.sheets.push(sheet)
    if (last.at > drying.last) drying.last = last.at
    wet.set(last.layerId, drying)
  }
  return [...wet].flatMap(([layerId, { sheets, last }]) => {
    if (!layerOf(state, layerId)) return []
    const { racked } = dryingLag(state, layerNumber(state, layerId) - 1, around)
    const until = quarters(minuteOf(last) + racked)
    return until > now ? [{ from: now, to: until, sheets: piecesUnder(sheets) }] : []
  })
}
