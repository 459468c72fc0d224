import { IsIn } from 'class-validator'
import { Id, OrNull, Words } from '../ground/shape'
import { type Finding, findings } from '../care/findings'
import { taskRaised } from './events/task-raised'
import { taskSolved } from './events/task-solved'
import { type StationState, type TaskKind, taskKinds } from './state'

/** A problem in words, beside what the checklist says. */
export class Problem {
  static readonly sample: Problem = { kind: 'low', what: 'newsprint', pictureId: null }

  @IsIn(taskKinds) kind!: TaskKind
  @Words(500) what!: string
  @OrNull() @Id('picture', 100) pictureId!: string | null
}

/**
 * What looking a place over makes of its tasks: what is not as it should be becomes one, unless it is one already, and
 * what is right again is one no more.
 */
export function tasksFrom(
  station: StationState,
  items: readonly Finding[],
  problems: readonly Problem[],
  commandId: string,
): (ReturnType<typeof taskRaised.on> | ReturnType<typeof taskSolved.on>)[] {
  const known = (key: string) => station.tasks.find(({ finding }) => finding === key)
  const raised = items.flatMap(({ key, isRight }) =>
    isRight || known(key)
      ? []
      : [
          taskRaised.on(station, {
            id: `${commandId} ${key}`,
            kind: 'dirty',
            finding: key,
            what: findings[key].wrong,
            pictureId: null,
            ownerId: null,
          }),
        ],
  )
  const solved = items.flatMap(({ key, isRight }) => {
    const task = isRight ? known(key) : undefined
    return task ? [taskSolved.on(station, { taskId: task.id, note: 'found right' })] : []
  })
  const said = problems.map((problem, i) =>
    taskRaised.on(station, { id: `${commandId} ${i + 1}`, finding: null, ownerId: null, ...problem }),
  )
  return [...raised, ...solved, ...said]
}
