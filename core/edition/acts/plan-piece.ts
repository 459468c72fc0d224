import { definePlainAct } from '../../ground/act'
import { refuseFault } from '../../ground/refusal'
import { pieceFault, type PiecePlan } from '../../paper/piece'
import { piecePlanned } from '../events/piece-planned'
import { edition } from '../stream'
import { theirs } from '../who'

interface Piece {
  piece: PiecePlan
}

/** How the edition's sheets are to be got out of the paper. */
export const planPiece = definePlainAct(edition, 'plan-piece', theirs, {
  events: [piecePlanned],
  rule: ({ edition }, data: Piece) => {
    const fault = pieceFault(data.piece)
    return fault ? refuseFault('piece-unfit', fault) : [piecePlanned.on(edition, data)]
  },
})
