import { defineAct, defineEvent } from '../../ground/act'
import { doerOf, whenOf } from '../../ground/envelope'
import { changed } from '../../ground/fold'
import { refuse } from '../../ground/refusal'
import { ProofSaid } from '../proof-notes'
import { pullOf } from '../pull'
import { unknownPull } from '../refusals'
import { edition } from '../stream'
import { theirs } from '../who'

const proofJudged = defineEvent(edition, 'proof-judged', (state, data: ProofSaid, event) => {
  const note = { ...data, ...whenOf(event), ...doerOf(event) }
  return changed(state, { proofNotes: [...state.proofNotes.filter(({ pullId }) => pullId !== data.pullId), note] })
})

/** A proof is held to the light: its impression, its ink, and what it was rolled up with. */
export const judgeProof = defineAct(edition, 'judge-proof', ProofSaid, theirs, {
  events: [proofJudged],
  rule: ({ edition }, data) => {
    const pull = pullOf(edition, data.pullId)
    if (!pull) return unknownPull()
    if (pull.kind !== 'proof') return refuse('not-a-proof', 'Impression and ink are judged of proofs.', 'pullId')
    if (pull.voided) return refuse('voided', 'This proof is void. Restore it before judging it.')
    return [proofJudged.on(edition, data)]
  },
})
