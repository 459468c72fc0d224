import { IsIn } from 'class-validator'
import { Words } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { doerOf, whenOf } from '../../ground/envelope'
import { appended, changed } from '../../ground/fold'
import { type Refused, refuse } from '../../ground/refusal'
import { leaveOf } from '../../stores/studio/leaves'
import type { StudioState } from '../../stores/studio/state'
import { studio } from '../../stores/studio/stream'
import { layerOf } from '../layer'
import { unknownLayer } from '../refusals'
import { About, type AskFor, asksFor, isSameMatter, openAsks, signedOff } from '../sign-offs'
import type { EditionState } from '../state'
import { edition } from '../stream'
import { theirs } from '../who'

class Asked extends About {
  static readonly sample: Asked = { what: 'cut', layerId: 'l', pressId: null, words: 'the yellow is all pulled' }

  @IsIn(asksFor) what!: AskFor
  @Words(300) words!: string
}

const asked = defineEvent(edition, 'asked', (state, { askId, ...ask }: Asked & { askId: string }, event) =>
  changed(state, {
    asks: appended(state.asks, { id: askId, ...ask, answer: null, ...whenOf(event), ...doerOf(event) }),
  }),
)

/** Somebody at the bench asks staff to come, or to sign something off. */
export const ask = defineAct(edition, 'ask', Asked, theirs, {
  needs: () => ({ room: studio.of() }),
  events: [asked],
  rule: ({ edition, room }, data, { commandId, personId }) => {
    const waiting = openAsks(edition).some((one) => one.by === personId && isSameMatter(one, data))
    if (waiting) return refuse('asked-already', 'You have asked already: it stands on the instructor’s list.')
    return (
      aboutFault(edition, data) ??
      hasAlready(edition, room, data, personId) ?? [asked.on(edition, { askId: commandId, ...data })]
    )
  },
})

function aboutFault(edition: EditionState, { what, layerId, pressId, words }: Asked): Refused | null {
  if (layerId !== null && !layerOf(edition, layerId)) return unknownLayer()
  if (what === 'cut' && layerId === null) return refuse('unknown-layer', 'Say which layer is cut from.', 'layerId')
  if (what === 'press' && pressId === null) return refuse('unknown-press', 'Say which press it is.', 'pressId')
  if (what === 'more paper' && words.trim() === '')
    return refuse('words-missing', 'Say what became of the sheets you were given, then ask for more.', 'words')
  return null
}

/** Nothing is asked for twice that holds already. */
function hasAlready(edition: EditionState, room: StudioState, asked: Asked, personId: string): Refused | null {
  const { what, layerId, pressId } = asked
  const has =
    what === 'press' || what === 'solvents'
      ? leaveOf(room, { personId, use: what, pressId }) !== undefined
      : (what === 'paper' || what === 'cut') && signedOff(edition, what, layerId)
  return has ? refuse('signed-off', 'That is signed off already: go on.') : null
}
