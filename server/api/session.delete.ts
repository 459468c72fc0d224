import { SignOut } from '#shared/commands/people'
import { takeAway } from '../services/cookies'
import { readChecked } from '../services/request'
import { addressOf, signedIn } from '../services/session'
import { usePressroom } from '../services/use-pressroom'

/** Signing out ends the sign-in itself: a copy of its cookie lets nobody in from then on. */
export default defineEventHandler(async (event) => {
  const room = await usePressroom()
  const { idle = false, waiting = false } = await readChecked(event, SignOut)
  const signed = await signedIn(event, room)
  takeAway(event, room, 'sign-in')
  if (!signed) return { signedOut: true }
  const { signIn } = signed
  await (idle || waiting ? room.signIns.leave(signIn) : room.signIns.end(signIn.id))
  room.handOuts.release(signIn.device)
  room.log.note({
    kind: 'signed out',
    person: signIn.personId,
    address: addressOf(event),
    device: signIn.device,
    detail: idle ? 'nobody touched the station' : '',
  })
  return { signedOut: true }
})
