import { type Happening, whenOf } from '../ground/envelope'
import { type LotState, rationOf } from '../stores/lot/state'
import type { ChargeLine } from './line'
import { wholeCents } from './money'

interface Moved {
  sheets: number
  rationId: string | null
  editionStream: string
}

const sheetsOf = (sheets: number, name: string) => `${sheets} ${sheets === 1 ? 'sheet' : 'sheets'} of ${name}`

/** What each sheet of a ration was charged at that is still in somebody's hands, in cents, the oldest first. */
export type InHands = Map<string, number[]>

/**
 * What one event of a lot charges, at the lot's price of that moment. Paper given out is charged to whoever has it in hand,
 * and credited when it comes back. Torn for an edition it goes from the hand to that edition, for what it was given out
 * at, so that what the person owes stays the same. From the shelf it is charged to whoever tore it.
 * @param lot as it stood before the event
 * @param inHands filled and emptied as the lot's events go by
 */
export function paperCharges(lot: LotState, event: Happening, inHands: InHands): ChargeLine[] {
  const { sheets, rationId, editionStream } = event.data as Moved
  const ration = rationId === null ? undefined : rationOf(lot, rationId)
  const each = wholeCents(lot.price)
  const line = (personId: string, edition: string | null, what: string, cents: number): ChargeLine => ({
    ...whenOf(event),
    personId,
    editionStream: edition,
    kind: 'paper',
    what,
    cents,
    isReckoned: false,
    isUnpriced: cents === 0,
  })
  if (!ration)
    return event.type === 'lot-torn'
      ? [line(event.actor, editionStream, `${sheetsOf(sheets, lot.name)} torn`, each * sheets)]
      : []
  const held = inHands.get(ration.id) ?? []
  const { personId } = ration
  switch (event.type) {
    case 'paper-released':
      inHands.set(ration.id, [...held, ...Array<number>(sheets).fill(each)])
      return [line(personId, null, `${sheetsOf(sheets, lot.name)} given out`, each * sheets)]
    case 'paper-returned':
      return [line(personId, null, `${sheetsOf(sheets, lot.name)} brought back`, -taken(held, sheets))]
    case 'lot-torn': {
      const cents = taken(held, sheets)
      const torn = `${sheetsOf(sheets, lot.name)} torn`
      return [
        line(personId, null, `${torn}, out of what was given out`, -cents),
        line(personId, editionStream, torn, cents),
      ]
    }
    default:
      return []
  }
}

/** The oldest sheets leave the hands. @returns what they were charged at, cents */
function taken(held: number[], sheets: number): number {
  return held.splice(0, sheets).reduce((sum, cents) => sum + cents, 0)
}
