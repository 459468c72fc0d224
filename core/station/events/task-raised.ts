import { defineEvent } from '../../ground/act'
import { doerOf, whenOf } from '../../ground/envelope'
import { appended, changed } from '../../ground/fold'
import type { Task } from '../state'
import { station } from '../stream'

/** Something is to be done. */
export const taskRaised = defineEvent(
  station,
  'task-raised',
  (state, data: Omit<Task, 'at' | 'position' | 'by' | 'via'>, event) =>
    changed(state, { tasks: appended(state.tasks, { ...data, ...whenOf(event), ...doerOf(event) }) }),
)
