import { defineEvent } from '../../ground/act'
import { changed } from '../../ground/fold'
import { oneImage, type PiecePlan } from '../../paper/piece'
import { edition } from '../stream'

interface Piece {
  piece: PiecePlan
}

/** How sheets are got out of the paper from here on. */
export const piecePlanned = defineEvent(
  edition,
  'piece-planned',
  (state, { piece }: Piece) => changed(state, { piece }),
  // A piece held one image.
  [(data) => ({ ...data, piece: { ...(data.piece as object), images: oneImage } })],
)
