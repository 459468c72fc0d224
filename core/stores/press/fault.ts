import { type Fault, type Refused, refuse } from '../../ground/refusal'
import { pressWays } from '../../press/kinds'
import type { PressDescription } from './state'

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
