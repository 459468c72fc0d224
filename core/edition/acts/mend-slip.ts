import { IsInt, Max, Min } from 'class-validator'
import { Id, Words } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { reasonMissing } from '../../ground/refusal'
import { editPull, layOnSheets, takeOffSheets } from '../edit'
import { pullOf } from '../pull'
import { furthestSlip, type Move, slipMoves } from '../slip'
import type { EditionState } from '../state'
import { edition } from '../stream'
import { theirs } from '../who'

class Slip {
  static readonly sample: Slip = { pullId: 'p', by: 1, reason: 'two sheets stuck together' }

  @Id('pull') pullId!: string
  @IsInt() @Min(-furthestSlip) @Max(furthestSlip) by!: number
  @Words(500) reason!: string
}

interface SlipMended extends Slip {
  moves: Pick<Move, 'pullId' | 'from' | 'to'>[]
}

const slipMended = defineEvent(edition, 'slip-mended', (state, { moves }: SlipMended) =>
  moves.reduce(lain, bare(state, moves)),
)

/** Every pull off its sheet before the first is laid on its own: they step onto one another's. */
function bare(state: EditionState, moves: SlipMended['moves']): EditionState {
  return moves.reduce((bared, { pullId }) => {
    const pull = pullOf(bared, pullId)
    return pull ? takeOffSheets(bared, pull) : bared
  }, state)
}

function lain(state: EditionState, { pullId, to }: SlipMended['moves'][number]): EditionState {
  const moved = editPull(state, pullId, (pull) => ({ ...pull, sheetIds: [to] }))
  const pull = pullOf(moved, pullId)
  return pull ? layOnSheets(moved, pull) : moved
}

/** From one pull on everything was counted one sheet off: put right in one act. */
export const mendSlip = defineAct(edition, 'mend-slip', Slip, theirs, {
  guarded: true,
  events: [slipMended],
  rule: ({ edition }, data) => {
    const moves = slipMoves(edition, data.pullId, data.by)
    if ('refusal' in moves) return moves
    if (data.reason.trim() === '')
      return reasonMissing('Say how it came, in a few words, so that the record can be read later.')
    return [slipMended.on(edition, { ...data, moves: moves.map(({ pullId, from, to }) => ({ pullId, from, to })) })]
  },
})
