import { mayTare, type StudioState } from '#core/stores/studio/state'
import { ActAtScale } from '#shared/commands/scale'
import { failure } from '../../services/failure'
import { readChecked } from '../../services/request'
import { asking } from '../../services/session'

/** Tare the scale, or lend the stand-in a hand. */
export default defineEventHandler(async (event) => {
  const { room, person } = await asking(event)
  const { act, rate } = await readChecked(event, ActAtScale)
  if (act === 'tare' && !mayTare(await room.ledger.read<StudioState>('studio'), person.role))
    throw failure({
      code: 'not-allowed',
      message: 'The scale is not yours to tare here. Ask an instructor or the manager.',
    })
  const { scale } = room.devices
  if (act === 'tare') scale.tare()
  else scale.standIn(act, rate)
  return scale.reading()
})
