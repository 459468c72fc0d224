import type { Happening } from '../ground/envelope'
import { streamKind } from '../ground/envelope'
import { mostSheets } from '../edition/sheet'
import { eventOf } from './acts'

type Event = Pick<Happening, 'stream' | 'type' | 'data'>

/** Wide enough for whatever an act writes, and narrow enough that a fold stays small. */
const most = { depth: 16, values: 100_000, text: 20_000, key: 64, number: 1e13 }

/** How many sheets an event makes. */
export function sheetsIn({ type, data }: Event): number {
  if (type !== 'sheets-torn') return 0
  const { count, images = 1 } = data as { count?: unknown; images?: unknown }
  return Number(count) * Number(images)
}

/**
 * Why an event that comes in from elsewhere cannot be one that an act made, or null: it stands on a stream of another
 * kind, or holds more than any act takes.
 * @param sheets sheets the edition has already
 */
export function eventFault(event: Event, sheets: number): string | null {
  const known = eventOf.get(event.type)
  if (known && known.kind !== streamKind(event.stream))
    return `it belongs to a ${known.kind}, and stands on ${event.stream}.`
  const made = sheetsIn(event)
  if (!(made >= 0 && sheets + made <= mostSheets))
    return `an edition holds at most ${mostSheets} sheets; with this one it would hold more.`
  let values = 0
  const fault = (value: unknown, depth: number): string | null => {
    if (++values > most.values) return `it holds more than ${most.values} values.`
    if (typeof value === 'number') return Math.abs(value) <= most.number ? null : 'it holds a number beyond all bounds.'
    if (typeof value === 'string')
      return value.length <= most.text ? null : `it holds a text of more than ${most.text} characters.`
    if (typeof value !== 'object' || value === null) return null
    if (depth === most.depth) return 'it is nested too deep.'
    for (const [key, inner] of Object.entries(value)) {
      if (key.length > most.key || key === '__proto__') return 'it has a key that no act writes.'
      const found = fault(inner, depth + 1)
      if (found) return found
    }
    return null
  }
  return fault(event.data, 0)
}
