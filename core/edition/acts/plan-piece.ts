import { Part } from '../../ground/shape'
import { defineAct } from '../../ground/act'
import { refuseFault } from '../../ground/refusal'
import { pieceFault, PiecePlan } from '../../paper/piece'
import { piecePlanned } from '../events/piece-planned'
import { edition } from '../stream'
import { theirs } from '../who'

class Piece {
  static readonly sample: Piece = { piece: PiecePlan.sample }

  @Part(() => PiecePlan) piece!: PiecePlan
}

/** How the edition's sheets are to be got out of the paper. */
export const planPiece = defineAct(edition, 'plan-piece', Piece, theirs, {
  events: [piecePlanned],
  rule: ({ edition }, data) => {
    const fault = pieceFault(data.piece)
    return fault ? refuseFault('piece-unfit', fault) : [piecePlanned.on(edition, data)]
  },
})
