import { defineAct, defineEvent } from '../../ground/act'
import { type Refused, refuse } from '../../ground/refusal'
import { type Gone, leavings } from '../../print/whereabouts'
import { editSheet } from '../edit'
import { placeOf } from '../places'
import { livePullsOn } from '../pull'
import { isGone, unknownSheet } from '../refusals'
import { type Sheet, sheetOf } from '../sheet'
import type { EditionState } from '../state'
import { edition } from '../stream'
import { theirs } from '../who'

interface Sent extends Gone {
  sheetId: number
}

const printSent = defineEvent(edition, 'print-sent', (state, { sheetId, ...gone }: Sent) =>
  editSheet(state, sheetId, (sheet) => ({ ...sheet, gone })),
)

/** A print leaves the room: one line each. A closed edition goes on sending its prints out. */
export const sendPrint = defineAct(edition, 'send-print', theirs, {
  late: true,
  events: [printSent],
  rule: ({ edition }, data: Sent, { occurredAt }) => {
    const sheet = sheetOf(edition, data.sheetId)
    if (!sheet) return unknownSheet(data.sheetId)
    if (sheet.gone) return isGone(sheet, sheet.gone)
    if (!leavings.includes(data.how)) return refuse('unknown-way', 'Choose how the print leaves.', 'how')
    return notReady(edition, sheet) ?? dayFault(edition, sheet, data.on, occurredAt) ?? [printSent.on(edition, data)]
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

function dayFault(state: EditionState, sheet: Sheet, on: string, occurredAt: string): Refused | null {
  if (!/^\d{4}-\d\d-\d\d$/.test(on) || Number.isNaN(Date.parse(on)))
    return refuse('no-day', 'Give the day it left, for instance 2026-11-26.', 'on')
  const [first] = livePullsOn(state, sheet)
  if (first && on < first.at.slice(0, 10))
    return refuse(
      'before-pull',
      `Sheet ${sheet.id} was first pulled on ${first.at.slice(0, 10)}; it cannot have left on ${on}.`,
      'on',
    )
  // A day further on is today in another time zone.
  const latest = new Date(Date.parse(occurredAt) + 24 * 3_600_000).toISOString().slice(0, 10)
  return on > latest ? refuse('in-future', `${on} is still to come. Give the day it left.`, 'on') : null
}
