import { definePlainAct, defineEvent } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import type { Grade } from '../../press/dial-in'
import { editPull } from '../edit'
import { pullOf } from '../pull'
import { unknownPull } from '../refusals'
import { edition } from '../stream'
import { theirs } from '../who'

interface Graded {
  pullId: string
  grade: Grade | null
}

const pullGraded = defineEvent(edition, 'pull-graded', (state, { pullId, grade }: Graded) =>
  editPull(state, pullId, (pull) => ({ ...pull, grade })),
)

/** How much ink a pull carries beside the standard: one touch, or none; it says nothing of its verdict. */
export const gradePull = definePlainAct(edition, 'grade-pull', theirs, {
  events: [pullGraded],
  rule: ({ edition }, data: Graded) => {
    const pull = pullOf(edition, data.pullId)
    if (!pull) return unknownPull()
    if (pull.kind !== 'pull')
      return refuse('no-grade', 'Pulls of the edition are graded against the standard; a proof is judged on its page.')
    return [pullGraded.on(edition, data)]
  },
})
