import { defineEvent } from '../../ground/act'
import { changed } from '../../ground/fold'
import { station } from '../stream'

/** It was done. */
export const taskSolved = defineEvent(station, 'task-solved', (state, { taskId }: { taskId: string; note: string }) =>
  changed(state, { tasks: state.tasks.filter(({ id }) => id !== taskId) }),
)
