import { defineAct, defineEvent } from '../../ground/act'
import { changed } from '../../ground/fold'
import { refuseFault } from '../../ground/refusal'
import { oneImage, pieceFault, type PiecePlan } from '../../paper/piece'
import { edition } from '../stream'
import { theirs } from '../who'

interface Piece {
  piece: PiecePlan
}

const piecePlanned = defineEvent(
  edition,
  'piece-planned',
  (state, { piece }: Piece) => changed(state, { piece }),
  // A piece held one image.
  [(data) => ({ ...data, piece: { ...(data.piece as object), images: oneImage } })],
)

/** How the edition's sheets are to be got out of the paper. */
export const planPiece = defineAct(edition, 'plan-piece', theirs, {
  events: [piecePlanned],
  rule: ({ edition }, data: Piece) => {
    const fault = pieceFault(data.piece)
    return fault ? refuseFault('piece-unfit', fault) : [piecePlanned.on(edition, data)]
  },
})
