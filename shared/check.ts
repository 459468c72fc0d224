import { validateSync, type ValidationError } from 'class-validator'
import type { Refusal } from '#core/ground/refusal'
import { asShape, expected, fieldsOf, type Shape } from '#core/ground/shape'
import { fits, isFlat } from './fits'
import { unsound } from './sound'

interface Fault {
  field: string
  message: string
  /** What was given, as it is said again; empty of a secret. */
  given: string
}

/**
 * The first thing wrong, as deep as it lies.
 * @param shape where the words come from; null of a key that is not known
 */
function firstFault(errors: ValidationError[], shape: Shape | null, path = ''): Fault {
  const error = errors[0]!
  const name = error.property
  const field = path === '' ? name : `${path}.${name}`
  const known = shape && fieldsOf(shape).get(name)
  if (error.children && error.children.length > 0) {
    // The place in a list is a level of its own, of the same class.
    const within = /^\d+$/.test(name) ? shape : (known?.part ?? null)
    return firstFault(error.children, within, field)
  }
  const message = known
    ? `${known.called === null ? field : capitalised(known.called)} ${expected(known)}`
    : (Object.values(error.constraints ?? {})[0] ?? 'is not as expected')
  return { field, message, given: known?.isSecret ? '' : `; ${shown(error.value)} was given` }
}

const capitalised = (words: string) => words[0]!.toUpperCase() + words.slice(1)

function shown(value: unknown): string {
  const text = JSON.stringify(value) ?? 'nothing'
  return text.length > 60 ? `${text.slice(0, 60)}…` : text
}

/**
 * Read a plain object as one of the request classes: unknown keys, wrong types and numbers out of range are named.
 * @returns the instance, whose values are those given, or what was wrong with it and what is expected
 */
export function check<T extends object>(shape: new () => T, given: unknown): { value: T } | { refusal: Refusal } {
  if (typeof given !== 'object' || given === null || Array.isArray(given)) {
    return { refusal: { code: 'invalid', message: 'An object was expected. Nothing was changed.' } }
  }
  const fault = unsound(given)
  if (fault) return { refusal: fault }
  const value = isFlat(shape) ? Object.assign(new shape(), given) : asShape(shape, given)
  if (isFlat(shape) && fits(shape, value)) return { value }
  const errors = validateSync(value, { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true })
  if (errors.length === 0) return { value }
  const { field, message, given: said } = firstFault(errors, shape)
  return { refusal: { code: 'invalid', field, message: `${message}${said}. Nothing was changed.` } }
}
