import { IsBoolean } from 'class-validator'
import { Id } from '../../ground/shape'
import { defineAct, defineEvent } from '../../ground/act'
import { streamId } from '../../ground/envelope'
import { changed } from '../../ground/fold'
import { refuse } from '../../ground/refusal'
import { staff } from '../../ground/who'
import { roomAccount } from '../state'
import { account } from '../stream'

class RoomUse {
  static readonly sample: RoomUse = { editionId: 'e1', isRooms: true }

  @Id('edition') editionId!: string
  /** True when the room prints it for itself: nobody owes for it, and it is told at cost. */
  @IsBoolean() isRooms!: boolean
}

const roomUseSet = defineEvent(account, 'room-use-set', (state, { editionId, isRooms }: RoomUse) =>
  changed(state, {
    editionIds: [...state.editionIds.filter((id) => id !== editionId), ...(isRooms ? [editionId] : [])],
  }),
)

/** An edition is the room's own: what it takes is told at cost, and owed by nobody. */
export const setRoomUse = defineAct(account, 'set-room-use', RoomUse, staff, {
  events: [roomUseSet],
  rule: ({ account }, data) =>
    streamId(account.stream) === roomAccount
      ? [roomUseSet.on(account, data)]
      : refuse('not-rooms', 'That is said on the room’s own account.', 'editionId'),
})
