import { IsBoolean, Length } from 'class-validator'
import { SheetIds } from '../../ground/shape'
import { stepsOf } from '../../finish/plan'
import { defineAct, defineEvent } from '../../ground/act'
import { appended, changed } from '../../ground/fold'
import { type Refused, refuse } from '../../ground/refusal'
import { editSheet } from '../edit'
import { isComplete, layersOn } from '../layers-on'
import { isAlive, placeOf } from '../places'
import { unknownSheet } from '../refusals'
import { type Sheet, sheetOf } from '../sheet'
import type { EditionState } from '../state'
import { edition } from '../stream'
import { theirs } from '../who'

class Finished {
  static readonly sample: Finished = { step: 'colour y', sheetIds: [1], isDone: true }

  /** Key of the step. */
  @Length(1, 80) step!: string
  @SheetIds() sheetIds!: number[]
  /** False takes it back. */
  @IsBoolean() isDone!: boolean
}

const sheetsFinished = defineEvent(
  edition,
  'sheets-finished',
  (state, { step, sheetIds, isDone }: Finished, { occurredAt }) => {
    const marked = sheetIds.reduce(
      (finished, id) =>
        editSheet(finished, id, (sheet) => {
          const others = sheet.finished.filter((key) => key !== step)
          return { ...sheet, finished: isDone ? [...others, step] : others }
        }),
      state,
    )
    const entry = { step, sheets: sheetIds.length, at: occurredAt }
    return isDone ? changed(marked, { finishLog: appended(marked.finishLog, entry) }) : marked
  },
)

/** Prints went through one step after the press, a batch at a time as a rule. */
export const finishSheets = defineAct(edition, 'finish-sheets', Finished, theirs, {
  events: [sheetsFinished],
  rule: ({ edition }, data) => {
    const step = stepsOf(edition.finishing).find(({ key }) => key === data.step)
    if (!step) return refuse('unknown-step', 'That step is not planned any more. Look at the plan again.', 'step')
    const sheetIds = [...new Set(data.sheetIds)]
    if (sheetIds.length === 0) return refuse('no-sheet', 'Choose the prints it was done on.', 'sheetIds')
    for (const id of sheetIds) {
      const sheet = sheetOf(edition, id)
      if (!sheet) return unknownSheet(id)
      if (sheet.finished.includes(step.key) === data.isDone)
        return refuse(
          'as-it-is',
          data.isDone ? `Sheet ${id} has been through that already.` : `Sheet ${id} has not been through that.`,
          'sheetIds',
        )
      const fault = data.isDone ? unfit(edition, sheet) : null
      if (fault) return fault
    }
    return [sheetsFinished.on(edition, { ...data, sheetIds })]
  },
})

/** Why a sheet cannot be worked on after the press, or null. */
function unfit(state: EditionState, sheet: Sheet): Refused | null {
  const place = placeOf(state, sheet)
  if (!isAlive(place) || !isComplete(state, layersOn(state, sheet)))
    return refuse('not-printed', `Sheet ${sheet.id} is no finished print (${place.kind}).`, 'sheetIds')
  return sheet.dry.includes(state.layers.at(-1)!.id)
    ? null
    : refuse('not-dry', `Nobody has said that sheet ${sheet.id} is dry. Say so under Dry first.`, 'sheetIds')
}
