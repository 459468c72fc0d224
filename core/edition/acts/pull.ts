import { defineAct, defineEvent } from '../../ground/act'
import type { Context } from '../../ground/envelope'
import { refuse } from '../../ground/refusal'
import { studio } from '../../stores/studio/stream'
import { gateObjection } from '../gates'
import { recordPull } from '../edit'
import { layerOf } from '../layer'
import { pullObjection } from '../objection'
import { type Objection, type PullData, PullSaid } from '../pull'
import { unknownFault, unknownLayer } from '../refusals'
import { edition } from '../stream'
import { theirs } from '../who'

const pulled = defineEvent(edition, 'pulled', (state, data: PullData, event) => recordPull(state, data, event, null))

const pullDisputed = defineEvent(
  edition,
  'pull-disputed',
  (state, { rule, message, claimedBy, ...data }: PullData & Objection, event) =>
    recordPull(state, data, event, { rule, message, settled: false, ...(claimedBy ? { claimedBy } : {}) }),
)

/**
 * One sheet meets the inked block. What happened at the press cannot be refused away: a pull that breaks a rule is stored
 * as disputed, is not counted, and waits for a person.
 */
export const pull = defineAct(edition, 'pull', PullSaid, theirs, {
  late: true,
  bearsDoubt: true,
  needs: () => ({ room: studio.of() }),
  events: [pulled, pullDisputed],
  rule: ({ edition, room }, data, context) => {
    const layer = layerOf(edition, data.layerId)
    if (!layer) return unknownLayer()
    const fault = unknownFault(data.faults, 'faults')
    if (fault) return fault
    if (data.kind === 'pull' && data.sheetIds.length === 0)
      return refuse(
        'sheet-missing',
        'There is no sheet for this pull. Tear paper for the edition first; proofs and warm-up go on proof paper.',
        'sheetIds',
      )
    if (new Set(data.sheetIds).size < data.sheetIds.length)
      return refuse('sheet-twice', 'One sheet cannot lie under the press twice.', 'sheetIds')
    const laid: PullData = {
      ...data,
      pullId: context.commandId,
      proofKind: data.kind === 'proof' ? (data.proofKind ?? 'WP') : null,
      setupSeq: layer.setups.some((setup) => setup.seq === data.setupSeq)
        ? data.setupSeq
        : (layer.setups.at(-1)?.seq ?? 0),
    }
    const objection =
      doubt(context) ?? pullObjection(edition, layer, laid) ?? gateObjection(edition, layer, laid, room, context)
    return objection ? [pullDisputed.on(edition, { ...laid, ...objection })] : [pulled.on(edition, laid)]
  },
})

/** Handed in by one person in the name of another, who cannot be asked. */
function doubt({ claimed }: Context): Objection | null {
  return claimed
    ? {
        rule: 'unproved',
        message: 'Handed in by somebody else, and nothing proves whose pull it is. Ask both, then settle it.',
        claimedBy: claimed.personId,
      }
    : null
}
