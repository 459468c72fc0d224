import { dayOf, type RoomDay, weekdayOf } from '#core/time/room-day'
import type { Zone } from '#core/time/zone'
import { shortDay } from '~/format/days'
import { scaleLinear } from 'd3-scale'
import { minuteOfLocal } from '#core/time/room-clock'
import type { EditionStanding } from '#core/schedule/standing'
import { type Span, without } from '#core/timetable/spans'
import type { Along } from './day-sheet'

const day = 24 * 60
/** So many days are shown at least, and at most. */
const least = 14
const most = 120

export interface WeeksDrawn {
  along: (span: Span) => Along
  at: (minute: number) => number
  /** Each Monday, as it is said. */
  weeks: { at: number; words: string }[]
  /** Whole days on which the room is shut. */
  shut: Along[]
  until: number
}

const dayAt = (minute: number, zone: Zone): RoomDay => dayOf(minute * 60_000, zone)

/**
 * The weeks ahead as they are drawn, from today's first minute until everything is over or due.
 * @param open the room's hours
 */
export function drawnWeeks(
  editions: readonly EditionStanding[],
  now: number,
  open: readonly Span[],
  zone: string,
): WeeksDrawn {
  const startOf = (minute: number) => minuteOfLocal(dayAt(minute, zone), zone) ?? minute
  const from = startOf(now)
  const last = Math.max(0, ...editions.flatMap(({ end, due }) => [end ?? 0, due ?? 0]))
  const to = startOf(Math.min(from + most * day, Math.max(from + least * day, last + 2 * day)))
  const scale = scaleLinear([from, to], [0, 100]).clamp(true)
  const along = (span: Span) => ({ left: scale(span.from), width: scale(span.to) - scale(span.from) })
  const weeks: WeeksDrawn['weeks'] = []
  const shut: Along[] = []
  for (let at = from; at < to; at = startOf(at + day + 120)) {
    const next = startOf(at + day + 120)
    const isMonday = weekdayOf(dayAt(at, zone)) === 1
    if (isMonday || at === from) weeks.push({ at: scale(at), words: shortDay(dayAt(at, zone)) })
    if (without([{ from: at, to: next }], open).some((gap) => gap.from === at && gap.to === next))
      shut.push(along({ from: at, to: next }))
  }
  return { along, at: scale, weeks: apart(weeks), shut, until: to }
}

/** Two words that would lie over each other: the later stays. */
const apart = (weeks: WeeksDrawn['weeks']) =>
  weeks.filter(({ at }, i) => i + 1 >= weeks.length || weeks[i + 1]!.at - at > 6)
