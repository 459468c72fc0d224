import { SheetId } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import type { Context } from '../../ground/envelope'
import { type Refused, refuse } from '../../ground/refusal'
import { Gone, leavings } from '../../print/whereabouts'
import { isDay } from '../../time/day'
import { dayOf, type RoomDay } from '../../time/room-day'
import { editSheet } from '../edit'
import { placeOf } from '../places'
import { countedPullsOn } from '../pull'
import { isGone, unknownSheet } from '../refusals'
import { type Sheet, sheetOf } from '../sheet'
import type { EditionState } from '../state'
import { edition } from '../stream'
import { theirs } from '../who'

class Sent extends Gone {
  static readonly sample: Sent = { sheetId: 1, how: 'sold', to: 'the harbour office', on: '2026-11-20', note: 'framed' }

  @SheetId() sheetId!: number
}

const printSent = defineEvent(edition, 'print-sent', (state, { sheetId, ...gone }: Sent) =>
  editSheet(state, sheetId, (sheet) => ({ ...sheet, gone })),
)

/** A print leaves the room: one line each. A closed edition goes on sending its prints out. */
export const sendPrint = defineAct(edition, 'send-print', Sent, theirs, {
  late: true,
  events: [printSent],
  rule: ({ edition }, data, context) => {
    const sheet = sheetOf(edition, data.sheetId)
    if (!sheet) return unknownSheet(data.sheetId)
    if (sheet.gone) return isGone(sheet, sheet.gone)
    if (!leavings.includes(data.how)) return refuse('unknown-way', 'Choose how the print leaves.', 'how')
    return notReady(edition, sheet) ?? dayFault(edition, sheet, data.on, context) ?? [printSent.on(edition, data)]
  },
})

/** Kept outside the edition: these leave without a signature. */
const outside: ReadonlySet<string> = new Set(['archive', 'bat', 'standard', 'proof'])

function notReady(state: EditionState, sheet: Sheet): Refused | null {
  const place = placeOf(state, sheet)
  if (place.kind === 'marked' && !sheet.signed)
    return refuse('not-signed', `Sheet ${sheet.id} is not signed yet. Sign it, then let it go.`, 'sheetId')
  return place.kind === 'marked' || outside.has(place.kind)
    ? null
    : refuse('not-a-print', `Sheet ${sheet.id} is ${place.kind}, no finished print that could leave.`, 'sheetId')
}

function dayFault(state: EditionState, sheet: Sheet, on: RoomDay, { occurredAt, zone }: Context): Refused | null {
  if (!isDay(on)) return refuse('no-day', 'Give the day it left, for instance 2026-11-26.', 'on')
  const [first] = countedPullsOn(state, sheet)
  const pulledOn = first ? dayOf(first.at, zone) : null
  if (pulledOn !== null && on < pulledOn)
    return refuse(
      'before-pull',
      `Sheet ${sheet.id} was first pulled on ${pulledOn}; it cannot have left on ${on}.`,
      'on',
    )
  return on > dayOf(occurredAt, zone)
    ? refuse('in-future', `${on} is still to come. Give the day it left.`, 'on')
    : null
}
