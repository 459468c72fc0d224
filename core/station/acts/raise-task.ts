import { defineAct } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import { anyone } from '../../ground/who'
import { taskRaised } from '../events/task-raised'
import { station } from '../stream'
import { Problem } from '../tasks'

/** Somebody sees that something is to be done. */
export const raiseTask = defineAct(station, 'raise-task', Problem, anyone, {
  events: [taskRaised],
  rule: ({ station }, problem, { commandId }) =>
    problem.what.trim() === ''
      ? refuse('problem-missing', 'Say what the problem is, so that somebody can mend it.', 'what')
      : [taskRaised.on(station, { id: commandId, finding: null, ownerId: null, ...problem })],
})
