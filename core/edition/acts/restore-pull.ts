import { Id } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import { editPull, layOnSheets } from '../edit'
import { layerOf } from '../layer'
import { sheetsObjection } from '../objection'
import { pullOf } from '../pull'
import { unknownPull } from '../refusals'
import { edition } from '../stream'
import { theirs } from '../who'

class Restored {
  static readonly sample: Restored = { pullId: 'p' }

  @Id('pull') pullId!: string
}

const pullRestored = defineEvent(edition, 'pull-restored', (state, { pullId }: Restored) => {
  const pull = pullOf(state, pullId)
  if (!pull) return state
  return layOnSheets(
    // An old ledger may hold one that was settled as not counted: it counts then, so that the count can be mended.
    editPull(state, pullId, (before) => ({ ...before, voided: false, disputed: null })),
    pull,
  )
})

/** A void pull counts after all. */
export const restorePull = defineAct(edition, 'restore-pull', Restored, theirs, {
  events: [pullRestored],
  rule: ({ edition }, data) => {
    const pull = pullOf(edition, data.pullId)
    const layer = pull && layerOf(edition, pull.layerId)
    if (!pull || !layer) return unknownPull()
    if (!pull.voided) return refuse('not-void', 'This pull is not void.')
    if (pull.disputed)
      return refuse(
        'settled',
        'This pull was settled as one that does not count. If it did happen, pull it anew on the sheet it lies on.',
      )
    // It was accepted once: only what its sheets went through since can stand against it.
    const objection = sheetsObjection(edition, layer, { ...pull, wetOnWet: true, restored: true, happened: true })
    return objection
      ? refuse(objection.rule, `It cannot come back as it was. ${objection.message}`)
      : [pullRestored.on(edition, data)]
  },
})
