import { Length } from 'class-validator'
import { Id, Words } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { doerOf, whenOf } from '../../ground/envelope'
import { appended, changed } from '../../ground/fold'
import { refuse } from '../../ground/refusal'
import { lineInForce } from '../../print/fault-table'
import { studio } from '../../stores/studio/stream'
import { layerOf } from '../layer'
import { unknownFault, unknownLayer } from '../refusals'
import { edition } from '../stream'
import { theirs } from '../who'

class Tried {
  static readonly sample: Tried = { layerId: 'l', fault: 'salt', remedy: 'one more pass' }

  @Id('layer') layerId!: string
  @Length(1, 40) fault!: string
  @Words(120) remedy!: string
}

const remedyTried = defineEvent(edition, 'remedy-tried', (state, data: Tried & { trialId: string }, event) => {
  const { trialId, ...tried } = data
  const trial = { id: trialId, ...tried, afterPull: state.pulls.length, ...whenOf(event), ...doerOf(event) }
  return changed(state, { trials: appended(state.trials, trial) })
})

/** Something was done against a fault: the next pulls tell whether it worked. */
export const tryRemedy = defineAct(edition, 'try-remedy', Tried, theirs, {
  needs: () => ({ studio: studio.of() }),
  events: [remedyTried],
  rule: ({ edition, studio }, data, { commandId }) => {
    if (!layerOf(edition, data.layerId)) return unknownLayer()
    const unknown = unknownFault([data.fault], 'fault')
    if (unknown) return unknown
    // The room's record is kept by remedy and sent with every edition: it holds what the studio knows, and no free text.
    if (!lineInForce(studio.faultLines, data.fault).causes.some(({ remedies }) => remedies.includes(data.remedy)))
      return refuse('unknown-remedy', 'That is not among the remedies for this fault. Choose one of them.', 'remedy')
    return [remedyTried.on(edition, { trialId: commandId, ...data })]
  },
})
