import { addNewsprint, noNewsprint, type NewsprintRecord } from '../print/newsprint'
import type { Layer } from './layer'
import { noteOf, type ProofNote } from './proof-notes'
import { isLive, type Pull } from './pull'
import type { EditionState } from './state'

type Proof = { pull: Pull; note: ProofNote }

/** What this edition's proofs add to the room's record of newsprint against good paper, layer by layer. */
export function newsprintOf(state: Pick<EditionState, 'layers' | 'pulls' | 'proofNotes'>): NewsprintRecord {
  if (state.proofNotes.length === 0) return noNewsprint
  return state.layers.reduce((sum, layer) => addNewsprint(sum, ofLayer(state, layer)), noNewsprint)
}

function ofLayer(state: Pick<EditionState, 'pulls' | 'proofNotes'>, layer: Layer): NewsprintRecord {
  const proofs = state.pulls.flatMap((pull): Proof[] => {
    const note =
      pull.layerId === layer.id && pull.kind === 'proof' && isLive(pull) ? noteOf(state, pull.pullId) : undefined
    return note && note.pressure !== null ? [{ pull, note }] : []
  })
  const right = proofs.findLast(({ note }) => note.newsprint && note.pressure === 0)
  if (!right) return noNewsprint
  const good = proofs.slice(proofs.indexOf(right) + 1).filter(({ note }) => !note.newsprint)
  const first = good[0]
  // Another setting, or another inking, would speak for itself and not for the paper.
  const isLike =
    first !== undefined &&
    first.pull.setupSeq === right.pull.setupSeq &&
    first.note.charges === right.note.charges &&
    first.note.passes === right.note.passes
  const pressure = isLike ? first.note.pressure! : null
  const nip = ({ pull }: Proof) => layer.setups.find(({ seq }) => seq === pull.setupSeq)?.setup.nip ?? null
  const last = good.findLast(({ note }) => note.pressure === 0)
  const gaps = last && [nip(right), nip(last)]
  const isKnown = gaps !== undefined && gaps[0] !== null && gaps[1] !== null
  return {
    lighter: pressure !== null && pressure < 0 ? 1 : 0,
    same: pressure === 0 ? 1 : 0,
    heavier: pressure !== null && pressure > 0 ? 1 : 0,
    gaps: isKnown ? 1 : 0,
    closer: isKnown ? Math.round((gaps[1]! - gaps[0]!) * 100) : 0,
  }
}
