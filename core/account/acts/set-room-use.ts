import { definePlainAct, defineEvent } from '../../ground/act'
import { streamId } from '../../ground/envelope'
import { changed } from '../../ground/fold'
import { refuse } from '../../ground/refusal'
import { staff } from '../../ground/who'
import { roomAccount } from '../state'
import { account } from '../stream'

interface RoomUse {
  editionId: string
  /** True when the room prints it for itself: nobody owes for it, and it is told at cost. */
  isRooms: boolean
}

const roomUseSet = defineEvent(account, 'room-use-set', (state, { editionId, isRooms }: RoomUse) =>
  changed(state, {
    editionIds: [...state.editionIds.filter((id) => id !== editionId), ...(isRooms ? [editionId] : [])],
  }),
)

/** An edition is the room's own: what it takes is told at cost, and owed by nobody. */
export const setRoomUse = definePlainAct(account, 'set-room-use', staff, {
  events: [roomUseSet],
  rule: ({ account }, data: RoomUse) =>
    streamId(account.stream) === roomAccount
      ? [roomUseSet.on(account, data)]
      : refuse('not-rooms', 'That is said on the room’s own account.', 'editionId'),
})
