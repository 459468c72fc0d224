import { ValidateIf } from 'class-validator'

/** What may be null and is otherwise checked; left out, it is refused. */
export function OrNull(): PropertyDecorator {
  return ValidateIf((_object, value) => value !== null)
}
