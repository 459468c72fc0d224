import { Id, Words } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { type Refused, refuse } from '../../ground/refusal'
import { editPull, takeOffSheets } from '../edit'
import { layerNumber } from '../layer'
import { carriesLater } from '../layers-on'
import { type PullData, pullOf } from '../pull'
import { heldFast, unknownPull } from '../refusals'
import { sheetOf } from '../sheet'
import { standardWord } from '../standards'
import type { EditionState } from '../state'
import { edition } from '../stream'
import { theirs } from '../who'

class Voided {
  static readonly sample: Voided = { pullId: 'p', reason: '' }

  @Id('pull') pullId!: string
  @Words(500) reason!: string
}

const pullVoided = defineEvent(edition, 'pull-voided', (state, { pullId }: Voided) => {
  const pull = pullOf(state, pullId)
  if (!pull) return state
  return takeOffSheets(
    editPull(state, pullId, (before) => ({ ...before, voided: true })),
    pull,
  )
})

/** A pull that was recorded by mistake is taken off its sheets. It is never deleted. */
export const voidPull = defineAct(edition, 'void-pull', Voided, theirs, {
  events: [pullVoided],
  rule: ({ edition }, data) => {
    const pull = pullOf(edition, data.pullId)
    if (!pull) return unknownPull()
    if (pull.voided) return refuse('voided', 'This pull is void already.')
    if (pull.disputed) return refuse('disputed', 'This pull is disputed. Settle it from the count instead.')
    if (edition.standards.some(({ pullId }) => pullId === pull.pullId))
      return refuse(
        'is-standard',
        `This proof is the ${standardWord(edition, pull.layerId)} of its layer. Approve another first.`,
      )
    return heldBySheet(edition, pull) ?? [pullVoided.on(edition, data)]
  },
})

/** Why a pull may not be taken off its sheets, or null. */
function heldBySheet(state: EditionState, pull: PullData): Refused | null {
  const number = layerNumber(state, pull.layerId)
  for (const id of pull.sheetIds) {
    const sheet = sheetOf(state, id)
    if (!sheet) continue
    if (sheet.signed) return refuse('signed', `Sheet ${id} is signed. Withdraw the signature first, with a reason.`)
    const held = heldFast(sheet)
    if (held) return held
    if (sheet.parts.length > 0) return refuse('split', `Sheet ${id} has been split; this pull belongs to both halves.`)
    if (carriesLater(state, sheet, number))
      return refuse('later-layer', `Sheet ${id} carries a later layer. Void that pull first.`)
  }
  return null
}
