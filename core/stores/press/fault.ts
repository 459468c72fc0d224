import { type Fault, type Refused, refuse } from '../../ground/refusal'
import type { Role } from '../../ground/envelope'
import { isStaff } from '../../ground/who'
import { pressWays } from '../../press/kinds'
import type { PressDescription, PressState } from './state'

/** Why a press cannot be described like this, or null. */
export function pressFault({ name, kind, divisions, pitch }: PressDescription): Fault | null {
  if (name.trim() === '') return { field: 'name', message: 'Give the press the name people call it by.' }
  const { sets } = pressWays[kind]
  if (sets === 'screws' && divisions < 1)
    return { field: 'divisions', message: 'Say how many divisions one turn of a screw has; sixteen is common.' }
  if (pitch !== null && !(pitch > 0))
    return {
      field: 'pitch',
      message: 'A turn lifts the roller by more than nothing. Leave it empty while it is unknown.',
    }
  return null
}

export const noScrews = (name: string): Refused =>
  refuse('no-screws', `${name} has no screws; it is set by its packing.`)

/** Why a press is not for somebody of that role, or null. */
export function notTheirs({ name, users }: Pick<PressState, 'name' | 'users'>, role: Role): Refused | null {
  if (users === 'everybody' || isStaff(role) || (users === 'members' && role === 'member')) return null
  return refuse(
    'press-not-theirs',
    users === 'staff'
      ? `${name} is set up by staff. Ask one of them to.`
      : `${name} is set up by members and staff. Ask one of them to.`,
    'pressId',
  )
}
