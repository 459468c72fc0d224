import type { EditionState } from '../edition/state'
import { isLive } from '../edition/pull'
import { talliedUnder } from '../edition/tally'
import type { ShopRecord } from '../plan/shop-record'
import { faultKeys } from '../print/faults'

/** Named where nothing has been seen yet, the most usual of hand printing first. */
const usual = ['salt', 'pale', 'fill', 'register', 'slur', 'hickey', 'handling', 'crease', 'corner']

/** A fault of this edition counts as many of the room's other ones: the same block, paper and ink come again. */
const ownWeight = 4

/**
 * Every fault, the likeliest to be named next first: what was named last on this layer, since a fault seldom comes alone;
 * then by how often this edition and the room have seen it; then the usual ones.
 * @param record the room's past beside this edition
 */
export function likelyFaults(state: EditionState, layerId: string, record: Pick<ShopRecord, 'faults'>): string[] {
  const here = talliedUnder(state, 'fault ')
  const last = state.pulls.findLast((pull) => pull.layerId === layerId && isLive(pull) && pull.faults.length > 0)
  const seen = (key: string) => (here.get(key) ?? 0) * ownWeight + (record.faults[key] ?? 0)
  const place = (key: string) => (usual.includes(key) ? usual.indexOf(key) : usual.length)
  const isLast = (key: string) => Number(last?.faults.includes(key) ?? false)
  return [...faultKeys].sort((a, b) => isLast(b) - isLast(a) || seen(b) - seen(a) || place(a) - place(b))
}
