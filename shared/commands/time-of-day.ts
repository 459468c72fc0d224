/** A time of day as it is sent, and what is said of one that is none. */
export const timePattern = /^([01]\d|2[0-3]):[0-5]\d$/
export const timeOfDay = { message: 'a time of day is written 18:30' }
