import type { Span } from '../timetable/spans'
import { guesses } from './guesses'

/** Time at a press that is booked already. */
export interface BookedTime extends Span {
  bookingId: string
}

/** One time at the press. */
export interface Session {
  minutes: number
  /** Its beginning, where it is booked; null while it is free to be placed. */
  at: number | null
  bookingId: string | null
  pulls: number
}

interface Pulling {
  pulls: number
  minutesPerPull: number
  /** Proofs before the run, minutes. */
  proving: number
  /** True where it stands set up from before. */
  isSetUp: boolean
  /** So long a session lasts at most, minutes. */
  most: number
  /** So many are pulled in one at most, or null: the racks hold no more. */
  mostPulls: number | null
  booked: readonly BookedTime[]
}

/** To the next five minutes. */
export const rounded = (minutes: number): number => Math.max(5, Math.ceil(minutes / 5) * 5)

/**
 * Pulls parted into times at the press, each with setting up and washing: what is booked takes as many as go into it, the
 * rest is parted over as few sessions as hold it, about as many pulls in each.
 */
export function sessionsFor({ pulls, minutesPerPull, proving, isSetUp, most, mostPulls, booked }: Pulling): Session[] {
  const sessions: Session[] = []
  let left = pulls
  let isFirst = !isSetUp
  const beside = () => (isFirst ? guesses.setUp.first + proving : guesses.setUp.again) + guesses.washUp
  for (const { from, to, bookingId } of [...booked].sort((a, b) => a.from - b.from)) {
    const held = Math.max(0, Math.min(left, Math.floor((to - from - beside()) / minutesPerPull)))
    sessions.push({ minutes: to - from, at: from, bookingId, pulls: held })
    left -= held
    isFirst = false
  }
  if (left === 0) return sessions
  const room = (first: boolean) => {
    const taken = (first ? guesses.setUp.first + proving : guesses.setUp.again) + guesses.washUp
    return Math.max(1, Math.min(mostPulls ?? Infinity, Math.floor((most - taken) / minutesPerPull)))
  }
  const inFirst = room(isFirst)
  const count = left <= inFirst ? 1 : 1 + Math.ceil((left - inFirst) / room(false))
  for (let i = 0; i < count; i++) {
    const held = Math.min(isFirst ? inFirst : room(false), Math.ceil(left / (count - i)))
    sessions.push({
      minutes: Math.min(Math.max(most, 5), rounded(beside() + held * minutesPerPull)),
      at: null,
      bookingId: null,
      pulls: held,
    })
    left -= held
    isFirst = false
  }
  return sessions
}
