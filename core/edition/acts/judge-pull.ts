import { defineAct, defineEvent } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import { anyone } from '../../ground/who'
import type { Rescue, Verdict } from '../../print/verdicts'
import { editPull } from '../edit'
import { pullOf } from '../pull'
import { isNumbered, unknownFault, unknownPull } from '../refusals'
import { sheetOf } from '../sheet'
import { edition } from '../stream'

interface Judged {
  pullId: string
  verdict: Verdict
  faults: string[]
  rescued: Rescue | null
  reason: string
}

const pullJudged = defineEvent(edition, 'pull-judged', (state, { pullId, verdict, faults, rescued }: Judged) =>
  editPull(state, pullId, (pull) => ({ ...pull, verdict, faults, rescued })),
)

/** A pull is looked at again: its verdict, its faults, how it was rescued. */
export const judgePull = defineAct(edition, 'judge-pull', anyone, {
  events: [pullJudged],
  rule: ({ edition }, data: Judged) => {
    const pull = pullOf(edition, data.pullId)
    if (!pull) return unknownPull()
    if (pull.voided) return refuse('voided', 'This pull is void. Restore it before judging it.')
    const numbered = pull.sheetIds.map((id) => sheetOf(edition, id)).find((sheet) => sheet?.mark)
    if (numbered && data.verdict !== 'good') return isNumbered(numbered)
    return unknownFault(data.faults, 'faults') ?? [pullJudged.on(edition, data)]
  },
})
