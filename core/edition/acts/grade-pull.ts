import { IsIn } from 'class-validator'
import { Id, OrNull } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import { type Grade, grades } from '../../press/dial-in'
import { editPull } from '../edit'
import { pullOf } from '../pull'
import { unknownPull } from '../refusals'
import { edition } from '../stream'
import { theirs } from '../who'

class Graded {
  static readonly sample: Graded = { pullId: 'p', grade: -1 }

  @Id('pull') pullId!: string
  @OrNull() @IsIn(grades) grade!: Grade | null
}

const pullGraded = defineEvent(edition, 'pull-graded', (state, { pullId, grade }: Graded) =>
  editPull(state, pullId, (pull) => ({ ...pull, grade })),
)

/** How much ink a pull carries beside the standard: one touch, or none; it says nothing of its verdict. */
export const gradePull = defineAct(edition, 'grade-pull', Graded, theirs, {
  events: [pullGraded],
  rule: ({ edition }, data) => {
    const pull = pullOf(edition, data.pullId)
    if (!pull) return unknownPull()
    if (pull.kind !== 'pull')
      return refuse('no-grade', 'Pulls of the edition are graded against the standard; a proof is judged on its page.')
    return [pullGraded.on(edition, data)]
  },
})
