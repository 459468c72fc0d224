import type { CalendarState } from '#core/calendar/state'
import { inZone, zoneOf } from '#core/calendar/zone'
import type { Folded } from '#core/ground/act'
import { hereZone, type Zone } from '#core/time/zone'
import type { Ledger } from './ledger'

/** Whose clock the room goes by, kept as the ledger moves: every rule asks. */
export class RoomZone {
  private told: Zone = hereZone()

  get zone(): Zone {
    return this.told
  }

  async load(ledger: Ledger): Promise<void> {
    this.told = zoneOf(await ledger.read<CalendarState>('calendar'), hereZone())
  }

  /** States as a commit left them. */
  take(states: readonly Folded[]): void {
    const calendar = states.find(({ stream }) => stream === 'calendar')
    if (calendar) this.told = zoneOf(calendar as CalendarState, hereZone())
  }
}

/** The calendar by the room's clock. */
export async function readOwnCalendar({ ledger, zone }: { ledger: Ledger; zone: RoomZone }): Promise<CalendarState> {
  return inZone(await ledger.read<CalendarState>('calendar'), zone.zone)
}
