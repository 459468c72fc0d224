import { EditionsQuery } from '#shared/queries/lists'
import { linesFor, listEditions } from '../../services/editions'
import { queryChecked } from '../../services/request'
import { asking } from '../../services/session'
import { viewerOf } from '../../services/viewer'

export default defineEventHandler(async (event) => {
  const { room, person } = await asking(event)
  const list = await listEditions(room, queryChecked(event, EditionsQuery))
  return { ...list, editions: linesFor(viewerOf(person), list.editions) }
})
