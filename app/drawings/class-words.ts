import type { Meeting } from '#core/course/state'
import type { AskFor } from '#core/edition/sign-offs'
import type { ByTheBell } from '#core/run/bell'
import { minuteOfLocal } from '#core/time/room-clock'
import { type RoomDay, weekdayOf } from '#core/time/room-day'
import { roomZone } from '~/format/room-zone'
import { listed, percent } from './words'
import { pluralise } from '#core/units/pluralise'

const weekdays = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday']
export const weekdayChoices = weekdays.map((title, i) => ({ value: String(i + 1), title }))

/** “Tuesday 18:00 to 21:00”. */
export const meetingWords = ({ weekday, from, until }: Meeting): string =>
  `${weekdays[weekday - 1] ?? ''} ${from} to ${until}`

/** What somebody asks for, after their name. */
export function askWords(what: AskFor, { layer, press }: { layer: string; press: string }): string {
  if (what === 'cut') return `asks to cut the block after ${layer || 'this layer'}`
  if (what === 'press') return `asks to be shown ${press || 'the press'}`
  if (what === 'paper') return 'asks for good paper'
  if (what === 'more paper') return 'asks for more paper'
  return what === 'solvents' ? 'asks to be shown how solvents are used' : 'asks for help'
}

/** When a class meets on that day of the room; null when it does not. */
export const meetingOn = (meets: readonly Meeting[], day: RoomDay): Meeting | null =>
  meets.find((meeting) => meeting.weekday === weekdayOf(day)) ?? null

/** That time of a day by the room's clock, in ms. */
export const timeOn = (day: RoomDay, clock: string): number =>
  minuteOfLocal(`${day}T${clock}`, roomZone.value)! * 60_000

/** The least that would mend it: only what helps is named. */
export function helpWords({ help }: ByTheBell): string {
  if (!help) return ''
  const { minutes, sheets, both, fewer } = help
  const ways = [
    ...(minutes !== null ? [`${minutes} min more`] : []),
    ...(sheets !== null ? [`${pluralise(sheets, 'sheet')} more`] : []),
    ...(both ? [`${both.minutes} min and ${pluralise(both.sheets, 'sheet')} more`] : []),
    ...(fewer > 0 ? [`${pluralise(fewer, 'print')} fewer`] : []),
  ]
  return ways.length > 1 ? `${ways.slice(0, -1).join(', ')} or ${ways.at(-1)}` : listed(ways)
}

/** Where somebody will be by the bell. */
export function bellWords(bell: ByTheBell): string {
  return bell.help === null ? 'done by the bell' : `${percent(bell.chance)} to be done; ${helpWords(bell)}`
}
