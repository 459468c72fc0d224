import type { Happening } from '../ground/envelope'
import shapes from './event-shapes.json'
import { upcast } from './upcast'

/** What a value may be, as the file beside says it; `?` behind a key says that it may be left out. */
export type Shape =
  | 'string'
  | 'number'
  | 'boolean'
  | 'null'
  | 'unknown'
  | { literals: readonly (string | number)[] }
  | { array: Shape }
  | { tuple: readonly Shape[] }
  | { record: Shape }
  | { object: Readonly<Record<string, Shape>> }
  | { either: readonly Shape[] }
  | { named: string }

const named = shapes.named as unknown as Readonly<Record<string, Shape>>
const ofEvents = new Map(Object.entries(shapes.events as unknown as Record<string, Shape>))

type Fault = string | null

const isPlain = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

function firstOf(faults: Iterable<Fault>): Fault {
  for (const fault of faults) if (fault) return fault
  return null
}

function* inObject(value: Record<string, unknown>, keys: Readonly<Record<string, Shape>>, where: string) {
  for (const [key, shape] of Object.entries(keys)) {
    const name = key.replace(/\?$/, '')
    if (!Object.hasOwn(value, name)) yield name === key ? `${where}.${name} is missing.` : null
    else yield faultOf(value[name], shape, `${where}.${name}`)
  }
}

/** The first thing in a value that is not of its shape, or null. Keys that the shape does not know are let be. */
export function faultOf(value: unknown, shape: Shape, where: string): Fault {
  const unlike = `${where} is not what an act writes there.`
  if (shape === 'unknown') return null
  if (shape === 'null') return value === null ? null : unlike
  if (typeof shape === 'string') return typeof value === shape ? null : unlike
  if ('literals' in shape) return shape.literals.includes(value as string) ? null : unlike
  if ('named' in shape) return faultOf(value, named[shape.named]!, where)
  if ('either' in shape) return shape.either.some((which) => faultOf(value, which, where) === null) ? null : unlike
  if ('object' in shape) return isPlain(value) ? firstOf(inObject(value, shape.object, where)) : unlike
  if ('record' in shape)
    return isPlain(value)
      ? firstOf(Object.entries(value).map(([key, inner]) => faultOf(inner, shape.record, `${where}.${key}`)))
      : unlike
  if (!Array.isArray(value) || ('tuple' in shape && value.length !== shape.tuple.length)) return unlike
  return firstOf(
    value.map((inner, i) => faultOf(inner, 'tuple' in shape ? shape.tuple[i]! : shape.array, `${where}[${i}]`)),
  )
}

/**
 * The first thing in an event's data that its evolver does not expect, or null. Events of older versions are held
 * against the shape of today, as they are folded.
 */
export function shapeFault(event: Happening): Fault {
  let data: unknown
  try {
    data = upcast(event).data
  } catch {
    return `its data are not those of version ${event.version}.`
  }
  return faultOf(data, ofEvents.get(event.type) ?? 'unknown', 'its data')
}
