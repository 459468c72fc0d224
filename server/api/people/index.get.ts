import { signedIn } from '../../services/session'
import { usePressroom } from '../../services/use-pressroom'

/** Names to choose from at sign-in: to nobody signed in, those who can sign in and nothing else of them. */
export default defineEventHandler(async (event) => {
  const room = await usePressroom()
  const people = room.people.all()
  if (await signedIn(event, room)) return { people }
  return { people: people.filter(({ active }) => active).map(({ id, name }) => ({ id, name })) }
})
