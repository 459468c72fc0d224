import { Id } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import { type Verdict, worst } from '../../print/verdicts'
import { editPull, editSheet } from '../edit'
import { isLive, pullOf, resultOn, SheetSaid } from '../pull'
import { heldFast, unknownFault, unknownPull, unknownSheet } from '../refusals'
import { carriersOf, sheetOf } from '../sheet'
import type { EditionState } from '../state'
import { edition } from '../stream'
import { theirs } from '../who'

class Judged extends SheetSaid {
  static readonly sample: Judged = { pullId: 'p', sheetId: 1, verdict: 'reject', faults: ['salt'] }

  @Id('pull') pullId!: string
}

const sheetJudged = defineEvent(edition, 'sheet-judged', (state, { pullId, ...said }: Judged) => {
  const pull = pullOf(state, pullId)
  if (!pull) return state
  const judged = editPull(state, pullId, (before) => ({
    ...before,
    apart: [...before.apart.filter(({ sheetId }) => sheetId !== said.sheetId), said],
  }))
  return agreeing(wholeOf(judged, pullId), said.sheetId, said.verdict)
})

/** Of the pull itself stands the harshest of what is said of its sheets, with every fault that was seen. */
function wholeOf(state: EditionState, pullId: string): EditionState {
  const pull = pullOf(state, pullId)!
  const said = carriersOf(state, pull)
    .filter(({ parts }) => parts.length === 0)
    .map((sheet) => resultOn(state, pull, sheet))
  if (said.length === 0) return state
  return editPull(state, pullId, (before) => ({
    ...before,
    verdict: worst(said.map(({ verdict }) => verdict)),
    faults: [...new Set(said.flatMap(({ faults }) => faults))],
    // What was said of all of them is kept for those that nothing was said of.
    apart: carriersOf(state, pull).map((sheet) => ({ sheetId: sheet.id, ...pick(resultOn(state, pull, sheet)) })),
  }))
}

const pick = ({ verdict, faults }: Pick<SheetSaid, 'verdict' | 'faults'>) => ({ verdict, faults })

/** A curator's word stands only where it agrees with what is said now. */
function agreeing(state: EditionState, sheetId: number, verdict: Verdict): EditionState {
  const sheet = sheetOf(state, sheetId)
  return sheet?.curated && sheet.curated.verdict !== verdict
    ? editSheet(state, sheetId, (curated) => ({ ...curated, curated: null }))
    : state
}

/** Of several sheets that one pull printed, one came out otherwise than the others. */
export const judgeSheet = defineAct(edition, 'judge-sheet', Judged, theirs, {
  events: [sheetJudged],
  rule: ({ edition }, data) => {
    const pull = pullOf(edition, data.pullId)
    if (!pull) return unknownPull()
    if (!isLive(pull)) return refuse('not-counted', 'This pull is void or disputed; it lies on no sheet.')
    const sheet = sheetOf(edition, data.sheetId)
    if (!sheet) return unknownSheet(data.sheetId)
    if (!sheet.pulls.includes(pull.pullId))
      return refuse('not-on-it', `Pull ${pull.ordinal} does not lie on sheet ${sheet.id}.`, 'sheetId')
    if (sheet.parts.length > 0)
      return refuse('split', `Sheet ${sheet.id} has been cut apart; judge one of its parts.`, 'sheetId')
    const held = data.verdict === 'good' ? null : heldFast(sheet)
    if (held) return held
    return unknownFault(data.faults, 'faults') ?? [sheetJudged.on(edition, data)]
  },
})
