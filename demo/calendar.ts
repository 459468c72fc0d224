import { demoDay, demoZone } from './days'
import { instantOf } from '#core/time/instant'
import { minuteOfLocal } from '#core/time/room-clock'
import type { CommandData } from '#core/house/acts'
import type { Desk, EditionInHand } from './desk'
import type { Stores } from './stores'

const day = 24 * 60 * 60_000
type Said = CommandData<'book'>['bookings'][number]

/** Who prints what at the demo's presses. */
export interface BookedEditions {
  slack: EditionInHand
  ferry: EditionInHand
  loft: EditionInHand
  scales: EditionInHand
}

/** The room's hours, the holidays, who is away, and who has which press today and tomorrow. */
export async function keepCalendar(
  desk: Desk,
  { manager, oona, merle }: Record<'manager' | 'oona' | 'merle', string>,
  stores: Stores,
  { slack, ferry, loft, scales }: BookedEditions,
): Promise<void> {
  const at = desk.now - 20 * day
  const everyDay = [1, 2, 3, 4, 5, 6, 7].map((weekday) => ({ weekday, from: '08:00', until: '22:00' }))
  await desk.give(manager, 'calendar', 'set-hours', { timeZone: demoZone, hours: everyDay }, at)
  const date = (days: number) => demoDay(desk.now + days * day)
  const shut = (from: number, until: number, personId: string | null, why: string): CommandData<'close-room'> => ({
    from: `${date(from)}T00:00`,
    until: `${date(until)}T00:00`,
    personId,
    why,
  })
  await desk.give(manager, 'calendar', 'close-room', shut(9, 10, null, 'the yard is resurfaced'), at)
  await desk.give(oona, 'calendar', 'close-room', shut(4, 6, oona, 'at the paper mill'), at)
  const span = (days: number, from: string, until: string) => ({
    from: instantOf(minuteOfLocal(`${date(days)}T${from}`, demoZone)!),
    until: instantOf(minuteOfLocal(`${date(days)}T${until}`, demoZone)!),
  })
  const booking = (personId: string, placeId: string, when: { from: string; until: string }, more: Partial<Said>) => ({
    bookingId: desk.newId(at),
    placeId,
    personId,
    ...when,
    editionId: null,
    layerId: null,
    isFixed: false,
    note: '',
    ...more,
  })
  const prints = (edition: EditionInHand, layer: number): Partial<Said> => ({
    editionId: edition.stream.slice('edition:'.length),
    layerId: edition.layers[layer]!,
  })
  const { long, platen, table } = stores
  const bookings: Said[] = [
    booking(oona, long.id, span(0, '09:00', '12:00'), prints(slack, 1)),
    booking(manager, long.id, span(0, '13:00', '17:00'), prints(loft, 3)),
    booking(merle, platen.id, span(0, '10:00', '13:30'), prints(scales, 0)),
    booking(manager, table.id, span(0, '18:00', '21:00'), { isFixed: true, note: 'evening class' }),
    booking(oona, long.id, span(1, '09:00', '11:00'), prints(slack, 0)),
    booking(oona, long.id, span(1, '11:00', '13:00'), prints(ferry, 1)),
    booking(oona, long.id, span(1, '13:00', '15:00'), prints(slack, 1)),
    booking(merle, platen.id, span(1, '10:00', '12:00'), prints(scales, 0)),
  ]
  for (const one of bookings) await desk.give(one.personId, 'calendar', 'book', { bookings: [one] }, at)
}
