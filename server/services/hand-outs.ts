import { isWaiting, nextSheet } from '#core/edition/stack'
import type { EditionState } from '#core/edition/state'
import { layerOf } from '#core/edition/layer'
import type { HandOut } from '#shared/replies/replies'

interface Held {
  device: string
  until: number
}

/** How long a station keeps a sheet it has not pulled: a quiet one must not block the stack. */
const keptFor = 10 * 60_000

/**
 * Which sheet each station takes next. Provisional and kept in memory only: two stations that take the same sheet all
 * the same are told apart by the ledger, as a disputed pull.
 */
export class HandOuts {
  private readonly held = new Map<string, Map<number, Held>>()

  /** Hand a station its next sheet of a layer, keeping it from the others. */
  next(state: EditionState, layerId: string, device: string, now: number): HandOut {
    const layer = layerOf(state, layerId)
    if (!layer) return { sheetId: null, heldByOthers: [] }
    const key = `${state.stream} ${layerId}`
    const known = this.held.get(key) ?? new Map<number, Held>()
    const held = new Map(
      [...known].filter(([id, hold]) => hold.until > now && hold.device !== device && isWaiting(state, layer, id)),
    )
    const next = nextSheet(state, layer, new Set(held.keys()))
    const heldByOthers = [...held.keys()]
    if (next) held.set(next.id, { device, until: now + keptFor })
    this.held.set(key, held)
    return { sheetId: next?.id ?? null, heldByOthers }
  }

  /** Take back everything that was handed out. */
  clear(): void {
    this.held.clear()
  }
}
