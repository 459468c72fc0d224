import { Id, Words } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { appended, changed } from '../../ground/fold'
import { reasonMissing, type Refused, refuse } from '../../ground/refusal'
import { layerNumber, layerOf } from '../layer'
import { layersOn } from '../layers-on'
import { isLive, type Pull, pullOf } from '../pull'
import { unknownLayer, unknownPull } from '../refusals'
import { sheetOf } from '../sheet'
import { standardOf } from '../standards'
import type { EditionState } from '../state'
import { edition } from '../stream'
import { theirs } from '../who'

class Approved {
  static readonly sample: Approved = { pullId: 'p', layerId: 'l', reason: '' }

  @Id('pull') pullId!: string
  @Id('layer') layerId!: string
  @Words(500) reason!: string
}

interface StandardSet extends Omit<Approved, 'layerId'> {
  /** Null in old ledgers, which meant the layer of the proof. */
  layerId: string | null
  /** The proof that was the standard of this layer before. */
  replaced: string | null
}

const batSet = defineEvent(
  edition,
  'bat-set',
  (state, { pullId, layerId: named, reason }: StandardSet, event) => {
    const layerId = named ?? pullOf(state, pullId)?.layerId
    if (layerId === undefined) return state
    const before = standardOf(state, layerId)
    return changed(state, {
      standards: [...state.standards.filter((one) => one !== before), { layerId, pullId, at: event.occurredAt }],
      earlierStandards: before
        ? appended(state.earlierStandards, { layerId, pullId: before.pullId, reason })
        : state.earlierStandards,
    })
  },
  [(data) => ({ ...data, layerId: null })],
)

/** A proof is right to print: the pulls of its layer are held against it. The last layer's is the BAT. */
export const approveProof = defineAct(edition, 'approve-proof', Approved, theirs, {
  events: [batSet],
  rule: ({ edition }, data) => {
    const pull = pullOf(edition, data.pullId)
    if (!pull) return unknownPull()
    const unfit = proofFault(edition, pull, data.layerId)
    if (unfit) return unfit
    const replaced = standardOf(edition, data.layerId)?.pullId ?? null
    if (replaced === data.pullId) return refuse('is-standard', 'This proof is the standard of its layer already.')
    if (replaced !== null && data.reason.trim() === '')
      return reasonMissing('This layer has a standard already: say why it is replaced.')
    return [batSet.on(edition, { ...data, replaced })]
  },
})

/** Rule 9: a standard is a proof of its layer, on a sheet that carries the layers before it. */
function proofFault(state: EditionState, pull: Pull, layerId: string): Refused | null {
  const layer = layerOf(state, layerId)
  if (!layer) return unknownLayer()
  if (!isLive(pull)) return refuse('not-live', 'A void or disputed pull cannot be a standard.')
  if (pull.kind !== 'proof')
    return refuse(
      'not-a-proof',
      'A standard is chosen among the proofs. Pull a proof, or judge this one as a proof.',
      'pullId',
    )
  if (pull.layerId !== layerId)
    return refuse('other-layer', `This proof is of another layer than ${layer.name}. Choose one of its own.`, 'layerId')
  const before = state.layers.slice(0, layerNumber(state, layerId) - 1)
  const carries = (id: number) => {
    const sheet = sheetOf(state, id)
    const on = sheet ? layersOn(state, sheet) : []
    return before.every((earlier) => on.includes(earlier.id))
  }
  if (before.length === 0 || (pull.sheetIds.length > 0 && pull.sheetIds.every(carries))) return null
  return refuse(
    'layers-missing',
    `The standard of ${layer.name} is a proof on a sheet that carries ${before.map(({ name }) => name).join(', ')}. Pull a proof on a sheet of the stack, then choose it.`,
    'pullId',
  )
}
