import { Matches, ValidateBy } from 'class-validator'
import { isDay } from '../time/day'
import { isInstant } from '../time/instant'

/** A rule of our own. What is said of it stands with the other kinds of field, in `expected`. */
const written = (name: string, fits: (value: unknown) => boolean): PropertyDecorator =>
  ValidateBy({ name, validator: { validate: fits } })

/** A moment: UTC to the millisecond, and of a day the calendar has. */
export const IsMoment = (): PropertyDecorator => written('isMoment', isInstant)

/** A day the calendar has. */
export const IsDay = (): PropertyDecorator => written('isDay', isDay)

/** A time of day by the room's clock. */
export const IsTimeOfDay = (): PropertyDecorator =>
  Matches(/^([01]\d|2[0-3]):[0-5]\d$/, { message: 'is a time of day, written 18:30' })

function isRoomTime(value: unknown): boolean {
  const [, day] = /^(.*)T([01]\d|2[0-3]):[0-5]\d$/.exec(String(value)) ?? []
  return typeof value === 'string' && isDay(day)
}

/** A day that the calendar has, and a time of it, by the room's clock. */
export const IsRoomTime = (): PropertyDecorator => written('isRoomTime', isRoomTime)

/** A colour as screens write it: red, green and blue in two hexadecimal digits each. */
export const IsColour = (): PropertyDecorator =>
  Matches(/^#[0-9a-fA-F]{6}$/, { message: 'is a colour, written #aa3322' })
