import { ValidateBy, type ValidationOptions } from 'class-validator'
import { isDay } from '#core/time/day'
import { isInstant } from '#core/time/instant'

const written =
  (name: string, fits: (value: unknown) => boolean, expected: string) =>
  (options: ValidationOptions = {}): PropertyDecorator =>
    ValidateBy(
      {
        name,
        validator: { validate: fits, defaultMessage: ({ property } = {} as never) => `${property} is ${expected}` },
      },
      options,
    )

/** A moment: UTC to the millisecond, and of a day the calendar has. */
export const IsMoment = written('isMoment', isInstant, 'written 2026-11-02T09:30:00.000Z')

/** A day the calendar has. */
export const IsDay = written('isDay', isDay, 'a day, written 2026-11-05')
