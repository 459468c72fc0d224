import { isWaiting, nextLays } from '#core/edition/stack'
import type { EditionState } from '#core/edition/state'
import { layerOf } from '#core/edition/layer'
import type { Sheet } from '#core/edition/sheet'
import type { HandOut } from '#shared/replies/replies'
import { deviceOfStation } from './device'

interface Held {
  device: string
  until: number
  /** True for the sheets after a station's next: it gives them up when nothing else is left for another. */
  isAhead: boolean
}

/** How long a station keeps a sheet it has not pulled: a quiet one must not block the stack. */
const keptFor = 10 * 60_000

/** Lays a station holds, each of what one pull prints: its next, and those it takes while the answer to its last pull is still on its way. */
const held = 3

/**
 * Which sheets each station takes next. Provisional and kept in memory only: two stations that take the same sheet all
 * the same are told apart by the ledger, as a disputed pull.
 */
export class HandOuts {
  private readonly holds = new Map<string, Map<number, Held>>()

  /**
   * Hand a station its next sheets of a layer, keeping them from the others.
   * @param inHand sheets it was handed before, by a server that has since been started anew: it keeps those first
   */
  next(
    state: EditionState,
    layerId: string,
    device: string,
    now: number,
    inHand: ReadonlySet<number> = new Set(),
  ): HandOut {
    const layer = layerOf(state, layerId)
    if (!layer) return { sheetIds: [], heldByOthers: [] }
    const key = `${state.stream} ${layerId}`
    const known = this.holds.get(key) ?? new Map<number, Held>()
    const others = new Map(
      [...known].filter(([id, hold]) => hold.until > now && hold.device !== device && isWaiting(state, layer, id)),
    )
    const firm = new Set([...others].filter(([, hold]) => !hold.isAhead).map(([id]) => id))
    const free = nextLays(state, layer, inHand.size > 0 ? Infinity : held, new Set(others.keys()))
    const isInHand = (lay: Sheet[]) => Number(lay.some(({ id }) => inHand.has(id)))
    const first = free.sort((a, b) => isInHand(b) - isInHand(a)).slice(0, held)
    const handed = first.length > 0 ? first : nextLays(state, layer, 1, firm)
    handed.forEach((lay, i) => {
      for (const { id } of lay) others.set(id, { device, until: now + keptFor, isAhead: i > 0 })
    })
    this.holds.set(key, others)
    const sheetIds = handed.flat().map(({ id }) => id)
    return { sheetIds, heldByOthers: [...others.keys()].filter((id) => !sheetIds.includes(id)) }
  }

  /** Take back what the stations of a device hold: its person has signed out. */
  release(device: string): void {
    for (const holds of this.holds.values())
      for (const [sheet, hold] of holds) if (deviceOfStation(hold.device) === device) holds.delete(sheet)
  }

  /** Take back everything that was handed out. */
  clear(): void {
    this.holds.clear()
  }
}
