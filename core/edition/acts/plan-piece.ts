import { defineAct, defineEvent } from '../../ground/act'
import { changed } from '../../ground/fold'
import { refuseFault } from '../../ground/refusal'
import { anyone } from '../../ground/who'
import { pieceFault, type PiecePlan } from '../../paper/piece'
import { edition } from '../stream'

interface Piece {
  piece: PiecePlan
}

const piecePlanned = defineEvent(edition, 'piece-planned', (state, { piece }: Piece) => changed(state, { piece }))

/** How the edition's sheets are to be got out of the paper. */
export const planPiece = defineAct(edition, 'plan-piece', anyone, {
  events: [piecePlanned],
  rule: ({ edition }, data: Piece) => {
    const fault = pieceFault(data.piece)
    return fault ? refuseFault('piece-unfit', fault) : [piecePlanned.on(edition, data)]
  },
})
