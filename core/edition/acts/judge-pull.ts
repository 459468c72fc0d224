import { ArrayMaxSize, IsArray, IsIn, IsString, MaxLength } from 'class-validator'
import { Id, OrNull, Words } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import { type Rescue, rescues, type Verdict, verdicts } from '../../print/verdicts'
import { editPull, editSheet } from '../edit'
import { pullOf } from '../pull'
import { heldFast, unknownFault, unknownPull } from '../refusals'
import { carriersOf } from '../sheet'
import type { EditionState } from '../state'
import { edition } from '../stream'
import { theirs } from '../who'

class Judged {
  static readonly sample: Judged = { pullId: 'p', verdict: 'doubtful', faults: [], rescued: 'burnished', reason: '' }

  @Id('pull') pullId!: string
  @IsIn(verdicts) verdict!: Verdict
  @IsArray() @ArrayMaxSize(10) @IsString({ each: true }) @MaxLength(20, { each: true }) faults!: string[]
  @OrNull() @IsIn(rescues) rescued!: Rescue | null
  @Words(500) reason!: string
}

const pullJudged = defineEvent(edition, 'pull-judged', (state, { pullId, verdict, faults, rescued }: Judged) =>
  judgedAnew(
    editPull(state, pullId, (pull) => ({ ...pull, verdict, faults, rescued, apart: [] })),
    pullId,
    verdict,
  ),
)

/** A verdict after curating speaks again: only where it agrees with the curator does the curator's word stand. */
function judgedAnew(state: EditionState, pullId: string, verdict: Verdict): EditionState {
  const pull = pullOf(state, pullId)
  return (pull ? carriersOf(state, pull) : [])
    .filter((sheet) => sheet.pulls.includes(pullId) && sheet.curated && sheet.curated.verdict !== verdict)
    .reduce((judged, { id }) => editSheet(judged, id, (sheet) => ({ ...sheet, curated: null })), state)
}

/** A pull is looked at again: its verdict, its faults, how it was rescued. It is said of every sheet it printed. */
export const judgePull = defineAct(edition, 'judge-pull', Judged, theirs, {
  events: [pullJudged],
  rule: ({ edition }, data) => {
    const pull = pullOf(edition, data.pullId)
    if (!pull) return unknownPull()
    if (pull.voided) return refuse('voided', 'This pull is void. Restore it before judging it.')
    if (data.verdict !== 'good')
      for (const sheet of carriersOf(edition, pull)) {
        const held = sheet.pulls.includes(pull.pullId) ? heldFast(sheet) : null
        if (held) return held
      }
    return unknownFault(data.faults, 'faults') ?? [pullJudged.on(edition, data)]
  },
})
