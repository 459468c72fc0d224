import type { CourseState } from '#core/course/state'
import type { EditionState } from '#core/edition/state'
import { isStaff } from '#core/ground/who'
import type { Role } from '#core/ground/envelope'
import { inClass } from '#core/run/in-class'
import { inHand } from '#core/stores/lot/state'
import type { StudioState } from '#core/stores/studio/state'
import type {
  CourseReply,
  CoursesReply,
  CourseSummary,
  LotSummary,
  PressSummary,
  RationHeld,
} from '#shared/replies/replies'
import { allSummariesOf, summariesOf, summaryOf } from '../database/summaries'
import { failure } from './failure'
import type { Pressroom } from './pressroom'

/** The classes of the room, by name; students and members are told of those they come to. */
export async function readCourses(room: Pressroom, person: { id: string; role: Role }): Promise<CoursesReply> {
  const all = await allSummariesOf<CourseSummary>(room.db.reader, 'course')
  return { courses: isStaff(person.role) ? all : all.filter(({ studentIds }) => studentIds.includes(person.id)) }
}

/** A class at its benches: every edition of its assignments as it stands, and the paper put aside for its students. */
export async function readCourse(room: Pressroom, id: string): Promise<CourseReply> {
  const state = await room.ledger.read<CourseState>(`course:${id}`)
  if (state.name === '')
    throw failure({
      code: 'unknown-course',
      message: 'There is no such class here. Open it from the list of classes.',
    })
  const begun = state.assignments.flatMap(({ id, editions }) =>
    editions.map(({ editionId }) => ({ assignmentId: id, stream: `edition:${editionId}` })),
  )
  const [editions, lots, presses, studio] = await Promise.all([
    Promise.all(begun.map(({ stream }) => room.ledger.read<EditionState>(stream))),
    summariesOf<LotSummary>(room.db.reader, 'lot'),
    allSummariesOf<PressSummary>(room.db.reader, 'press'),
    room.ledger.read<StudioState>('studio'),
  ])
  const students = new Set(state.studentIds)
  return {
    course: summaryOf(state),
    benches: editions.map((edition, i) => ({
      ...inClass(edition, room.passBook.recordFor(edition.stream)),
      assignmentId: begun[i]!.assignmentId,
    })),
    rations: rationsOf(lots, students),
    leaves: studio.leaves.filter(({ personId }) => students.has(personId)),
    presses: presses.map(({ id, name }) => ({ id, name })),
  }
}

function rationsOf(lots: readonly LotSummary[], people: ReadonlySet<string>): RationHeld[] {
  return lots.flatMap(({ id, name, rations }) =>
    rations
      .filter(({ personId }) => people.has(personId))
      .map((ration) => ({
        lotId: id,
        lot: name,
        rationId: ration.id,
        personId: ration.personId,
        aside: ration.sheets - ration.released,
        inHand: inHand(ration),
        used: ration.used,
      })),
  )
}
