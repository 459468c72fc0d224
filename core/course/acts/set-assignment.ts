import { Id, Ids } from '../../ground/shape'
import { mostStudents } from '../../edition/assignment'
import { EditionPlan } from '../../plan/plan'
import { defineAct, defineEvent } from '../../ground/act'
import { assigned } from '../../edition/events/assigned'
import { planFault } from '../../edition/plan-fault'
import type { EditionState } from '../../edition/state'
import { edition } from '../../edition/stream'
import { changed, replacedWhere } from '../../ground/fold'
import { type Refused, refuse } from '../../ground/refusal'
import { staff } from '../../ground/who'
import { AssignmentSaid, assignmentOf, type CourseAssignment } from '../state'
import { course } from '../stream'
import { termsOf } from '../terms'

class Given extends AssignmentSaid {
  static readonly sample: Given = {
    assignmentId: 'a',
    title: 'Six of one',
    plan: EditionPlan.sample,
    gates: ['press', 'paper', 'cut'],
    opens: null,
    practice: 4,
    mayReplan: false,
    due: '2026-12-18',
    paper: { lotId: 'l', sheets: 2 },
    pictures: ['the whole edition'],
    points: ['even inking'],
    editionIds: [],
  }

  @Id('assignment') assignmentId!: string
  /** Every edition begun for it: its terms reach them too. */
  @Ids('edition', mostStudents) editionIds!: string[]
}

const assignmentSet = defineEvent(
  course,
  'assignment-set',
  (state, { editionIds: _reached, assignmentId, ...said }: Given) =>
    changed(state, {
      assignments: assignmentOf(state, assignmentId)
        ? replacedWhere(
            state.assignments,
            ({ id }) => id === assignmentId,
            (known) => ({ ...known, ...said }),
          )
        : [...state.assignments, { id: assignmentId, ...said, editions: [], exchange: [] }],
    }),
  [(data) => ({ opens: null, ...data })],
)

/** What a class is given to do, new or changed. Its terms hold at once for the editions begun; their plans stay. */
export const setAssignment = defineAct(course, 'set-assignment', Given, staff, {
  guarded: true,
  needs: ({ editionIds }) => ({ editions: editionIds.map((id) => edition.of(id)) }),
  events: [assignmentSet, assigned],
  rule: ({ course, editions }, data) => {
    const known = assignmentOf(course, data.assignmentId)
    const open = editions.filter(({ closedAt }) => closedAt === null)
    return (
      planFault(data.title, data.plan) ??
      everyEdition(known, editions) ?? [
        assignmentSet.on(course, data),
        ...open.map((one) => assigned.on(one, termsOf(course, data.assignmentId, data))),
      ]
    )
  },
})

/** All of them and no other: an edition left out would go by the old terms. */
function everyEdition(known: CourseAssignment | undefined, editions: readonly EditionState[]): Refused | null {
  const begun = (known?.editions ?? []).map(({ editionId }) => edition.of(editionId).name)
  const told = new Set(editions.map(({ stream }) => stream))
  return begun.length === told.size && begun.every((name) => told.has(name))
    ? null
    : refuse('stale', 'Another edition was begun meanwhile. Look again, then change it.', 'editionIds')
}
