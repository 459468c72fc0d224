import { editionRecord } from '#core/edition/record'
import { readEdition } from '../../../services/editions'
import { asking } from '../../../services/session'

export default defineEventHandler(async (event) => {
  const { room } = await asking(event)
  const { state, studio } = await readEdition(room, getRouterParam(event, 'id') ?? '')
  const { seq, hash } = await room.ledger.hashOf(state.stream)
  setResponseHeader(event, 'content-disposition', 'attachment; filename="edition-record.json"')
  const record = editionRecord(state, studio, (id) => room.people.get(id)?.name ?? id, room.zone.zone)
  // Of the same moment, or none: what was written between the two reads would not stand in the record.
  return { ...record, ledger: { stream: state.stream, seq: state.seq, hash: seq === state.seq ? hash : null } }
})
