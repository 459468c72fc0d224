import { defineAct, defineEvent } from '../../ground/act'
import { appended, changed } from '../../ground/fold'
import { reasonMissing, refuse } from '../../ground/refusal'
import { anyone } from '../../ground/who'
import { isLive, pullOf } from '../pull'
import { unknownPull } from '../refusals'
import { edition } from '../stream'

interface Chosen {
  pullId: string
  reason: string
}

const batSet = defineEvent(edition, 'bat-set', (state, data: Chosen & { replaced: string | null }, event) =>
  changed(state, {
    bat: { pullId: data.pullId, at: event.occurredAt },
    earlierBats:
      data.replaced === null
        ? state.earlierBats
        : appended(state.earlierBats, { pullId: data.replaced, reason: data.reason }),
  }),
)

/** A proof is right to print: the edition is held against it. */
export const setBat = defineAct(edition, 'set-bat', anyone, {
  events: [batSet],
  rule: ({ edition }, data: Chosen) => {
    const pull = pullOf(edition, data.pullId)
    if (!pull) return unknownPull()
    if (!isLive(pull)) return refuse('not-live', 'A void or disputed pull cannot be the BAT.')
    if (pull.kind !== 'proof')
      return refuse(
        'not-a-proof',
        'The BAT is chosen among the proofs. Pull a proof, or judge this one as a proof.',
        'pullId',
      )
    const replaced = edition.bat?.pullId ?? null
    if (replaced === data.pullId) return refuse('is-bat', 'This proof is the BAT already.')
    if (replaced !== null && data.reason.trim() === '')
      return reasonMissing('There is a BAT already: say why it is replaced.')
    return [batSet.on(edition, { ...data, replaced })]
  },
})
