import { asking } from '../../services/session'

/** Somebody is at this station. */
export default defineEventHandler(async (event) => {
  const { room, signIn } = await asking(event, true)
  room.signIns.touch(signIn)
  return { seen: true }
})
