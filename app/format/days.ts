import type { Instant } from '#core/time/instant'
import { dayOf, daysBetween, hourOf, type RoomDay } from '#core/time/room-day'
import type { Zone } from '#core/time/zone'
import { roomNow, roomZone } from './room-zone'

/** Today in the room. */
export const today = (): RoomDay => dayOf(roomNow(), roomZone.value)

/** The day a moment falls on in the room. */
export const dayIn = (at: Instant | number): RoomDay => dayOf(at, roomZone.value)

/** The hour of the day a moment falls in, in the room. */
export const hourIn = (at: Instant | number): number => hourOf(at, roomZone.value)

type Parts = Intl.DateTimeFormatOptions

/** One for all: making a format anew for each word was most of what a tap cost on a long run. */
const formats = new Map<string, Intl.DateTimeFormat>()

function format(parts: Parts, zone: Zone): Intl.DateTimeFormat {
  const key = `${JSON.stringify(parts)} ${zone}`
  const found = formats.get(key) ?? new Intl.DateTimeFormat('en-GB', { ...parts, timeZone: zone })
  formats.set(key, found)
  return found
}

/** A moment falls on the room's day; a day without an hour is that day wherever one is. */
function written(at: Instant | RoomDay | number | null, parts: Parts): string {
  if (at === null || at === '') return ''
  const isDay = typeof at === 'string' && at.length === 10
  const time = isDay ? Date.parse(`${at}T00:00:00.000Z`) : typeof at === 'string' ? Date.parse(at) : at
  return Number.isNaN(time) ? '' : format(parts, isDay ? 'UTC' : roomZone.value).format(time)
}

type At = Instant | RoomDay | number | null

/** “12 December 2026”. */
export const date = (at: At): string => written(at, { day: 'numeric', month: 'long', year: 'numeric' })

/** A day within the year to come: “12 December”. */
export const day = (at: At): string => written(at, { day: 'numeric', month: 'long' })

/** The same in few letters: “12 Dec”. */
export const shortDay = (at: At): string => written(at, { day: 'numeric', month: 'short' })

/** The same with its weekday: “Friday 12 December”. */
export const weekday = (at: At): string => written(at, { weekday: 'long', day: 'numeric', month: 'long' })

/** “Friday”. */
export const weekdayName = (at: At): string => written(at, { weekday: 'long' })

/** In few letters: “Fri 12 December”. */
export const shortWeekday = (at: At): string => written(at, { weekday: 'short', day: 'numeric', month: 'long' })

/** In fewer still, beneath an axis: “Fri 12”. */
export const tickDay = (at: At): string => written(at, { weekday: 'short', day: 'numeric' })

/** “18:30”. */
export const clock = (at: Instant | number): string => written(at, { hour: '2-digit', minute: '2-digit' })

/** A moment as one would say it on a list: “Tue 24 November, 18:10”. */
export const moment = (at: Instant): string => `${shortWeekday(at)}, ${clock(at)}`

/** The same with its year: “24 Nov 2026, 18:10”. */
export const stamp = (at: Instant): string => written(at, { dateStyle: 'medium', timeStyle: 'short' })

/** How far off the day is on which something is due. */
export function dueIn(due: RoomDay | null, from: RoomDay = today()): string {
  if (due === null) return ''
  const days = daysBetween(from, due)
  if (days === 0) return 'due today'
  const many = `${Math.abs(days)} ${Math.abs(days) === 1 ? 'day' : 'days'}`
  return days < 0 ? `due ${many} ago` : `due in ${many}`
}
