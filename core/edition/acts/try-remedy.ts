import { defineAct, defineEvent } from '../../ground/act'
import { doerOf, whenOf } from '../../ground/envelope'
import { appended, changed } from '../../ground/fold'
import { refuse } from '../../ground/refusal'
import { layerOf } from '../layer'
import { unknownFault, unknownLayer } from '../refusals'
import { edition } from '../stream'
import { theirs } from '../who'

interface Tried {
  layerId: string
  fault: string
  remedy: string
}

const remedyTried = defineEvent(edition, 'remedy-tried', (state, data: Tried & { trialId: string }, event) => {
  const { trialId, ...tried } = data
  const trial = { id: trialId, ...tried, afterPull: state.pulls.length, ...whenOf(event), ...doerOf(event) }
  return changed(state, { trials: appended(state.trials, trial) })
})

/** Something was done against a fault: the next pulls tell whether it worked. */
export const tryRemedy = defineAct(edition, 'try-remedy', theirs, {
  events: [remedyTried],
  rule: ({ edition }, data: Tried, { commandId }) => {
    if (!layerOf(edition, data.layerId)) return unknownLayer()
    if (data.remedy.trim() === '') return refuse('remedy-missing', 'Say what was tried.', 'remedy')
    return unknownFault([data.fault], 'fault') ?? [remedyTried.on(edition, { trialId: commandId, ...data })]
  },
})
