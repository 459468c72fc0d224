import { isStaff } from '#core/ground/who'
import type { SignInReply } from '#shared/replies/replies'
import { asking } from '../../services/session'

/** Where people are signed in: staff see all, everyone their own. */
export default defineEventHandler(async (event): Promise<{ signIns: SignInReply[] }> => {
  const { room, person, signIn } = await asking(event)
  return { signIns: room.signIns.list(signIn).filter((one) => isStaff(person.role) || one.personId === person.id) }
})
