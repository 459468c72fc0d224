import { IsInt, Max, Min } from 'class-validator'
import { Id, Ids, OrNull, Part, Parts, Unit, Words } from '../ground/shape'
import { IsDay, IsTimeOfDay } from '../ground/written'
import { Terms } from '../edition/assignment'
import type { Fault } from '../ground/refusal'
import { EditionPlan } from '../plan/plan'

/** When a class meets in its weeks: Monday is 1; the room's own time, `18:30`. */
export class Meeting {
  @IsInt() @Min(1) @Max(7) weekday!: number
  @IsTimeOfDay() from!: string
  @IsTimeOfDay() until!: string
}

export class CourseDescription {
  static readonly sample: CourseDescription = {
    name: 'Tuesday evening',
    term: 'autumn',
    from: '2026-09-08',
    until: '2026-12-15',
    meets: [{ weekday: 2, from: '18:00', until: '21:00' }],
    instructorIds: ['p'],
  }

  @Words(80) name!: string
  /** As the school calls it: “Autumn”. */
  @Words(80) term!: string
  /** First and last day, ISO dates, or null. */
  @OrNull() @IsDay() from!: string | null
  @OrNull() @IsDay() until!: string | null
  @Parts(() => Meeting, 14) meets!: Meeting[]
  @Ids('instructor', 20) instructorIds!: string[]
}

class PaperGiven {
  @Id('lot') lotId!: string
  @IsInt() @Min(1) @Max(1000) @Unit('sheets') sheets!: number
}

/** What every student of it starts with, and what is wanted of them. */
export class AssignmentSaid extends Terms {
  @Words(120) title!: string
  /** The plan each edition begins with; its artist is the student. */
  @Part(() => EditionPlan) plan!: EditionPlan
  /** Large sheets of good paper put aside for each edition, or null. */
  @OrNull() @Part(() => PaperGiven) paper!: PaperGiven | null
}

/** An edition begun for an assignment, and whose it was then. */
export class Begun {
  @Id('edition') editionId!: string
  @Ids('person', 20) personIds!: string[]
}

/** Who gives a print to whom. */
export interface Gift {
  from: string
  to: string
}

export interface CourseAssignment extends AssignmentSaid {
  id: string
  editions: Begun[]
  /** The exchange of prints as it was drawn last, by editions; none before. */
  exchange: Gift[]
}

/** A class: who teaches it, who comes, and what they are given to do. */
export interface CourseState extends CourseDescription {
  stream: string
  seq: number
  studentIds: string[]
  assignments: CourseAssignment[]
}

export function emptyCourse(stream: string): CourseState {
  return {
    stream,
    seq: 0,
    name: '',
    term: '',
    from: null,
    until: null,
    meets: [],
    instructorIds: [],
    studentIds: [],
    assignments: [],
  }
}

export function assignmentOf(
  { assignments }: Pick<CourseState, 'assignments'>,
  id: string,
): CourseAssignment | undefined {
  return assignments.find((one) => one.id === id)
}

/** Students who have no edition of an assignment yet. */
export function withoutEdition(
  { studentIds }: CourseState,
  { editions }: Pick<CourseAssignment, 'editions'>,
): string[] {
  const have = new Set(editions.flatMap(({ personIds }) => personIds))
  return studentIds.filter((id) => !have.has(id))
}

/** Why a class cannot be as it is described, or null. */
export function courseFault({ name, from, until, meets, instructorIds }: CourseDescription): Fault | null {
  if (name.trim() === '') return { field: 'name', message: 'Give the class a name.' }
  if (from !== null && until !== null && until < from)
    return { field: 'until', message: `It would end on ${until}, before it begins on ${from}. Change one of the two.` }
  const turned = meets.find((meeting) => meeting.until <= meeting.from)
  if (turned)
    return { field: 'meets', message: `It meets from ${turned.from} until ${turned.until}: give the later time last.` }
  return instructorIds.length === 0 ? { field: 'instructorIds', message: 'Say who teaches it.' } : null
}
