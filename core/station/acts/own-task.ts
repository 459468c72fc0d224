import { Id, OrNull } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { changed, replacedWhere } from '../../ground/fold'
import { refuse } from '../../ground/refusal'
import { anyone, isStaff } from '../../ground/who'
import { station } from '../stream'

class Owning {
  static readonly sample: Owning = { taskId: 't', ownerId: null }

  @Id('task', 100) taskId!: string
  /** Who sees to it, or null for nobody. */
  @OrNull() @Id('owner') ownerId!: string | null
}

const taskOwned = defineEvent(station, 'task-owned', (state, { taskId, ownerId }: Owning) =>
  changed(state, {
    tasks: replacedWhere(
      state.tasks,
      ({ id }) => id === taskId,
      (task) => ({ ...task, ownerId }),
    ),
  }),
)

/** Somebody sees to it: oneself, or whom staff names. */
export const ownTask = defineAct(station, 'own-task', Owning, anyone, {
  events: [taskOwned],
  rule: ({ station }, data, { personId, role }) => {
    const task = station.tasks.find(({ id }) => id === data.taskId)
    if (!task) return refuse('unknown-task', 'That is done already.')
    const isOwn = data.ownerId === personId || (data.ownerId === null && task.ownerId === personId)
    if (!isOwn && !isStaff(role))
      return refuse('not-theirs', 'Take it yourself, or ask staff to name somebody.', 'ownerId')
    return [taskOwned.on(station, data)]
  },
})
