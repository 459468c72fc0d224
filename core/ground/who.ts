import type { Context, Role } from './envelope'

/** True when this person may do this, here and now. */
export type Who<States = object, Data = unknown> = (asker: Context, states: States, data: Data) => boolean

const by =
  (...allowed: Role[]): Who =>
  ({ role }) =>
    allowed.includes(role)

export const isStaff = (role: Role): boolean => role === 'manager' || role === 'instructor'

export const anyone: Who = by('manager', 'instructor', 'member', 'student')
export const printers: Who = by('manager', 'instructor', 'member')
export const staff: Who = by('manager', 'instructor')
export const managers: Who = by('manager')
