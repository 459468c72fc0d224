import { plainToInstance } from 'class-transformer'
import { getMetadataStorage, validateSync, type ValidationError } from 'class-validator'
import type { Refusal } from '#core/ground/refusal'
import { unsound } from './sound'

const storage = getMetadataStorage()
const rulesOf = storage.getTargetValidationMetadatas.bind(storage)
const known = new WeakMap<object, ReturnType<typeof rulesOf>>()

// At every check of every object the library goes through all classes there are. What it finds of one never changes, and
// nobody here asks for groups.
storage.getTargetValidationMetadatas = (target, ...given) => {
  const found = known.get(target) ?? rulesOf(target, ...given)
  known.set(target, found)
  return found
}

function firstFault(errors: ValidationError[], path = ''): { field: string; message: string; value: unknown } {
  const error = errors[0]!
  const field = path === '' ? error.property : `${path}.${error.property}`
  if (error.children && error.children.length > 0) return firstFault(error.children, field)
  return { field, message: Object.values(error.constraints ?? {})[0] ?? 'is not as expected', value: error.value }
}

function shown(value: unknown): string {
  const text = JSON.stringify(value) ?? 'nothing'
  return text.length > 60 ? `${text.slice(0, 60)}…` : text
}

/**
 * Read a plain object as one of the request classes: unknown keys, wrong types and numbers out of range are named.
 * @returns the instance, or what was wrong with it and what is expected
 */
export function check<T extends object>(shape: new () => T, given: unknown): { value: T } | { refusal: Refusal } {
  if (typeof given !== 'object' || given === null || Array.isArray(given)) {
    return { refusal: { code: 'invalid', message: 'An object was expected. Nothing was changed.' } }
  }
  const fault = unsound(given)
  if (fault) return { refusal: fault }
  const value = plainToInstance(shape, given)
  const errors = validateSync(value, { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true })
  if (errors.length === 0) return { value }
  const { field, message, value: wrong } = firstFault(errors)
  return {
    refusal: { code: 'invalid', field, message: `${message}; ${shown(wrong)} was given. Nothing was changed.` },
  }
}
