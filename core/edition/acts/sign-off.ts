import { IsIn, IsInt, Max, Min } from 'class-validator'
import { Id, OrNull, Part, Unit, Words } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { doerOf, whenOf } from '../../ground/envelope'
import { appended, changed } from '../../ground/fold'
import { type Refused, refuse } from '../../ground/refusal'
import { staff } from '../../ground/who'
import { paperReleased } from '../../stores/lot/events/paper-released'
import { releaseFault } from '../../stores/lot/ration'
import type { LotState } from '../../stores/lot/state'
import { lot } from '../../stores/lot/stream'
import { leaveGiven } from '../../stores/studio/events/leave-given'
import { leaveOf } from '../../stores/studio/leaves'
import type { StudioState } from '../../stores/studio/state'
import { studio } from '../../stores/studio/stream'
import { askAnswered } from '../events/ask-answered'
import { layerOf } from '../layer'
import { unknownLayer } from '../refusals'
import { About, isSameMatter, openAsks, signedOff, type SignOffFor, signOffsFor } from '../sign-offs'
import type { EditionState } from '../state'
import { edition } from '../stream'
import { tallied } from '../tally'
import { isNamed } from '../who'

/** Paper put aside for somebody, given out with the sign-off. */
class GivenOut {
  @Id('lot') lotId!: string
  @Id('ration') rationId!: string
  @IsInt() @Min(1) @Max(1000) @Unit('sheets') sheets!: number
}

class SigningOff extends About {
  static readonly sample: SigningOff = {
    what: 'paper',
    layerId: null,
    pressId: null,
    personId: null,
    note: 'the third proof',
    paper: { lotId: 'l', rationId: 'r', sheets: 2 },
  }

  @IsIn(signOffsFor) what!: SignOffFor
  @OrNull() @Id('person') personId!: string | null
  @Words(300) note!: string
  @OrNull() @Part(() => GivenOut) paper!: GivenOut | null
}

const wasSignedOff = defineEvent(
  edition,
  'signed-off',
  (state, { signOffId, ...given }: Omit<SigningOff, 'paper'> & { signOffId: string }, event) =>
    changed(state, {
      signOffs: appended(state.signOffs, {
        id: signOffId,
        ...given,
        withdrawn: null,
        ...whenOf(event),
        ...doerOf(event),
      }),
    }),
)

/**
 * Staff have looked and let somebody go on: good paper once a proof has passed, a cut that nothing takes back, a press
 * or solvents for good. Whoever asked for it is answered by it.
 */
export const signOff = defineAct(edition, 'sign-off', SigningOff, staff, {
  needs: (data) => ({ room: studio.of(), lots: data.paper ? [lot.of(data.paper.lotId)] : [] }),
  events: [wasSignedOff, askAnswered, leaveGiven, paperReleased],
  rule: ({ edition, room, lots }, { paper, ...data }, { commandId }) => {
    const { what, personId, pressId, note } = data
    const isLasting = what === 'press' || what === 'solvents'
    const answered = openAsks(edition).filter(
      (ask) => isSameMatter(ask, data) && (!isLasting || ask.by === data.personId),
    )
    return (
      (isLasting ? leaveFault(edition, room, data) : editionFault(edition, data)) ??
      paperFault(lots[0], what, paper) ?? [
        wasSignedOff.on(edition, { signOffId: commandId, ...data, personId: isLasting ? personId : null }),
        ...answered.map(({ id }) => askAnswered.on(edition, { askId: id, note, given: true, takenBack: false })),
        ...(isLasting
          ? [leaveGiven.on(room, { leaveId: commandId, personId: personId!, use: what, pressId, note })]
          : []),
        ...(paper ? [paperReleased.on(lots[0]!, { rationId: paper.rationId, sheets: paper.sheets })] : []),
      ]
    )
  },
})

function leaveFault(
  edition: EditionState,
  room: StudioState,
  { what, personId, pressId }: Omit<SigningOff, 'paper'>,
): Refused | null {
  if (personId === null || !isNamed(edition, personId))
    return refuse('unknown-person', 'Say for whom: somebody who prints this edition.', 'personId')
  if ((what === 'press') !== (pressId !== null)) return refuse('unknown-press', 'Say which press it is for.', 'pressId')
  return leaveOf(room, { personId, use: what === 'press' ? 'press' : 'solvents', pressId })
    ? refuse('has-leave', 'That leave is given already.', 'personId')
    : null
}

function editionFault(edition: EditionState, { what, layerId }: Omit<SigningOff, 'paper'>): Refused | null {
  if (what === 'cut') {
    const layer = layerId === null ? undefined : layerOf(edition, layerId)
    if (!layer) return unknownLayer()
    if (layer.cutFurther) return refuse('cut-already', 'This block has been cut further already.')
  } else if (layerId !== null)
    return refuse('unknown-layer', 'Good paper is signed off for the whole edition.', 'layerId')
  else if (tallied(edition, 'live proof') === 0)
    return refuse('no-proof', 'No proof of it is in the tally yet. Good paper is given when one has passed.')
  return signedOff(edition, what === 'cut' ? 'cut' : 'paper', layerId)
    ? refuse('signed-off', 'That is signed off already.')
    : null
}

function paperFault(lot: LotState | undefined, what: SignOffFor, paper: GivenOut | null): Refused | null {
  if (!paper) return null
  if (what !== 'paper') return refuse('not-paper', 'Paper is given out with its own sign-off.', 'paper')
  return releaseFault(lot!, paper)
}
