import { definePlainAct } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import { anyone } from '../../ground/who'
import { taskSolved } from '../events/task-solved'
import { station } from '../stream'

interface Solving {
  taskId: string
  note: string
}

/** It is done. */
export const solveTask = definePlainAct(station, 'solve-task', anyone, {
  events: [taskSolved],
  rule: ({ station }, data: Solving) =>
    station.tasks.some(({ id }) => id === data.taskId)
      ? [taskSolved.on(station, data)]
      : refuse('unknown-task', 'That is done already.'),
})
