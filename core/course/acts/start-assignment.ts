import { Id, OrNull, Parts, Words } from '../../ground/shape'
import { mostStudents } from '../../edition/assignment'
import { defineAct, defineEvent } from '../../ground/act'
import { assigned } from '../../edition/events/assigned'
import { editionStarted } from '../../edition/events/edition-started'
import { layerAdded } from '../../edition/events/layer-added'
import { printersNamed } from '../../edition/events/printers-named'
import { wholeBlock } from '../../edition/layer'
import { planFault } from '../../edition/plan-fault'
import type { EditionState } from '../../edition/state'
import { edition } from '../../edition/stream'
import { changed, replacedWhere } from '../../ground/fold'
import { type Refused, refuse } from '../../ground/refusal'
import { staff } from '../../ground/who'
import { paperRationed } from '../../stores/lot/events/paper-rationed'
import { rationFault } from '../../stores/lot/ration'
import type { LotState } from '../../stores/lot/state'
import { lot } from '../../stores/lot/stream'
import { studio } from '../../stores/studio/stream'
import { unknownPerson } from '../people'
import { assignmentOf, Begun, type CourseAssignment, type CourseState } from '../state'
import { course } from '../stream'
import { termsOf } from '../terms'

class Starting extends Begun {
  @Words(120) title!: string
  /** Who signs, as it is pencilled. */
  @Words(80) artist!: string
}

class Start {
  static readonly sample: Start = {
    assignmentId: 'a',
    editions: [{ editionId: 'e', personIds: ['p'], title: 'Slipway', artist: 'Ada Pell' }],
    lotId: 'l',
  }

  @Id('assignment') assignmentId!: string
  @Parts(() => Starting, mostStudents) editions!: Starting[]
  /** The lot that paper is put aside from, as the assignment says; null for none. */
  @OrNull() @Id('lot') lotId!: string | null
}

const assignmentStarted = defineEvent(
  course,
  'assignment-started',
  (state, { assignmentId, editions }: { assignmentId: string; editions: Begun[] }) =>
    changed(state, {
      assignments: replacedWhere(
        state.assignments,
        ({ id }) => id === assignmentId,
        (known) => ({ ...known, editions: [...known.editions, ...editions] }),
      ),
    }),
)

/** Everybody's edition of an assignment begins at once, with the paper put aside; who comes later is added the same way. */
export const startAssignment = defineAct(course, 'start-assignment', Start, staff, {
  needs: (data) => ({
    room: studio.of(),
    editions: data.editions.map(({ editionId }) => edition.of(editionId)),
    lots: data.lotId === null ? [] : [lot.of(data.lotId)],
  }),
  events: [assignmentStarted, editionStarted, layerAdded, printersNamed, assigned, paperRationed],
  rule: ({ course, room, editions, lots }, data, { commandId }) => {
    const given = assignmentOf(course, data.assignmentId)
    if (!given) return refuse('unknown-assignment', 'That assignment is not there any more. Reload the page.')
    const personIds = data.editions.flatMap((one) => one.personIds)
    return (
      whoFault(course, given, data) ??
      unknownPerson(room, personIds, 'editions') ??
      editionsFault(editions, given, data) ??
      paperFault(lots[0], given, data) ?? [
        assignmentStarted.on(course, {
          assignmentId: given.id,
          editions: data.editions.map(({ editionId, personIds }) => ({ editionId, personIds })),
        }),
        ...editions.flatMap((one, i) => started(course, given, one, data.editions[i]!, `${commandId}-${i + 1}`)),
        ...(given.paper
          ? data.editions.map(({ editionId, personIds }, i) =>
              paperRationed.on(lots[0]!, {
                rationId: `${commandId}-${i + 1}`,
                personId: personIds[0]!,
                editionId,
                sheets: given.paper!.sheets,
              }),
            )
          : []),
      ]
    )
  },
})

/** One edition as the assignment begins it. */
function started(course: CourseState, given: CourseAssignment, one: EditionState, asked: Starting, id: string) {
  const { plan } = given
  const layers = plan.layering === 'ahead' ? plan.layersPlanned : 1
  const { personIds } = asked
  return [
    editionStarted.on(one, {
      title: asked.title.trim(),
      plan: { ...plan, artist: asked.artist.trim(), due: plan.due ?? given.due },
      printerIds: personIds,
    }),
    printersNamed.on(one, { artistId: personIds.length === 1 ? personIds[0]! : null, printerIds: personIds }),
    ...Array.from({ length: layers }, (_, i) =>
      layerAdded.on(one, { layerId: `${id}-${i + 1}`, name: `Layer ${i + 1}`, blocks: [], zones: [wholeBlock()] }),
    ),
    assigned.on(one, termsOf(course, given.id, given)),
  ]
}

function whoFault(course: CourseState, given: CourseAssignment, { editions }: Start): Refused | null {
  if (course.studentIds.length === 0)
    return refuse('no-students', `Nobody comes to ${course.name} yet. Put its students on the list first.`)
  if (editions.length === 0 || editions.some(({ personIds }) => personIds.length === 0))
    return refuse('no-students', 'Say who gets an edition: each has at least one student.', 'editions')
  const personIds = editions.flatMap((one) => one.personIds)
  if (new Set(personIds).size < personIds.length)
    return refuse('person-twice', 'One of them stands in two groups. Each prints on one edition.', 'editions')
  if (!personIds.every((id) => course.studentIds.includes(id)))
    return refuse('not-enrolled', `One of them does not come to ${course.name}.`, 'editions')
  const have = new Set(given.editions.flatMap((one) => one.personIds))
  return personIds.some((id) => have.has(id))
    ? refuse('begun-already', 'One of them has an edition of it already. Reload the page.', 'editions')
    : null
}

function editionsFault(editions: readonly EditionState[], { plan }: CourseAssignment, data: Start): Refused | null {
  if (new Set(data.editions.map(({ editionId }) => editionId)).size < data.editions.length)
    return refuse('edition-twice', 'Two of the editions would be one. Reload the page.', 'editions')
  if (editions.some((one) => one.plan !== null))
    return refuse('already-started', 'One of these editions has been started already. Reload the page.', 'editions')
  return data.editions.reduce<Refused | null>((fault, { title }) => fault ?? planFault(title, plan), null)
}

function paperFault(lot: LotState | undefined, { paper }: CourseAssignment, data: Start): Refused | null {
  if ((paper?.lotId ?? null) !== data.lotId)
    return refuse('stale', 'The assignment names another paper by now. Look again, then start it.', 'lotId')
  if (!paper || !lot) return null
  return rationFault(lot, paper.sheets * data.editions.length)
}
