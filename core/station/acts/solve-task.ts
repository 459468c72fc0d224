import { Id, Words } from '../../ground/shape'
import { defineAct } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import { anyone } from '../../ground/who'
import { taskSolved } from '../events/task-solved'
import { station } from '../stream'

class Solving {
  static readonly sample: Solving = { taskId: 't', note: 'oiled' }

  @Id('task', 100) taskId!: string
  @Words(500) note!: string
}

/** It is done. */
export const solveTask = defineAct(station, 'solve-task', Solving, anyone, {
  events: [taskSolved],
  rule: ({ station }, data) =>
    station.tasks.some(({ id }) => id === data.taskId)
      ? [taskSolved.on(station, data)]
      : refuse('unknown-task', 'That is done already.'),
})
