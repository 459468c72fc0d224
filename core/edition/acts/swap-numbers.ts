import { SheetId, Words } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { reasonMissing, refuse } from '../../ground/refusal'
import { editSheet } from '../edit'
import { sheetOf } from '../sheet'
import { edition } from '../stream'
import { theirs } from '../who'

class Swapped {
  static readonly sample: Swapped = { sheetId: 1, otherId: 2, reason: 'the pencil wrote one on the other' }

  @SheetId() sheetId!: number
  @SheetId() otherId!: number
  @Words(500) reason!: string
}

const numbersSwapped = defineEvent(edition, 'numbers-swapped', (state, { sheetId, otherId }: Swapped) => {
  const [one, other] = [sheetOf(state, sheetId), sheetOf(state, otherId)]
  if (!one || !other) return state
  const swapped = editSheet(state, sheetId, (sheet) => ({ ...sheet, mark: other.mark }))
  return editSheet(swapped, otherId, (sheet) => ({ ...sheet, mark: one.mark }))
})

/** Two prints change numbers: the pencil wrote the one on the other. A signed number never moves. */
export const swapNumbers = defineAct(edition, 'swap-numbers', Swapped, theirs, {
  guarded: true,
  events: [numbersSwapped],
  rule: ({ edition }, data) => {
    const pair = [data.sheetId, data.otherId].map((id) => sheetOf(edition, id))
    for (const [i, sheet] of pair.entries()) {
      const id = i === 0 ? data.sheetId : data.otherId
      if (!sheet?.mark || sheet.destroyed) return refuse('no-number', `Sheet ${id} carries no number.`, 'sheetId')
      if (sheet.signed) return refuse('signed', `Sheet ${id} is signed; a signed number never moves.`, 'sheetId')
    }
    if (data.sheetId === data.otherId)
      return refuse('sheet-twice', 'Choose two prints that change their numbers.', 'otherId')
    if (pair[0]!.mark!.series !== pair[1]!.mark!.series)
      return refuse('other-series', 'Numbers change places within one series.', 'otherId')
    return data.reason.trim() === ''
      ? reasonMissing('Say why they change, so that the record can be read later.')
      : [numbersSwapped.on(edition, data)]
  },
})
